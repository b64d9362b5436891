/**
 * Faults on purpose: writers write without end while the machine under them fails at random moments, so many times of each kind; then every write that was
 * acknowledged is looked for. `bench/faults/run [SCALE] [SEED] [--write]`; see bench/faults.md.
 */
import { randomUUID } from "node:crypto";
import { execFileSync, spawn } from "node:child_process";
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { connect } from "node:net";
import { tmpdir } from "node:os";
import path from "node:path";
import { createConnection, type RowDataPacket } from "mysql2/promise";
import { chanceFrom } from "../../src/core/chance";
import { Machine, pause } from "./machine";

const [scaleText = "1", seedText = "1"] = process.argv.slice(2);
const scale = Number(scaleText);
const { uniform: chance } = chanceFrom(Number(seedText));
const between = (least: number, most: number) => least + chance() * (most - least);
const home = mkdtempSync(path.join(existsSync("/dev/shm") ? "/dev/shm" : tmpdir(), "ruchka-faults-"));
const machine = new Machine(path.join(home, "farm"), 3298, 33298);
execFileSync("mkdir", ["-p", machine.folder]);

const PASSPHRASE = "a dozen green pails";
/** What was acknowledged, by its marker, and what it was. */
const acknowledged = new Map<string, number>();
let asked = 0;
let waited = 0;
let token = "";
/** Writers hold still while the books are looked at. */
let isOver = false;

const bodyOf = (marker: string, kg: number) =>
  JSON.stringify({
    requestKey: marker,
    ingredientId: "kelp-meal",
    amount: kg,
    origin: "bought",
    cost: 3,
    receivedOn: new Date().toISOString().slice(0, 10),
    note: marker,
  });
const headers = () => ({ "content-type": "application/json", "cookie": `ruchka-3298=${token}` });
let signedInAgain = 0;
/** Keeps the token that an answer brings, as a browser does. */
const keepToken = (answer: Response): Response => {
  token = /ruchka-3298=([^;]+)/.exec(answer.headers.get("set-cookie") ?? "")?.[1] ?? token;
  return answer;
};
const send = async (name: string, body: string, signal?: AbortSignal): Promise<Response> =>
  keepToken(
    await fetch(`${machine.url}/api/act/${name}`, {
      method: "POST",
      headers: headers(),
      body,
      ...(signal ? { signal } : {}),
    }),
  );
/** Sends an act; whoever is signed out, as by a clock that ran years ahead, signs in again and sends the same. */
async function post(name: string, body: string, signal?: AbortSignal): Promise<Response> {
  const answer = await send(name, body, signal);
  if (answer.status !== 401) return answer;
  signedInAgain += 1;
  await send("signIn", JSON.stringify({ requestKey: randomUUID(), name: "Ana", passphrase: PASSPHRASE }), signal);
  return send(name, body, signal);
}

/** Writes one lot, and sends the same again until the farm says that it has it, as a phone's queue does. */
async function write(): Promise<void> {
  const marker = randomUUID();
  const kg = Math.round(between(0.1, 9) * 1000) / 1000;
  asked += 1;
  for (let turn = 0; turn < 400 && !isOver; turn += 1) {
    const answer = await post("receiveLot", bodyOf(marker, kg), AbortSignal.timeout(60_000)).catch(() => null);
    if (answer?.ok) {
      acknowledged.set(marker, kg);
      return;
    }
    if (answer && answer.status < 500 && answer.status !== 429 && answer.status !== 401) {
      const words = await answer.text();
      // The clock stands a day back just now: this lot comes from what is tomorrow there, and is rightly not taken.
      if (words.includes("received-ahead")) return;
      throw new Error(`refused: ${answer.status} ${words}`);
    }
    waited += 1;
    await pause(between(20, 200));
  }
}
async function writer(): Promise<void> {
  while (!isOver) {
    await write();
    await pause(between(0, 30));
  }
}

interface Kind {
  readonly name: string;
  readonly times: number;
  readonly once: () => Promise<void>;
}

