/** One node of a Galera cluster on loopback, out of Debian's packages. */
import { execFileSync, spawn, type ChildProcess } from "node:child_process";
import { existsSync, mkdirSync, openSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";

const PROVIDER = ["/usr/lib/galera/libgalera_smm.so", "/usr/lib/libgalera_smm.so"].find(existsSync) ?? "";
export const hasGalera = (): boolean => PROVIDER !== "";
const AS_ROOT = process.getuid?.() === 0;
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

export class ClusterNode {
  private child: ChildProcess | null = null;
  readonly folder: string;
  readonly socket: string;
  constructor(
    home: string,
    readonly name: string,
    readonly port: number,
    private readonly galeraPort: number,
  ) {
    this.folder = path.join(home, name);
    this.socket = path.join(this.folder, "m.sock");
  }
  install(): void {
    mkdirSync(this.folder, { recursive: true });
    execFileSync(
      "mariadb-install-db",
      ["--no-defaults", `--datadir=${this.folder}/data`, "--auth-root-authentication-method=socket", "--skip-test-db"],
      { stdio: "ignore" },
    );
  }
  /** Root hands its data to the account that Debian made for databases: what one node sends to another goes by rsync, which as root writes as nobody. */
  private handOver(): void {
    if (!AS_ROOT) return;
    execFileSync("chmod", ["755", path.dirname(this.folder)]);
    execFileSync("chown", ["-R", "mysql", this.folder]);
  }
  /** @param others where the rest of the cluster listens; none begins a cluster */
  start(others: readonly ClusterNode[]): void {
    this.handOver();
    const settings = {
      "wsrep-on": "ON",
      "wsrep-provider": PROVIDER,
      "wsrep-cluster-name": "ruchka",
      "wsrep-cluster-address": `gcomm://${others.map((node) => `127.0.0.1:${node.galeraPort}`).join(",")}`,
      "wsrep-node-name": this.name,
      "wsrep-node-address": `127.0.0.1:${this.galeraPort}`,
      "wsrep-provider-options": `gmcast.listen_addr=tcp://127.0.0.1:${this.galeraPort};ist.recv_addr=127.0.0.1:${this.galeraPort + 1};gcache.size=64M`,
      "wsrep-sst-method": "rsync",
      "wsrep-sst-receive-address": `127.0.0.1:${this.galeraPort + 2}`,
      // What one person wrote by one node, the next reads by another.
      "wsrep-sync-wait": "1",
      "binlog-format": "ROW",
      // Triggers are replicated by their rows; who owns the tables may make them.
      "log-bin-trust-function-creators": "1",
      "innodb-autoinc-lock-mode": "2",
    };
    const log = openSync(path.join(this.folder, "log"), "a");
    this.child = spawn(
      existsSync("/usr/sbin/mariadbd") ? "/usr/sbin/mariadbd" : "mariadbd",
      [
        `--defaults-file=${process.cwd()}/db/my.cnf`,
        `--datadir=${this.folder}/data`,
        `--port=${this.port}`,
        `--socket=${this.socket}`,
        `--pid-file=${this.folder}/m.pid`,
        ...(AS_ROOT ? ["--user=mysql"] : []),
        ...Object.entries(settings).map(([name, value]) => `--${name}=${value}`),
      ],
      { stdio: ["ignore", log, log], detached: true },
    );
    this.child.on("error", () => undefined);
  }
  sql(statement: string): string {
    return execFileSync("mariadb", ["--no-defaults", `--socket=${this.socket}`, "-N", "-e", statement], {
      encoding: "utf8",
      stdio: ["ignore", "pipe", "ignore"],
    }).trim();
  }
  /** Whether it is of the cluster and has all of it. */
  isSynced(): boolean {
    try {
      return this.sql("show status like 'wsrep_local_state_comment'").endsWith("Synced");
    } catch {
      return false;
    }
  }
  async synced(limitMs = 60_000): Promise<void> {
    const until = Date.now() + limitMs;
    while (Date.now() < until) {
      if (this.isSynced()) return;
      await pause(100);
    }
    throw new Error(`${this.name} did not join: ${readFileSync(path.join(this.folder, "log"), "utf8").slice(-1500)}`);
  }
  async kill(): Promise<void> {
    const ended = new Promise((resolve) => this.child!.once("exit", resolve));
    this.child!.kill("SIGKILL");
    await ended;
  }
  /** Its data as a first node of a new cluster may have it. */
  mayBegin(): void {
    const file = path.join(this.folder, "data/grastate.dat");
    if (existsSync(file))
      writeFileSync(file, readFileSync(file, "utf8").replace("safe_to_bootstrap: 0", "safe_to_bootstrap: 1"));
  }
  status = (name: string): number => Number(this.sql(`show status like '${name}'`).split(/\s+/).at(-1));
}
