import { execFileSync, spawn, type ChildProcess } from "node:child_process";
import { existsSync, mkdtempSync, openSync, rmSync } from "node:fs";
import { createServer, type AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import path from "node:path";
import { test as base } from "@playwright/test";
import { copyOf, drop } from "@/testing/copyDatabase";

/** The farms that bin/test tells once; each walk begins on a copy of one. */
export type FarmKind =
  "demo" | "new" | "ferment" | "ready" | "strained" | "workshop" | "workshop-us" | "ripe" | "ripe-us" | "yards";

const START_LIMIT_MS = 300_000;
const asked = (name: string): string => {
  const value = process.env[name];
  if (!value) throw new Error(`The walks want ${name}; bin/test sets it.`);
  return value;
};

async function freePort(): Promise<number> {
  const server = createServer();
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  const { port } = server.address() as AddressInfo;
  await new Promise((resolve) => server.close(resolve));
  return port;
}

async function answers(url: string, server: ChildProcess): Promise<void> {
  const until = Date.now() + START_LIMIT_MS;
  while (Date.now() < until) {
    if (server.exitCode !== null) throw new Error("The web server ended before it answered; see its log.");
    const health = await fetch(`${url}/api/health`).catch(() => null);
    if (health?.ok) return;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error("The web server did not answer.");
}

/** Ruchka on a database, on a port of its own; `stop` ends it. */
async function serve(databaseUrl: string): Promise<{ url: string; stop: () => Promise<void> }> {
  const port = await freePort();
  const log = openSync(path.join(asked("DATA"), "web.log"), "a");
  const server = spawn(
    process.execPath,
    ["node_modules/next/dist/bin/next", "start", "-H", "127.0.0.1", "-p", String(port)],
    { env: { ...process.env, DATABASE_URL: databaseUrl }, stdio: ["ignore", log, log] },
  );
  const url = `http://127.0.0.1:${port}`;
  const ended = new Promise<void>((resolve) => server.once("exit", () => resolve()));
  await answers(url, server);
  return {
    url,
    stop: async () => {
      server.kill("SIGTERM");
      await ended;
    },
  };
}

/** A database server that a walk may stop and start, apart from the one that all others share. */
export class OwnDatabase {
  private constructor(
    private readonly folder: string,
    private readonly port: number,
  ) {}
  static async make(): Promise<OwnDatabase> {
    return new OwnDatabase(
      mkdtempSync(path.join(existsSync("/dev/shm") ? "/dev/shm" : tmpdir(), "ruchka-")),
      await freePort(),
    );
  }
  private act(act: "db_start" | "db_stop"): string {
    return execFileSync("bash", ["-c", `. bin/lib.sh && ${act} && echo "$DATABASE_URL"`], {
      env: { ...process.env, DATABASE_URL: "", DATA: this.folder, DB_PORT: String(this.port), DB_NAME: "ruchka" },
      stdio: ["ignore", "pipe", "ignore"],
      encoding: "utf8",
    }).trim();
  }
  start = (): string => this.act("db_start");
  stop = (): void => void this.act("db_stop");
  remove(): void {
    this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** A farm of a kind, on a database and a server of its own. */
async function openFarm(kind: FarmKind, serverUrl: string): Promise<{ url: string; stop: () => Promise<void> }> {
  const database = await copyOf(path.join(asked("DATA"), "templates", `${kind}.sql`), serverUrl);
  const server = await serve(database.href);
  return {
    url: server.url,
    stop: async () => {
      await server.stop();
      await drop(database);
    },
  };
}

interface FarmOptions {
  /** What the walk's farm begins as. */
  farmKind: FarmKind;
  /** The walk writes nothing: it may look at the demo farm that all such walks of a worker share. */
  looksOnly: boolean;
  /** Whether the walk takes the database away: then it has a database server of its own. */
  ownServer: boolean;
}
interface FarmFixtures {
  ownDatabase: OwnDatabase | null;
}

/** `test` of Playwright, with a farm and a server of the walk's own: no walk sees what another did. */
export const test = base.extend<FarmOptions & FarmFixtures, { demoToLookAt: { url: () => Promise<string> } }>({
  farmKind: ["demo", { option: true }],
  looksOnly: [false, { option: true }],
  ownServer: [false, { option: true }],
  ownDatabase: async ({ ownServer }, hand) => {
    const own = ownServer ? await OwnDatabase.make() : null;
    await hand(own);
    own?.remove();
  },
  demoToLookAt: [
    // Playwright wants its first argument taken apart, also where nothing is asked for.
    async ({}, hand) => {
      const farms: ReturnType<typeof openFarm>[] = [];
      // Opened by the first walk that looks.
      await hand({ url: async () => (await (farms[0] ??= openFarm("demo", asked("DATABASE_URL")))).url });
      for (const farm of farms) await (await farm).stop();
    },
    { scope: "worker" },
  ],
  baseURL: async ({ farmKind, looksOnly, ownDatabase, demoToLookAt }, hand) => {
    if (looksOnly) {
      await hand(await demoToLookAt.url());
      return;
    }
    const farm = await openFarm(farmKind, ownDatabase ? ownDatabase.start() : asked("DATABASE_URL"));
    await hand(farm.url);
    await farm.stop();
  },
});
export { expect } from "@playwright/test";