/** A client that is gone in the middle: half its body, or all of it and not the answer. */
async function vanish(): Promise<void> {
  const marker = randomUUID();
  const body = bodyOf(marker, 1);
  const isWhole = chance() < 0.5;
  const socket = connect(3298, "127.0.0.1");
  await new Promise((resolve) => socket.once("connect", resolve));
  const head = Object.entries({ "host": "127.0.0.1:3298", "content-length": String(body.length), ...headers() })
    .map(([name, value]) => `${name}: ${value}`)
    .join("\r\n");
  socket.on("error", () => undefined);
  socket.write(
    `POST /api/act/receiveLot HTTP/1.1\r\n${head}\r\n\r\n${isWhole ? body : body.slice(0, Math.floor(between(1, body.length - 1)))}`,
  );
  await pause(between(0, 15));
  socket.destroy();
  // It may be written or not, and never half; sent again, it is written once.
  if (!isWhole) return;
  const again = await post("receiveLot", body).catch(() => null);
  if (again?.ok) acknowledged.set(marker, 1);
}

/** The same touch twice, at once. */
async function doubleTap(): Promise<void> {
  const marker = randomUUID();
  const answers = await Promise.all([1, 2].map(() => post("receiveLot", bodyOf(marker, 2)).catch(() => null)));
  if (answers.some((answer) => answer?.ok)) acknowledged.set(marker, 2);
}

let contests = 0;
let overdrawn = 0;
/** Two people take the same of a lot that holds it once. */
async function twoPeople(): Promise<void> {
  const marker = randomUUID();
  const made = await post("receiveLot", bodyOf(marker, 1)).catch(() => null);
  if (!made?.ok) return;
  acknowledged.set(marker, 1);
  const { value } = (await made.json()) as { value: { lotId: number } };
  const takes = [1, 2].map(() =>
    post(
      "wasteLot",
      JSON.stringify({ requestKey: randomUUID(), lotId: value.lotId, amount: 0.8, reason: "spilled" }),
    ).catch(() => null),
  );
  const took = (await Promise.all(takes)).filter((answer) => answer?.ok).length;
  contests += 1;
  if (took > 1) overdrawn += 1;
}

const killWeb = async () => {
  await machine.killWeb();
  await pause(between(0, 300));
  await machine.startWeb();
};
const killDatabase = async () => {
  await machine.killDatabase();
  await pause(between(0, 500));
  machine.startDatabase();
  await machineWell();
};
async function machineWell(): Promise<void> {
  for (let turn = 0; turn < 600; turn += 1) {
    if (await machine.isWell()) return;
    await pause(50);
  }
  throw new Error("The farm did not come back.");
}
const hang = async () => {
  machine.hang();
  await pause(between(200, 4000));
  machine.goOn();
  await machineWell();
};
const slow = async () => {
  for (let turn = 0; turn < 20; turn += 1) {
    machine.hang();
    await pause(between(10, 80));
    machine.goOn();
    await pause(between(5, 40));
  }
};
/** The machine's clock jumps: a day back or on, to a leap day, into the hour that daylight saving takes or gives. */
const CLOCKS = ["2028-02-29T11:59:59Z", "2031-03-30T00:59:50Z", "2031-10-26T00:59:50Z", "2031-12-31T23:59:55Z"];
const clock = async () => {
  await machine.killWeb();
  const shift = chance() < 0.5 ? -86_400_000 : 86_400_000;
  const jump = chance() < 0.5 ? new Date(Date.now() + shift) : new Date(CLOCKS[Math.floor(chance() * CLOCKS.length)]!);
  await machine.startWeb(jump);
  for (let turn = 0; turn < 5; turn += 1) {
    const marker = randomUUID();
    const body = JSON.stringify({
      ...(JSON.parse(bodyOf(marker, 3)) as object),
      receivedOn: jump.toISOString().slice(0, 10),
    });
    const answer = await post("receiveLot", body).catch(() => null);
    if (answer?.ok) acknowledged.set(marker, 3);
  }
  await machine.killWeb();
  await machine.startWeb();
};

