import "server-only";
import { spawn } from "node:child_process";
import { createWriteStream, existsSync, openSync } from "node:fs";
import { mkdir, readFile, rm, writeFile } from "node:fs/promises";
import path from "node:path";
import { Readable, Transform } from "node:stream";
import type { ReadableStream as NodeReadableStream } from "node:stream/web";
import { pipeline } from "node:stream/promises";

export type TakeInState =
  { readonly state: "off" } | { readonly state: "taking" } | { readonly state: "failed"; readonly because: string };

/** More than a farm of many years and all its photographs. */
const MOST_BYTES = 8_000_000_000;

/** The farm's own folder, where this server was started by bin/start with a database of its own; null where it was not. */
const homeOf = (): string | null => {
  const backups = process.env.RUCHKA_BACKUPS;
  const home = backups ? path.dirname(backups) : null;
  return home !== null && existsSync(path.join(home, "db")) ? home : null;
};

/** Whether a farm can be taken in from a file here. */
export const offersTakeIn = (): boolean => homeOf() !== null;

const incoming = (home: string): string => path.join(home, "incoming");

function isAlive(pid: number): boolean {
  try {
    return process.kill(pid, 0);
  } catch {
    return false;
  }
}

/** How taking in stands; it outlives this process, which ends in the middle of it. */
export async function takeInState(): Promise<TakeInState> {
  const home = homeOf();
  if (home === null) return { state: "off" };
  const said = await readFile(path.join(incoming(home), "state"), "utf8").catch(() => "");
  const taking = /^taking (\d+)/.exec(said)?.[1];
  // Whoever was at it may have ended with the power: then nothing is under way.
  if (taking !== undefined) return { state: isAlive(Number(taking)) ? "taking" : "off" };
  return said.startsWith("failed")
    ? { state: "failed", because: said.slice("failed".length).trim() }
    : { state: "off" };
}

/** What this server was started with and bin/take-in finds out for itself. */
const OF_THIS_SERVER = ["DATABASE_URL", "WEB_DATABASE_URL", "RUCHKA_BACKUPS", "PORT", "NODE_ENV"];

/**
 * Writes an archive down as it comes and has bin/take-in put it in place of a farm that was never set up: it is read back and compared first, and this
 * server is started anew.
 * @returns how it stands then
 */
export async function takeIn(body: ReadableStream<Uint8Array>): Promise<TakeInState> {
  const home = homeOf();
  if (home === null) return { state: "off" };
  const before = await takeInState();
  if (before.state === "taking") return before;
  const folder = incoming(home);
  await rm(folder, { recursive: true, force: true });
  await mkdir(folder, { mode: 0o700 });
  const file = path.join(folder, "farm.tar.gz");
  let bytes = 0;
  const within = new Transform({
    transform: (chunk: Buffer, _encoding, done) => {
      bytes += chunk.length;
      if (bytes > MOST_BYTES) done(new Error("This file is larger than a farm."));
      else done(null, chunk);
    },
  });
  await pipeline(
    Readable.fromWeb(body as NodeReadableStream<Uint8Array>),
    within,
    createWriteStream(file, { mode: 0o600 }),
  );
  await writeFile(path.join(folder, "state"), `taking ${process.pid}\n`, { mode: 0o600 });
  const log = openSync(path.join(folder, "log"), "a", 0o600);
  const inherited = Object.fromEntries(Object.entries(process.env).filter(([name]) => !OF_THIS_SERVER.includes(name)));
  spawn("bash", ["bin/take-in", file], {
    env: { ...inherited, RUCHKA_DATA: home, RUCHKA_NO_BUILD: "1", NODE_ENV: process.env.NODE_ENV },
    detached: true,
    stdio: ["ignore", log, log],
  }).unref();
  return { state: "taking" };
}
