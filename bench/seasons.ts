/**
 * The season's report, trials, costs and practice with one season of records and with ten, beside the bare SQL of their rows in the same run. `bench/run seasons`.
 */
import { writeFileSync } from "node:fs";
import os from "node:os";
import { openPool, type Database } from "../src/data/db";
import { listBatches } from "../src/data/batch";
import { findFarm, type Farm } from "../src/data/farm";
import { listPlotApplications } from "../src/data/field";
import { migrate } from "../src/data/migrate";
import { listAttempts } from "../src/data/practice";
import { listAllDraws } from "../src/data/shed";
import { seedDemo } from "../src/demo/seed";
import type { Context } from "../src/services/context";
import { readLedger } from "../src/services/ledger";
import { readPractice } from "../src/services/practice";
import { readReport } from "../src/services/report";
import { now } from "../src/services/runtime";
import { readTrials } from "../src/services/trials";
import { tellSeasons } from "./copies";
import { rowsOf, type View } from "./timing";

const SEASONS = 10;
const SPAN = { from: "2030-01-12", to: "2031-01-11" };

async function measure(pool: Database, farm: Farm, size: string): Promise<string[]> {
  const ctx: Context = { pool, now, actor: { id: 1, name: "bench", role: "steward" } };
  const { from, to } = SPAN;
  const views: readonly View[] = [
    [
      "report of a season",
      () => readReport(ctx, farm, SPAN),
      () =>
        Promise.all([
          pool.query("select * from application where at >= ? and at < ?", [from, to]),
          pool.query("select * from batch where started_at >= ? and started_at < ?", [from, to]),
        ]),
    ],
    ["trials", () => readTrials(ctx, farm), () => pool.query("select * from reading")],
    [
      "costs, all years",
      () => readLedger(ctx, farm),
      () => Promise.all([listBatches(pool, 100_000), listAllDraws(pool), listPlotApplications(pool)]),
    ],
    ["practice", () => readPractice({ ctx, farm, people: [] }), () => listAttempts(pool, null)],
  ];
  return rowsOf(size, views);
}

/** The demo farm with so many seasons behind it, measured. */
async function measureWith(admin: Database, url: URL, seasons: number): Promise<string[]> {
  await admin.query("drop database if exists ruchka_bench");
  await admin.query("create database ruchka_bench character set utf8mb4");
  url.pathname = "/ruchka_bench";
  await migrate(url.href);
  const pool = openPool(url.href);
  await seedDemo(pool, now());
  await tellSeasons(pool, seasons);
  const rows = await measure(pool, (await findFarm(pool))!, seasons === 1 ? "1 season" : `${seasons} seasons`);
  await pool.end();
  await admin.query("drop database ruchka_bench");
  return rows;
}

async function main(): Promise<void> {
  const url = new URL(process.env.DATABASE_URL ?? "");
  const admin = openPool(url.href, { connectionLimit: 1 });
  const one = await measureWith(admin, url, 1);
  const ten = await measureWith(admin, url, SEASONS);
  const table = [
    "# Records with ten seasons beside one",
    "",
    `Node ${process.version}, ${os.cpus().length} cores (${os.cpus()[0]?.model ?? "unknown"}); the demo farm with 1 and with ${SEASONS} seasons of finished batches, entries and applications behind it.`,
    "",
    "| data | view | bare SQL, median ms | view, first ms | view, median ms |",
    "|---|---|---|---|---|",
    ...one,
    ...ten,
    "",
  ].join("\n");
  writeFileSync("bench/seasons.md", table);
  console.log(table);
  await admin.end();
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