const env = () => ({ ...process.env, RUCHKA_DATA: machine.folder, RUCHKA_DB_PORT: "33298", RUCHKA_NO_BUILD: "1" });
/** Starts a command and kills it and all that it began, after so long at most. */
async function killed(command: string, args: readonly string[], more: object, mostMs: number): Promise<void> {
  const child = spawn("bash", [command, ...args], { env: { ...env(), ...more }, detached: true, stdio: "ignore" });
  const ended = new Promise((resolve) => child.once("exit", resolve));
  await Promise.race([ended, pause(between(100, mostMs))]);
  try {
    process.kill(-child.pid!, "SIGKILL");
  } catch {
    // It had ended by itself.
  }
  await ended;
}
let backups = 0;
const killBackup = async () => {
  const before = lastGood();
  await killed("bin/backup", [], {}, 4000);
  // What counted before counts still, and the next one is whole.
  if (before !== "" && lastGood() === "") throw new Error("The last good backup is gone.");
  if (backups % 5 === 0) {
    execFileSync("bin/backup", [], { env: env(), stdio: "ignore" });
    if (!existsSync(lastGood().split(" ").at(-1)!)) throw new Error("The last good backup is no file.");
  }
  backups += 1;
};
const lastGood = (): string => {
  const file = path.join(machine.folder, "backups/last-good");
  return existsSync(file) ? readFileSync(file, "utf8").trim() : "";
};

let restored = 0;
/** A restore that is killed leaves no farm behind; into a fresh folder it is whole. */
const killRestore = async () => {
  const file = lastGood().split(" ").at(-1)!;
  const place = path.join(home, `restore-${restored}`);
  const apart = { RUCHKA_DATA: place, RUCHKA_DB_PORT: "33299" };
  await killed("bin/restore", [file], apart, 5000);
  execFileSync("bin/stop", [], { env: { ...env(), ...apart }, stdio: "ignore" });
  rmSync(place, { recursive: true, force: true });
  execFileSync("bin/restore", [file], { env: { ...env(), ...apart }, stdio: "ignore" });
  execFileSync("bin/stop", [], { env: { ...env(), ...apart }, stdio: "ignore" });
  rmSync(place, { recursive: true, force: true });
  restored += 1;
};

/** Seeding that is killed goes on where it stood: the made-up farm is whole in the end. */
const killSeeding = async () => {
  const place = path.join(home, "seeding");
  const other = new Machine(place, 3297, 33297);
  execFileSync("mkdir", ["-p", place]);
  other.startDatabase();
  try {
    // The schema first, as an update that is cut is a fault of its own.
    other.migrate();
    const seeding = { DATABASE_URL: other.databaseUrl };
    const line = `node --conditions=react-server --import ./node_modules/tsx/dist/loader.mjs src/demo/main.ts "${place}/made-at"`;
    writeFileSync(path.join(home, "seed.sh"), line);
    await killed(path.join(home, "seed.sh"), [], seeding, 5000);
    execFileSync("bash", [path.join(home, "seed.sh")], { env: { ...env(), ...seeding }, stdio: "ignore" });
    const connection = await createConnection(other.databaseUrl);
    const [[row]] = await connection.query<RowDataPacket[]>(
      "select (select count(*) from vessel) as vessels, (select count(*) from batch) as batches, (select count(*) from plot) as plots",
    );
    await connection.end();
    if (row!.vessels !== 8 || row!.batches !== 8 || row!.plots < 20)
      throw new Error(`A made-up farm is half: ${JSON.stringify(row)}`);
  } finally {
    other.lines("db_stop");
    rmSync(place, { recursive: true, force: true });
  }
};

/** The power goes in the middle of an update: what is told says which file, and a start after it goes on or says what to do. */
let migrationsTold = 0;
const killMigration = async () => {
  const place = path.join(home, "migrating");
  const other = new Machine(place, 3297, 33297);
  execFileSync("mkdir", ["-p", place]);
  other.startDatabase();
  const line = "node --conditions=react-server --import ./node_modules/tsx/dist/loader.mjs src/data/migrateMain.ts";
  writeFileSync(path.join(home, "migrate.sh"), line);
  const at = { DATABASE_URL: other.databaseUrl };
  try {
    await killed(path.join(home, "migrate.sh"), [], at, 3500);
    await other.killDatabase();
    other.startDatabase();
    execFileSync("bash", [path.join(home, "migrate.sh")], { env: { ...env(), ...at }, stdio: "pipe" });
  } catch (error) {
    const said = String((error as { stderr?: Buffer }).stderr);
    if (!/\d{4}_\w+/.test(said))
      throw new Error(`A migration that was cut says nothing of which: ${said.slice(0, 300)}`);
    migrationsTold += 1;
  } finally {
    other.lines("db_stop");
    rmSync(place, { recursive: true, force: true });
  }
};

