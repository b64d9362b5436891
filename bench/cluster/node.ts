/** One node of a Galera cluster on loopback, out of Debian's packages. */
import { execFileSync, spawn, spawnSync, type ChildProcess } from "node:child_process";
import { existsSync, mkdirSync, openSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";

const PROVIDER = ["/usr/lib/galera/libgalera_smm.so", "/usr/lib/libgalera_smm.so"].find(existsSync) ?? "";
export const hasGalera = (): boolean => PROVIDER !== "";
const SERVER = existsSync("/usr/sbin/mariadbd") ? "/usr/sbin/mariadbd" : "mariadbd";
const AS_ROOT = process.getuid?.() === 0;
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

export class ClusterNode {
  private child: ChildProcess | null = null;
  readonly folder: string;
  readonly socket: string;
  /** Its own: a server that starts clears this folder of every server's temporary tables. */
  private readonly temporary: string;
  constructor(
    home: string,
    readonly name: string,
    readonly port: number,
    private readonly galeraPort: number,
  ) {
    this.folder = path.join(home, name);
    this.socket = path.join(this.folder, "m.sock");
    this.temporary = path.join(this.folder, "tmp");
  }
  install(): void {
    mkdirSync(this.temporary, { recursive: true });
    execFileSync(
      "mariadb-install-db",
      [
        "--no-defaults",
        `--datadir=${this.folder}/data`,
        `--tmpdir=${this.temporary}`,
        "--auth-root-authentication-method=socket",
        "--skip-test-db",
      ],
      { stdio: "ignore" },
    );
  }
  /** Root hands its data to the account that Debian made for databases: what one node sends to another goes by rsync, which as root writes as nobody. */
  private handOver(): void {
    if (!AS_ROOT) return;
    execFileSync("chmod", ["755", path.dirname(this.folder)]);
    execFileSync("chown", ["-R", "mysql", this.folder]);
  }
  private own(): string[] {
    return [
      `--defaults-file=${process.cwd()}/db/my.cnf`,
      `--datadir=${this.folder}/data`,
      `--tmpdir=${this.temporary}`,
      `--pid-file=${this.folder}/m.pid`,
      ...(AS_ROOT ? ["--user=mysql"] : []),
    ];
  }
  /** How far a node that was killed had come, as Debian's service asks before it starts one: the others then send what is missing, and nobody's whole data. */
  private recovered(): string | null {
    const { stderr, stdout } = spawnSync(
      SERVER,
      [
        ...this.own(),
        `--socket=${this.socket}.recover`,
        "--skip-networking",
        `--wsrep-provider=${PROVIDER}`,
        "--wsrep-on=ON",
        "--wsrep-recover",
      ],
      { encoding: "utf8" },
    );
    const [, position = ""] = /Recovered position:\s*(\S+)/.exec(`${stdout}${stderr}`) ?? [];
    return position === "" || position.startsWith("00000000") ? null : position;
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
      "wsrep-provider-options": [
        `gmcast.listen_addr=tcp://127.0.0.1:${this.galeraPort}`,
        `ist.recv_addr=127.0.0.1:${this.galeraPort + 1}`,
        // So much of what was written is at hand for a node that was away.
        "gcache.size=64M",
        // A node that is silent for a second is left out: until then nobody's write is taken. Five seconds are usual, for networks worse than a farm's.
        "evs.keepalive_period=PT0.3S",
        "evs.inactive_check_period=PT0.3S",
        "evs.suspect_timeout=PT1S",
        "evs.inactive_timeout=PT3S",
        "evs.install_timeout=PT3S",
      ].join(";"),
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
    const position = others.length > 0 ? this.recovered() : null;
    this.child = spawn(
      SERVER,
      [
        ...this.own(),
        `--port=${this.port}`,
        `--socket=${this.socket}`,
        ...Object.entries(settings).map(([name, value]) => `--${name}=${value}`),
        ...(position ? [`--wsrep-start-position=${position}`] : []),
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
