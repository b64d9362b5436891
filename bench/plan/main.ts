/**
 * The season planner on worked seasons: first plan, and the best of three seeds after some seconds of one core, beside what a trial of the method reached, the bounds that an
 * exact solver proved, and the habit of a full drum when one has run out.
 *   bench/plan/run [SECONDS,…] [--write]
 */
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { fullDrumHabit, reorderHabit } from "../../src/core/plan/habit";
import { Planning } from "../../src/core/plan/planSeason";
import type { Season, SeasonPlan } from "../../src/core/plan/season";
import { verifyPlan } from "../../src/core/plan/verify";

interface Pair {
  readonly unmet: number;
  readonly cost: number;
}
interface Figures {
  readonly season: string;
  /** Missing where a season is planned again: that is for `events`. */
  readonly needs?: number;
  readonly floorUnmet: number;
  readonly bound: { readonly unmet: number; readonly costAtTrialsUnmet: number } | null;
  /** A small season was tried for one second alone. */
  readonly trial: { readonly s1?: Pair; readonly s10?: Pair };
  readonly reach: Pair;
}
const FOLDER = [path.resolve("../shared/vectors/season"), path.resolve("tests/vectors/season")].find(existsSync)!;
const SEEDS = [1, 2, 3];
const read = (name: string): Season => {
  const told = JSON.parse(readFileSync(path.join(FOLDER, name), "utf8")) as Season | { season: Season };
  return "season" in told ? told.season : told;
};
const say = (pair: Pair | null | undefined): string => (pair ? `${pair.unmet} / ${Math.round(pair.cost)}` : "not told");
const better = (one: Pair, other: Pair): Pair =>
  one.unmet < other.unmet || (one.unmet === other.unmet && one.cost <= other.cost) ? one : other;

/** One search, looked at when so many seconds of it are gone. */
function run(season: Season, seed: number, marksS: readonly number[]) {
  const begun = performance.now();
  const planning = new Planning(season, { ms: marksS.at(-1)! * 1000, seed }, () => performance.now());
  let firstMs = NaN;
  let first: SeasonPlan | null = null;
  const at: Pair[] = [];
  let isOver = false;
  while (!isOver) {
    isOver = planning.step();
    if (planning.hasNews && !first) {
      firstMs = performance.now() - begun;
      first = planning.best();
    }
    while (at.length < marksS.length && performance.now() - begun >= marksS[at.length]! * 1000) {
      const { unmet, cost } = planning.progress;
      at.push({ unmet, cost });
    }
  }
  const last = planning.finish("time");
  const { feasible, score } = verifyPlan(season, last);
  if (!feasible) throw new Error(`${season.name}: a plan that breaks rules`);
  at[marksS.length - 1] = { unmet: score.unmet, cost: score.cost };
  return { firstMs, first: first!.score, at, rounds: planning.progress.rounds };
}

function main(): void {
  const [given = "1,10"] = process.argv.slice(2).filter((one) => one !== "--write");
  const marksS = given.split(",").map(Number);
  const figures = JSON.parse(readFileSync(path.join(FOLDER, "figures.json"), "utf8")) as { seasons: Figures[] };
  const lines: string[] = [];
  for (const { season: name, needs, bound, trial, reach } of figures.seasons) {
    if (needs === undefined || !existsSync(path.join(FOLDER, name))) continue;
    const season = read(name);
    const runs = SEEDS.map((seed) => run(season, seed, marksS));
    const habit: Pair = verifyPlan(season, fullDrumHabit(season)).score;
    const careful: Pair = verifyPlan(season, reorderHabit(season)).score;
    const best = marksS.map((_, nth) => runs.map(({ at }) => at[nth]!).reduce(better));
    const isReached =
      best.at(-1)!.unmet < reach.unmet || (best.at(-1)!.unmet === reach.unmet && best.at(-1)!.cost <= reach.cost);
    lines.push(
      `| ${name.replace(".json", "")} | ${needs} | ${say(bound && { unmet: bound.unmet, cost: bound.costAtTrialsUnmet })} | ${Math.round(Math.max(...runs.map(({ firstMs }) => firstMs)))} ms: ${say(runs[0]!.first)} | ${best.map(say).join(" | ")} | ${say(trial.s10 ?? trial.s1)} | ${say(reach)}${isReached ? "" : ", not reached"} | ${say(careful)} | ${say(habit)} | ${runs.map(({ rounds }) => rounds).join(", ")} |`,
    );
    process.stdout.write(`${lines.at(-1)}\n`);
  }
  const text = [
    `Node ${process.version}, ${os.cpus().length} cores (${os.cpus()[0]?.model ?? "unknown"}), one search at a time; unmet weight / cost, best of seeds ${SEEDS.join(", ")}; each last plan held against every rule. Heap at the end ${Math.round(process.memoryUsage().heapUsed / 1e6)} MB.`,
    "",
    `| season | needs | bound | first plan | ${marksS.map((seconds) => `${seconds} s`).join(" | ")} | trial, 10 s (small: 1 s) | to reach in 10 s | reorder in time | full drum | rounds |`,
    `|---|---|---|---|${marksS.map(() => "---").join("|")}|---|---|---|---|---|`,
    ...lines,
  ].join("\n");
  process.stdout.write(`\n${text}\n`);
  if (process.argv.includes("--write"))
    writeFileSync("bench/plan.md", `# The season planner\n\n\`bench/plan/run ${given}\`.\n\n${text}\n`);
}
main();