/** The disk under a farm of its own fills up: writing says so, reading goes on, and with room again all is there. */
let disks = 0;
const fullDisk = async () => {
  const place = path.join(home, `disk-${disks}`);
  execFileSync("mkdir", ["-p", place]);
  execFileSync("mount", ["-t", "tmpfs", "-o", "size=420m", "tmpfs", place]);
  const other = new Machine(place, 3297, 33297);
  try {
    other.startDatabase();
    other.migrate();
    const connection = await createConnection({ uri: other.databaseUrl });
    await connection.query("create table fill_up (id int auto_increment primary key, body longblob) engine=innodb");
    let said = "";
    let kept = 0;
    for (let turn = 0; turn < 400 && said === ""; turn += 1)
      await connection
        .query("insert into fill_up (body) values (?)", [Buffer.alloc(4_000_000, turn % 251)])
        .then(() => (kept += 1))
        .catch((error: Error) => (said = error.message));
    if (said === "") throw new Error("The disk did not fill.");
    await connection.end().catch(() => undefined);
    // Room again, as for somebody who threw old files away; a server that gave up is started anew.
    execFileSync("mount", ["-o", "remount,size=600m", place]);
    await other.killDatabase();
    other.startDatabase();
    const after = await createConnection({ uri: other.databaseUrl });
    const [[row]] = await after.query<RowDataPacket[]>("select count(*) as n from fill_up");
    await after.query("insert into fill_up (body) values ('room again')");
    await after.end();
    if (row!.n !== kept) throw new Error(`${kept} were acknowledged on a full disk, ${row!.n} are there.`);
    disks += 1;
  } finally {
    await other.killDatabase().catch(() => undefined);
    await pause(300);
    execFileSync("umount", ["-l", place]);
  }
};

const canMount = (): boolean => {
  try {
    const place = mkdtempSync(path.join(tmpdir(), "ruchka-mount-"));
    execFileSync("mount", ["-t", "tmpfs", "-o", "size=1m", "tmpfs", place], { stdio: "ignore" });
    execFileSync("umount", [place]);
    return true;
  } catch {
    return false;
  }
};

const times = (n: number): number => Math.max(1, Math.round(n * scale));
const KINDS: readonly Kind[] = [
  { name: "double tap", times: times(420), once: doubleTap },
  { name: "client gone half-way", times: times(281), once: vanish },
  { name: "two people on one lot", times: times(160), once: twoPeople },
  { name: "web server killed", times: times(30), once: killWeb },
  { name: "database killed", times: times(30), once: killDatabase },
  { name: "database hangs", times: times(20), once: hang },
  { name: "database slow", times: times(20), once: slow },
  { name: "clock jumps", times: times(10), once: clock },
  { name: "killed in a backup", times: times(12), once: killBackup },
  { name: "killed in a restore", times: times(4), once: killRestore },
  { name: "killed in an update, power gone", times: times(8), once: killMigration },
  { name: "killed in seeding", times: times(3), once: killSeeding },
  ...(canMount() ? [{ name: "disk full", times: times(2), once: fullDisk }] : []),
];

async function setUp(): Promise<void> {
  machine.startDatabase();
  machine.migrate();
  await machine.startWeb();
  const answer = await fetch(`${machine.url}/api/act/setUpFarm`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({
      requestKey: randomUUID(),
      name: "Fault field",
      people: ["Ana"],
      passphrase: PASSPHRASE,
      timeZone: "Europe/Berlin",
      latitudeDeg: 50,
      longitudeDeg: 8,
      units: "metric",
      currency: "EUR",
      labourPerH: 0,
      powerPerKWh: 0,
      climateMeanC: 10,
      climateSwingC: 9,
    }),
  });
  token = /ruchka-3298=([^;]+)/.exec(answer.headers.get("set-cookie") ?? "")?.[1] ?? "";
  if (!answer.ok || token === "") throw new Error(`The farm was not set up: ${answer.status} ${await answer.text()}`);
}

