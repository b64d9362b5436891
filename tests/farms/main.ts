/**
 * Makes the farms that the walks begin on, each as a dump in the folder that is named: from the empty farm's dump, or told on top of another's. All in
 * one process, as loading Ruchka takes longer than telling most of them.
 */
import { execFile } from "node:child_process";
import { createHash } from "node:crypto";
import { writeFile } from "node:fs/promises";
import path from "node:path";
import { promisify } from "node:util";
import { listActors } from "@/data/farm";
import { findSession, insertSession } from "@/data/people";
import { seedDemo } from "@/demo/seed";
import { now, pool } from "@/services/runtime";
import { client, copyOf, drop } from "@/testing/copyDatabase";
import { WALK_TOKEN } from "../harness/signedIn";
import { blueDrum } from "./blueDrum";
import { fermentFarm } from "./fermentFarm";
import { ripe } from "./ripe";
import { workshop } from "./workshop";
import { yards } from "./yards";

interface Telling {
  readonly name: string;
  /** What it is told on top of. */
  readonly from: string;
  readonly tell: () => Promise<unknown>;
}

const FARMS: readonly Telling[] = [
  { name: "demo", from: "new", tell: () => seedDemo(pool(), now()) },
  { name: "ready", from: "demo", tell: () => blueDrum(false) },
  { name: "strained", from: "ready", tell: () => blueDrum(true) },
  { name: "ferment", from: "new", tell: fermentFarm },
  { name: "workshop", from: "new", tell: () => workshop("metric") },
  { name: "workshop-us", from: "new", tell: () => workshop("us") },
  { name: "yards", from: "workshop", tell: yards },
  { name: "ripe", from: "workshop", tell: () => ripe("metric") },
  { name: "ripe-us", from: "workshop-us", tell: () => ripe("us") },
];
const DUMP = [
  "--skip-lock-tables",
  "--skip-add-drop-table",
  "--skip-comments",
  "--routines",
  "--hex-blob",
  "--no-autocommit",
];

const DAY_MS = 86_400_000;

/** The first person of the farm is signed in by the token that every walk brings along. */
async function signIn(): Promise<void> {
  const db = pool();
  const [actor] = await listActors(db);
  const tokenSha256 = createHash("sha256").update(WALK_TOKEN).digest();
  const at = now();
  const known = await findSession(db, tokenSha256, at, at);
  if (actor && !known)
    await insertSession(db, {
      tokenSha256,
      actorId: actor.id,
      device: "",
      address: "",
      at,
      endsAt: new Date(at.getTime() + 400 * DAY_MS),
    });
}

const holder = globalThis as { ruchkaPool?: unknown; ruchkaClockOffsetMs?: unknown };

async function main(): Promise<void> {
  const [folder = "."] = process.argv.slice(2);
  const server = process.env.DATABASE_URL ?? "";
  const dumpOf = (name: string) => path.join(folder, `${name}.sql`);
  for (const { name, from, tell } of FARMS) {
    const database = await copyOf(dumpOf(from), server);
    process.env.DATABASE_URL = database.href;
    // Each farm has a connection and a clock of its own, as in a process of its own.
    delete holder.ruchkaPool;
    delete holder.ruchkaClockOffsetMs;
    await tell();
    await signIn();
    await pool().end();
    const { args, options } = client(database);
    const { stdout } = await promisify(execFile)("mariadb-dump", [...args, ...DUMP, database.pathname.slice(1)], {
      ...options,
      maxBuffer: 1e9,
    });
    await writeFile(dumpOf(name), stdout);
    await drop(database);
  }
}

void main();
