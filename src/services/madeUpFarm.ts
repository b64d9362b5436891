import "server-only";
import { spawn } from "node:child_process";
import { openSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";

/** The made-up farm has a folder, a database and a server of its own, so that nothing of it comes near one's own data. */
const portOf = (): string => process.env.RUCHKA_DEMO_PORT ?? "3210";
const urlOf = (): string => `http://127.0.0.1:${portOf()}`;

/** What this farm was started with, and the made-up one must not be. */
const OWN_SETTINGS = [
  "RUCHKA_DATA",
  "RUCHKA_PORT",
  "RUCHKA_DB_PORT",
  "DATABASE_URL",
  "WEB_DATABASE_URL",
  "RUCHKA_NOW",
  "PORT",
];

export type MadeUpState =
  | { readonly state: "off" }
  | { readonly state: "starting" }
  | { readonly state: "ready"; readonly url: string }
  | { readonly state: "failed"; readonly log: string };

// One start at a time; kept on globalThis, since a built server holds a module more than once.
const holder = globalThis as typeof globalThis & { ruchkaMadeUp?: "starting" | "failed" };
const logFile = (): string => path.join(tmpdir(), `ruchka-made-up-${process.pid}.log`);

/** Whether somebody at this address could open it: it answers on this machine alone. */
export const offersMadeUpFarm = (host: string | null): boolean =>
  host !== null && /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/i.test(host);

const answers = (): Promise<boolean> =>
  fetch(`${urlOf()}/api/health`, { signal: AbortSignal.timeout(2_000) }).then(
    ({ ok }) => ok,
    () => false,
  );

/** How the made-up farm stands. */
export async function madeUpState(): Promise<MadeUpState> {
  if (await answers()) return { state: "ready", url: urlOf() };
  if (holder.ruchkaMadeUp === "failed") return { state: "failed", log: logFile() };
  return { state: holder.ruchkaMadeUp ?? "off" };
}

/** Starts the made-up farm as bin/demo does, where it does not run yet; it makes itself the first time, in about half a minute. */
export async function startMadeUpFarm(): Promise<MadeUpState> {
  const now = await madeUpState();
  if (now.state === "ready" || now.state === "starting") return now;
  holder.ruchkaMadeUp = "starting";
  const inherited = Object.fromEntries(Object.entries(process.env).filter(([name]) => !OWN_SETTINGS.includes(name)));
  const log = openSync(logFile(), "a", 0o600);
  const child = spawn("bash", ["bin/demo"], {
    env: {
      ...inherited,
      RUCHKA_PORT: portOf(),
      ...(process.env.RUCHKA_DEMO_DB_PORT ? { RUCHKA_DB_PORT: process.env.RUCHKA_DEMO_DB_PORT } : {}),
      ...(process.env.RUCHKA_DEMO_DATA ? { RUCHKA_DATA: process.env.RUCHKA_DEMO_DATA } : {}),
      // A build under a server that runs would take its files away.
      RUCHKA_NO_BUILD: "1",
      NODE_ENV: process.env.NODE_ENV,
    },
    detached: true,
    stdio: ["ignore", log, log],
  });
  child.once("error", () => (holder.ruchkaMadeUp = "failed"));
  child.once("exit", (code) => {
    if (code === 0) delete holder.ruchkaMadeUp;
    else holder.ruchkaMadeUp = "failed";
  });
  child.unref();
  return { state: "starting" };
}