/** What is in the books, beside what was acknowledged. */
async function count(): Promise<{ found: number; lost: number; doubled: number; half: number }> {
  const connection = await createConnection(machine.databaseUrl);
  const [rows] = await connection.query<RowDataPacket[]>(
    `select lot.id, lot.note, lot.received, coalesce((select sum(change_by) from stock_movement where lot_id = lot.id and kind = 'received'), 0) as moved,
            (select count(*) from stock_movement where lot_id = lot.id and kind = 'received') as line_count from lot`,
  );
  await connection.end();
  const seen = new Map<string, number>();
  let half = 0;
  for (const { note, received, moved, line_count: lines } of rows as {
    note: string;
    received: string;
    moved: string;
    line_count: number;
  }[]) {
    seen.set(note, (seen.get(note) ?? 0) + 1);
    if (Number(lines) !== 1 || Math.abs(Number(received) - Number(moved)) > 1e-9) half += 1;
  }
  const all = [...acknowledged.keys()];
  return {
    found: all.filter((marker) => seen.has(marker)).length,
    lost: all.filter((marker) => !seen.has(marker)).length,
    doubled: [...seen.values()].filter((n) => n > 1).length,
    half,
  };
}

async function main(): Promise<void> {
  await setUp();
  const begin = Date.now();
  const writers = [1, 2, 3, 4].map(() => writer());
  // The first good one, for what is killed later to be held against.
  execFileSync("bin/backup", [], { env: env(), stdio: "ignore" });
  const order = KINDS.flatMap((kind) => Array.from({ length: kind.times }, () => kind));
  for (let at = order.length - 1; at > 0; at -= 1) {
    const other = Math.floor(chance() * (at + 1));
    [order[at], order[other]] = [order[other]!, order[at]!];
  }
  const done = new Map<string, number>();
  const failed: string[] = [];
  for (const [index, { name, once }] of order.entries()) {
    await pause(between(0, 40));
    await once().catch((error: unknown) =>
      failed.push(`${name}: ${error instanceof Error ? error.message : String(error)}`),
    );
    done.set(name, (done.get(name) ?? 0) + 1);
    if ((index + 1) % 100 === 0)
      console.log(`${index + 1} of ${order.length}; ${acknowledged.size} acknowledged, ${failed.length} amiss`);
  }
  await machineWell();
  isOver = true;
  await Promise.all(writers);
  const { found, lost, doubled, half } = await count();
  const table = [
    `${order.length} faults in ${Math.round((Date.now() - begin) / 1000)} s, seed ${seedText}; ${asked} writes asked by four writers, sent again ${waited} times, signed in again ${signedInAgain} times.`,
    "",
    "| acknowledged | found | lost | doubled | half-written | overdrawn by two people | amiss besides |",
    "|---|---|---|---|---|---|---|",
    `| ${acknowledged.size} | ${found} | ${lost} | ${doubled} | ${half} | ${overdrawn} of ${contests} | ${failed.length} |`,
    "",
    "| fault | times |",
    "|---|---|",
    ...[...done].map(([name, n]) => `| ${name} | ${n} |`),
    "",
    `Of the updates that were cut, ${migrationsTold} said which file to see to; the others went on by themselves.`,
  ].join("\n");
  console.log(table);
  for (const words of failed) console.log(`- ${words}`);
  if (process.env.RUCHKA_BENCH_WRITE)
    writeFileSync(
      "bench/faults.md",
      `# Faults on purpose\n\n\`bench/faults/run ${scaleText} ${seedText}\`.\n\n${table}\n`,
    );
  await machine.stop();
  for (const left of readdirSync(home)) rmSync(path.join(home, left), { recursive: true, force: true });
  rmSync(home, { recursive: true, force: true });
  process.exit(lost + doubled + half + overdrawn + failed.length === 0 ? 0 : 1);
}

main().catch(async (error: unknown) => {
  console.error(error);
  await machine.stop().catch(() => undefined);
  process.exit(1);
});
