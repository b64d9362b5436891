import { writeFileSync } from "node:fs";
import os from "node:os";
import { openPool, type Database, type Queryable } from "../src/data/db";
import { listLastByMethod, listPlotApplications, listPlots, listTools } from "../src/data/field";
import { listBatches, listRunningBatches, listStandingOfRunning } from "../src/data/batch";
import { findFarm, type Farm } from "../src/data/farm";
import { migrate } from "../src/data/migrate";
import { listRecipeVersions } from "../src/data/recipes";
import { listAllDraws, listLotsOf, listLotsOnHand } from "../src/data/shed";
import { listStoresOnHand } from "../src/data/stores";
import { listVesselStates } from "../src/data/vessels";
import { seedDemo } from "../src/demo/seed";
import type { Context } from "../src/services/context";
import { readBatch } from "../src/services/batch";
import { readBook } from "../src/services/book";
import { readField } from "../src/services/field";
import { readLedger } from "../src/services/ledger";
import { readShed, readCount, readItem, readShopping } from "../src/services/shed";
import { readYard } from "../src/services/yard";
import { now } from "../src/services/runtime";
import { fillShed } from "./fillShed";
import { fortyBatches } from "./fortyBatches";
import { multiply } from "./copies";
import { rowsOf, type View } from "./timing";

async function measure(pool: Database, farm: Farm, size: string): Promise<string[]> {
  const db: Queryable = pool;
  const ctx: Context = { pool, now, actor: { id: 1, name: "bench", role: "steward" } };
  const views: readonly View[] = [
    [
      "yard",
      () => readYard(ctx, farm),
      () => Promise.all([listVesselStates(db), listRunningBatches(db), listStandingOfRunning(db)]),
    ],
    ["batch", () => readBatch(ctx, farm, 5), () => pool.query("select * from batch_entry where batch_id = 5")],
    [
      "book, for a day",
      () => readBook(ctx, farm, "2031-02-10"),
      () => Promise.all([listVesselStates(db), listLotsOnHand(db), listRecipeVersions(db)]),
    ],
    ["shed", () => readShed(ctx, farm), () => Promise.all([listLotsOnHand(db), listStoresOnHand(db)])],
    [
      "field",
      () => readField(ctx, farm),
      () =>
        Promise.all([
          listPlots(db, "2031-03-20"),
          listLastByMethod(db, new Date(0)),
          listStoresOnHand(db),
          listTools(db),
        ]),
    ],
    [
      "ledger",
      () => readLedger(ctx, farm),
      () =>
        Promise.all([
          listBatches(db, 100_000),
          listAllDraws(db),
          listPlotApplications(db),
          listPlots(db, "2031-03-20"),
        ]),
    ],
  ];
  return rowsOf(size, views);
}

/** The shed alone, on shelves that are full: what it answers beside the bare SQL of it. */
async function measureShed(pool: Database, farm: Farm, size: string): Promise<string[]> {
  const ctx: Context = { pool, now, actor: { id: 1, name: "bench", role: "steward" } };
  const views: readonly View[] = [
    ["shed", () => readShed(ctx, farm), () => Promise.all([listLotsOnHand(pool), listStoresOnHand(pool)])],
    ["one container", () => readItem(ctx, "molasses", "2031-01-11"), () => listLotsOf(pool, "molasses")],
    ["shopping", () => readShopping(ctx, farm), () => listLotsOnHand(pool)],
    ["count", () => readCount(ctx, farm), () => listLotsOnHand(pool)],
  ];
  return rowsOf(size, views);
}

async function main(): Promise<void> {
  const url = new URL(process.env.DATABASE_URL ?? "");
  const admin = openPool(url.href, { connectionLimit: 1 });
  await admin.query("drop database if exists ruchka_bench");
  await admin.query("create database ruchka_bench character set utf8mb4");
  url.pathname = "/ruchka_bench";
  await migrate(url.href);
  const pool = openPool(url.href);
  await seedDemo(pool, now());
  const farm = await findFarm(pool);
  if (!farm) throw new Error("The demo farm was not made.");
  const small = [...(await measure(pool, farm, "demo")), ...(await measureShed(pool, farm, "demo, the shed"))];
  await fillShed(pool);
  const full = await measureShed(pool, farm, "5000 lots, 300 ingredients, 50 000 lines");
  await pool.query("delete from stock_movement where lot_id in (select id from lot where place like 'shelf %')");
  await pool.query("delete from lot_balance where lot_id in (select id from lot where place like 'shelf %')");
  await pool.query("delete from lot where place like 'shelf %'");
  await multiply(pool, 100);
  const large = await measure(pool, farm, "100 ×");
  const [[counts]] = (await pool.query(
    "select (select count(*) from vessel) as vessels, (select count(*) from batch) as batches, (select count(*) from batch_entry) as entries, (select count(*) from lot) as lots, (select count(*) from plot) as plots",
  )) as unknown as [[Record<string, number>]];
  const { forecastMs, assessMs } = fortyBatches();
  const table = [
    `Node ${process.version}, ${os.cpus().length} cores (${os.cpus()[0]?.model ?? "unknown"}). 100 × means ${Object.entries(
      counts ?? {},
    )
      .map(([what, count]) => `${count} ${what}`)
      .join(", ")}.`,
    "",
    "| data | view | bare SQL, median ms | view, first ms | view, median ms |",
    "|---|---|---|---|---|",
    ...small,
    ...full,
    ...large,
    "",
    `Forty running batches of all methods, observed and half-way, one after the other with nothing kept, median: ${assessMs.toFixed(0)} ms for all that a page says of them (forecast, verdict, what warmth would change, which look would tell most), ${forecastMs.toFixed(0)} ms for the bare forecasts.`,
    "",
  ].join("\n");
  writeFileSync("bench/latest.md", table);
  console.log(table);
  await pool.end();
  await admin.query("drop database ruchka_bench");
  await admin.end();
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
