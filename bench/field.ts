/**
 * The field at size: the plan, one plot's page, its trace, and putting something on twelve plots, with ten plots and with 300 that got 20,000 things.
 * Beside each the bare SQL for the rows that it shows. Wants DATABASE_URL of a server on which it may make databases; `--write` makes field.md.
 */
import { writeFileSync } from "node:fs";
import os from "node:os";
import { findFarm } from "../src/data/farm";
import { select } from "../src/data/db";
import { seekLatest } from "../src/data/field";
import { applyStore, readField, readPlot } from "../src/services/field";
import { readTrace } from "../src/services/trace";
import { key, NOW, RAIN_ID, TestFarm } from "../src/testing/scratch";

const SIZES = [
  { plots: 10, applications: 670 },
  { plots: 300, applications: 20_000 },
] as const;
const WARM = 3;
const TIMES = 15;
const PLOTS_AT_ONCE = 10;
const ROWS_AT_ONCE = 2000;

async function median(work: (turn: number) => Promise<unknown>): Promise<number> {
  for (let turn = 0; turn < WARM; turn += 1) await work(turn);
  const took: number[] = [];
  for (let turn = 0; turn < TIMES; turn += 1) {
    const from = performance.now();
    await work(WARM + turn);
    took.push(performance.now() - from);
  }
  return took.toSorted((a, b) => a - b)[Math.floor(TIMES / 2)]!;
}

/** A farm with so many plots, on each of which things went in turn, an hour apart. */
async function farmOf({ plots, applications }: (typeof SIZES)[number]) {
  const farm = await TestFarm.make();
  const { db } = farm.scratch;
  const storeId = await farm.strained();
  const toolId = await farm.can();
  const ids: number[] = [];
  for (let plot = 0; plot < plots; plot += 1) ids.push(await farm.plot(`Bed ${plot + 1}`));
  const whole = (rows: readonly (readonly unknown[])[]) =>
    rows.map((row) => `(${row.map((cell) => (typeof cell === "string" ? `'${cell}'` : cell)).join(", ")})`).join(", ");
  for (let from = 0; from < applications; from += ROWS_AT_ONCE) {
    const numbers = Array.from({ length: Math.min(ROWS_AT_ONCE, applications - from) }, (_, index) => from + index + 1);
    const at = (number: number) =>
      new Date(NOW.getTime() - (applications - number + 1) * 3_600_000).toISOString().slice(0, 23).replace("T", " ");
    await select(
      db,
      `insert into application (id, store_id, use_id, parts_water, mix_rate_l, mix_rate_per, tool_id, mix_l, concentrate_l, carries, loads, labour_min, note, at, actor_id, added_at)
       values ${whole(numbers.map((n) => [n, storeId, "drench-growing", 250, 2, "m2", toolId, 18, 0.07, "", "[]", 10, "", at(n), 1, at(n)]))}`,
    );
    await select(
      db,
      `insert into application_plot (application_id, plot_id, mix_l, concentrate_l)
       values ${whole(numbers.map((n) => [n, ids[n % ids.length], 18, 0.07]))}`,
    );
  }
  await seekLatest(db, ids);
  return { farm, db, storeId, toolId, ids, row: (await findFarm(db))! };
}

type At = Awaited<ReturnType<typeof farmOf>>;
const OF_PLOT = "select * from application_plot join application on application.id = application_id where plot_id = ?";

const MEASURED: Readonly<
  Record<string, { ours: (at: At, turn: number) => Promise<unknown>; bare: (at: At) => Promise<unknown> }>
> = {
  "the plan": {
    ours: ({ farm, row }) => readField(farm.context(), row),
    bare: ({ db }) =>
      select(
        db,
        "select plot.*, (select max(application_id) from application_plot where plot_id = plot.id) as latest from plot",
      ),
  },
  "a plot": {
    ours: ({ farm, row, ids }) => readPlot(farm.context(), row, ids[5]!),
    bare: ({ db, ids }) => select(db, OF_PLOT, [ids[5]!]),
  },
  "its trace": {
    ours: ({ farm, row, ids }) => readTrace(farm.context(), row, { plotId: ids[5]! }),
    bare: ({ db, ids }) => select(db, OF_PLOT, [ids[5]!]),
  },
  "putting on ten plots": {
    ours: ({ farm, storeId, toolId, ids }) =>
      applyStore(farm.context(), {
        requestKey: key(),
        storeId,
        useId: "drench-growing",
        ratio: "1:5000",
        mixRateL: 1,
        mixRatePer: "m2",
        toolId,
        plotIds: ids.slice(0, PLOTS_AT_ONCE),
        labourMin: 10,
        overrideReason: "measured",
        water: { sourceId: RAIN_ID },
      }),
    bare: async ({ db, ids }) => {
      for (const id of ids.slice(0, PLOTS_AT_ONCE))
        await select(db, "select * from plot where id = ? for update", [id]);
    },
  },
};

async function main(isWritten: boolean): Promise<void> {
  const farms = [await farmOf(SIZES[0]), await farmOf(SIZES[1])] as const;
  const lines = [
    `Node ${process.version}, ${os.cpus().length} cores; median of ${TIMES}, ms. Ten plots with ${SIZES[0].applications} applications; ${SIZES[1].plots} plots with ${SIZES[1].applications}.`,
    "",
    "| | ten plots | bare SQL | 300 plots | bare SQL | times |",
    "|---|---|---|---|---|---|",
  ];
  for (const [name, { ours, bare }] of Object.entries(MEASURED)) {
    const figures: number[] = [];
    for (const at of farms) figures.push(await median((turn) => ours(at, turn)), await median(() => bare(at)));
    const [few, fewBare, many, manyBare] = figures as [number, number, number, number];
    lines.push(
      `| ${name} | ${few.toFixed(1)} | ${fewBare.toFixed(1)} | ${many.toFixed(1)} | ${manyBare.toFixed(1)} | ${(many / few).toFixed(1)} |`,
    );
    console.log(lines.at(-1));
  }
  for (const { farm } of farms) await farm.scratch.drop();
  if (isWritten) writeFileSync("bench/field.md", `${lines.join("\n")}\n`);
}

void main(process.argv.includes("--write")).then(() => process.exit(0));
