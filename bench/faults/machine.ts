/** A farm of its own that can be hurt: a database, a web server, and the ways in which a machine fails. */
import { execFileSync, spawn, type ChildProcess } from "node:child_process";
import { openSync, readFileSync } from "node:fs";
import path from "node:path";

const START_LIMIT_MS = 120_000;
export const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

export class Machine {
  private web: ChildProcess | null = null;
  readonly url: string;
  databaseUrl = "";
  private webDatabaseUrl = "";
  constructor(
    readonly folder: string,
    private readonly port: number,
    private readonly dbPort: number,
  ) {
    this.url = `http://127.0.0.1:${port}`;
  }
  /** Lines of bin/lib.sh, as this machine. */
  lines(script: string): string {
    return execFileSync("bash", ["-c", `. bin/lib.sh; DATA="${this.folder}"; DB_PORT=${this.dbPort}; ${script}`], {
      env: { ...process.env, DATABASE_URL: "", DATA: this.folder, DB_PORT: String(this.dbPort) },
      stdio: ["ignore", "pipe", "ignore"],
      encoding: "utf8",
    }).trim();
  }
  startDatabase(): void {
    const [owner = "", web = ""] = this.lines('db_start && echo "$DATABASE_URL $WEB_DATABASE_URL"').split(" ");
    this.databaseUrl = owner;
    this.webDatabaseUrl = web;
  }
  migrate(): void {
    execFileSync(
      process.execPath,
      ["--conditions=react-server", "--import", "./node_modules/tsx/dist/loader.mjs", "src/data/migrateMain.ts"],
      {
        env: { ...process.env, DATABASE_URL: this.databaseUrl },
        stdio: "ignore",
      },
    );
  }
  /** @param clock a moment that the server takes for now; its machine's own where none is told */
  async startWeb(clock?: Date): Promise<void> {
    const log = openSync(path.join(this.folder, "web.log"), "a");
    this.web = spawn(
      process.execPath,
      ["node_modules/next/dist/bin/next", "start", "-H", "127.0.0.1", "-p", String(this.port)],
      {
        env: {
          ...process.env,
          DATABASE_URL: this.webDatabaseUrl,
          ...(clock ? { RUCHKA_NOW: clock.toISOString() } : {}),
        },
        stdio: ["ignore", log, log],
      },
    );
    const until = Date.now() + START_LIMIT_MS;
    while (Date.now() < until) {
      if (await this.isWell()) return;
      await pause(50);
    }
    throw new Error("The web server did not come back.");
  }
  async isWell(): Promise<boolean> {
    const health = await fetch(`${this.url}/api/health`, { signal: AbortSignal.timeout(3000) })
      .then((answer) => answer.json() as Promise<{ database?: boolean }>)
      .catch(() => null);
    return health?.database === true;
  }
  async killWeb(): Promise<void> {
    const ended = new Promise((resolve) => this.web!.once("exit", resolve));
    this.web!.kill("SIGKILL");
    await ended;
  }
  private databasePid = (): number => Number(readFileSync(path.join(this.folder, "db/m.pid"), "utf8"));
  async killDatabase(): Promise<void> {
    const pid = this.databasePid();
    process.kill(pid, "SIGKILL");
    for (let turn = 0; turn < 200; turn += 1) {
      try {
        process.kill(pid, 0);
      } catch {
        return;
      }
      await pause(10);
    }
  }
  hang = (): boolean => process.kill(this.databasePid(), "SIGSTOP");
  goOn = (): boolean => process.kill(this.databasePid(), "SIGCONT");
  async stop(): Promise<void> {
    if (this.web) await this.killWeb();
    this.lines("db_stop");
  }
}
