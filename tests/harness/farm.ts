import { execFileSync, spawn, type ChildProcess } from "node:child_process";
import { once } from "node:events";
import { existsSync, mkdtempSync, openSync, rmSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { test as base } from "@playwright/test";
import { copyOf, drop } from "@/testing/copyDatabase";
import { freePort } from "./freePort";
import { walkCookie } from "./signedIn";

/** The farms that bin/test tells once; each walk begins on a copy of one. */
export type FarmKind =
  "demo" | "new" | "ferment" | "ready" | "strained" | "workshop" | "workshop-us" | "ripe" | "ripe-us" | "yards";

const START_LIMIT_MS = 300_000;
const asked = (name: string): string => {
  const value = process.env[name];
  if (!value) throw new Error(`The walks want ${name}; bin/test sets it.`);
  return value;
};

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

/** Ruchka, warm: one web server for all walks of a worker, turned to each one's database. */
class WebServer {
  private constructor(
    private readonly child: ChildProcess,
    readonly url: string,
  ) {}
  static async start(databaseUrl: string, madeUp: MadeUpPlace): Promise<WebServer> {
    const port = await freePort();
    const log = openSync(path.join(asked("DATA"), "web.log"), "a");
    const child = spawn(
      process.execPath,
      [
        "--require",
        "./tests/harness/otherFarm.cjs",
        "node_modules/next/dist/bin/next",
        ...["start", "-H", "127.0.0.1", "-p", String(port)],
      ],
      { env: { ...process.env, ...madeUp, DATABASE_URL: databaseUrl }, stdio: ["ignore", log, log, "ipc"] },
    );
    const url = `http://127.0.0.1:${port}`;
    await answers(url, child);
    const server = new WebServer(child, url);
    server.databaseUrl = databaseUrl;
    return server;
  }
  private databaseUrl = "";
  /** @param now the moment at which its clock goes on; that of the test run where none is told */
  async turnTo(databaseUrl: string, now?: string): Promise<void> {
    const turned = once(this.child, "message");
    this.databaseUrl = databaseUrl;
    this.child.send({ databaseUrl, now });
    await turned;
  }
  /** The same farm, so many days after the test run began. */
  later = (days: number): Promise<void> =>
    this.turnTo(this.databaseUrl, new Date(Date.parse(asked("RUCHKA_NOW")) + days * 86_400_000).toISOString());
  async stop(): Promise<void> {
    const ended = new Promise<void>((resolve) => this.child.once("exit", () => resolve()));
    this.child.kill("SIGTERM");
    await ended;
  }
}

/** Addresses of a database: of the account that owns its tables, and of the one that a web server has. */
interface Accounts {
  readonly owner: string;
  readonly web: string;
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
    return execFileSync("bash", ["-c", `. bin/lib.sh && ${act} && echo "$DATABASE_URL $WEB_DATABASE_URL"`], {
      env: { ...process.env, DATABASE_URL: "", DATA: this.folder, DB_PORT: String(this.port), DB_NAME: "ruchka" },
      stdio: ["ignore", "pipe", "ignore"],
      encoding: "utf8",
    }).trim();
  }
  start = (): Accounts => {
    const [owner = "", web = ""] = this.act("db_start").split(" ");
    return { owner, web };
  };
  stop = (): void => void this.act("db_stop");
  private signal(signal: "SIGSTOP" | "SIGCONT"): void {
    process.kill(Number(readFileSync(path.join(this.folder, "db/m.pid"), "utf8")), signal);
  }
  /** It holds its connections and says nothing, as a machine does that runs out of memory. */
  hang = (): void => this.signal("SIGSTOP");
  goOn = (): void => this.signal("SIGCONT");
  remove(): void {
    this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** Where the made-up farm is made that a set-up page opens, as a server is told it. */
interface MadeUpPlace {
  readonly RUCHKA_DEMO_PORT: string;
  readonly RUCHKA_DEMO_DB_PORT: string;
  readonly RUCHKA_DEMO_DATA: string;
}
async function madeUpPlace(): Promise<MadeUpPlace> {
  return {
    RUCHKA_DEMO_PORT: String(await freePort()),
    RUCHKA_DEMO_DB_PORT: String(await freePort()),
    RUCHKA_DEMO_DATA: path.join(
      mkdtempSync(path.join(existsSync("/dev/shm") ? "/dev/shm" : tmpdir(), "ruchka-")),
      "demo",
    ),
  };
}
/** Stops the made-up farm, where one was made, and takes it away. */
function removeMadeUp({ RUCHKA_DEMO_PORT, RUCHKA_DEMO_DB_PORT, RUCHKA_DEMO_DATA }: MadeUpPlace): void {
  if (existsSync(RUCHKA_DEMO_DATA))
    execFileSync("bash", ["bin/stop"], {
      env: {
        ...process.env,
        RUCHKA_DATA: RUCHKA_DEMO_DATA,
        RUCHKA_PORT: RUCHKA_DEMO_PORT,
        RUCHKA_DB_PORT: RUCHKA_DEMO_DB_PORT,
      },
      stdio: "ignore",
    });
  rmSync(path.dirname(RUCHKA_DEMO_DATA), { recursive: true, force: true });
}

interface FarmOptions {
  /** What the walk's farm begins as. */
  farmKind: FarmKind;
  /** Whether the walk takes the database away: then it has a database server of its own. */
  ownServer: boolean;
}
interface FarmFixtures {
  ownDatabase: OwnDatabase | null;
  /** Sets the farm's clock so many days after the moment of the test run. */
  later: (days: number) => Promise<void>;
}
interface WorkerFixtures {
  webServer: { now: WebServer | null };
  /** The worker's web server, on the database that is asked for. */
  webServerOn: (databaseUrl: string) => Promise<WebServer>;
}

/** `test` of Playwright, with a farm of the walk's own: no walk sees what another did. */
export const test = base.extend<FarmOptions & FarmFixtures, WorkerFixtures>({
  farmKind: ["demo", { option: true }],
  ownServer: [false, { option: true }],
  ownDatabase: async ({ ownServer }, hand) => {
    const own = ownServer ? await OwnDatabase.make() : null;
    await hand(own);
    own?.remove();
  },
  // Playwright wants its first argument taken apart, also where nothing is asked for.
  webServer: [async ({}, hand) => hand({ now: null }), { scope: "worker" }],
  // Only a walk that has its farm has a clock to set.
  later: async ({ baseURL, webServer }, hand) => {
    if (!baseURL) throw new Error("A walk without an address.");
    await hand((days) => webServer.now!.later(days));
  },
  webServerOn: [
    async ({ webServer }, hand) => {
      const madeUp = await madeUpPlace();
      await hand(async (databaseUrl) => {
        if (webServer.now) await webServer.now.turnTo(databaseUrl);
        else webServer.now = await WebServer.start(databaseUrl, madeUp);
        return webServer.now;
      });
      await webServer.now?.stop();
      removeMadeUp(madeUp);
    },
    { scope: "worker" },
  ],
  // Signed in as the farm's first person, in the page as in what is asked beside it; a farm that is new has none.
  storageState: async ({ baseURL }, hand) => {
    await hand({ cookies: [walkCookie(baseURL!)], origins: [] });
  },
  baseURL: async ({ farmKind, ownDatabase, webServerOn }, hand) => {
    const template = path.join(asked("DATA"), "templates", `${farmKind}.sql`);
    const { owner, web } = ownDatabase?.start() ?? {
      owner: asked("DATABASE_URL"),
      web: asked("WEB_DATABASE_URL"),
    };
    const database = await copyOf(template, owner);
    await hand((await webServerOn(new URL(database.pathname, web).href)).url);
    await drop(database);
  },
});
export { expect } from "@playwright/test";
