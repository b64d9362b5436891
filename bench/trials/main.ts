/**
 * Trials of which the truth is known, judged by the product's own code: how often one of nothing is called, how often the interval holds the true difference, and what is
 * said where something acts; beside Student's paired t test on the same figures.
 *   bench/trials/run [RUNS] [--write]
 */
import { writeFileSync } from "node:fs";
import { chanceFrom, type Chance } from "../../src/core/chance";
import { analyseTrial, type Trial } from "../../src/core/trial";
import { tQuantile } from "../../src/core/trial/distributions";

const RUNS = Number(process.argv.slice(2).find((one) => one !== "--write") ?? 1000);
const LOOK_RUNS = Math.max(50, Math.round(RUNS / 4));
type Pair = { readonly with: number; readonly without: number };

/** A pair of strips of which one got something that adds so much. */
const KINDS: Readonly<Record<string, (chance: Chance, adds: number) => Pair>> = {
  "normal": (chance, adds) => ({
    with: 100 + adds + chance.normal() * Math.SQRT1_2,
    without: 100 + chance.normal() * Math.SQRT1_2,
  }),
  "skewed (log-normal)": (chance, adds) => ({
    with: 100 + adds + Math.exp(chance.normal()),
    without: 100 + Math.exp(chance.normal()),
  }),
  "wild (one in ten five times wider)": (chance, adds) => {
    const one = (): number => chance.normal() * (chance.uniform() < 0.1 ? 5 : 1);
    return { with: 100 + adds + one(), without: 100 + one() };
  },
  "counts (overdispersed)": (chance, adds) => {
    const one = (): number => Math.max(0, Math.round(4 * Math.exp(0.6 * chance.normal()) + chance.normal()));
    return { with: one() + adds, without: one() };
  },
};
const sized = (chance: Chance, n: number, kind: string, adds: number): Pair[] =>
  Array.from({ length: n }, () => KINDS[kind]!(chance, adds));
const armOf = (pairs: readonly Pair[], change: Partial<Trial> = {}) =>
  analyseTrial({ measure: { kind: "number" }, looks: "one", applications: 4, pairs, ...change }).arms[0]!;
const of100 = (count: number, runs: number): string => ((100 * count) / runs).toFixed(1);

/** Whether Student's paired test calls a difference. */
function byStudent(pairs: readonly Pair[]): boolean {
  const differences = pairs.map((pair) => pair.with - pair.without);
  const mean = differences.reduce((sum, one) => sum + one, 0) / differences.length;
  const variance = differences.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (differences.length - 1);
  return Math.abs(mean) > tQuantile(0.975, differences.length - 1) * Math.sqrt(variance / differences.length);
}

function typeOne(): string[] {
  const sizes = [5, 6, 7, 8, 10];
  const lines = [
    `| values | ${sizes.map((n) => `${n} pairs`).join(" | ")} | t test |`,
    `|---|${sizes.map(() => "---|").join("")}---|`,
  ];
  for (const kind of Object.keys(KINDS)) {
    let [calledByT, tried] = [0, 0];
    const cells = sizes.map((n) => {
      const chance = chanceFrom(100 + n);
      let [called, held, told] = [0, 0, 0];
      for (let run = 0; run < RUNS; run += 1) {
        const pairs = sized(chance, n, kind, 0);
        const { p, low, high } = armOf(pairs);
        called += Number(p <= 0.05);
        if (low !== null && high !== null) {
          told += 1;
          held += Number(low <= 0 && high >= 0);
        }
        calledByT += Number(byStudent(pairs));
        tried += 1;
      }
      return `${of100(called, RUNS)}, ${told === 0 ? "no interval" : of100(held, told)}`;
    });
    lines.push(`| ${kind} | ${cells.join(" | ")} | ${of100(calledByT, tried)} |`);
    process.stderr.write(".");
  }
  return lines;
}

/** Looked at again and again: called at any look. */
function looks(): string[] {
  const lines = [
    "| looks at | true difference | spending (the product's) | again and again at 5 % | once, at the end |",
    "|---|---|---|---|---|",
  ];
  for (const plan of [
    [7, 10],
    [6, 9, 12],
  ])
    for (const adds of [0, 1]) {
      const chance = chanceFrom(plan.length);
      let [spent, naive, once] = [0, 0, 0];
      for (let run = 0; run < LOOK_RUNS; run += 1) {
        const pairs = sized(chance, plan.at(-1)!, "normal", adds);
        const seen = plan.map((n, nth) => {
          const { low, high } = armOf(pairs.slice(0, n), { looks: { earlier: plan.slice(0, nth) } });
          return low !== null && high !== null && (low > 0 || high < 0);
        });
        spent += Number(seen.some(Boolean));
        naive += Number(plan.some((n) => armOf(pairs.slice(0, n)).p <= 0.05));
        once += Number(armOf(pairs).p <= 0.05);
      }
      lines.push(
        `| ${plan.join(", ")} | ${adds === 0 ? "none" : `${adds} spread`} | ${[spent, naive, once].map((count) => of100(count, LOOK_RUNS)).join(" | ")} |`,
      );
      process.stderr.write(".");
    }
  return lines;
}

/** What is said, by what is so. */
function words(): string[] {
  const lines = [
    "| pairs | true difference | helped | no large difference | can't tell | harmed |",
    "|---|---|---|---|---|---|",
  ];
  for (const n of [6, 8, 12])
    for (const adds of [0, 0.5, 1]) {
      const chance = chanceFrom(n);
      const said: Record<string, number> = {};
      for (let run = 0; run < RUNS; run += 1) {
        const { verdict } = armOf(sized(chance, n, "normal", adds), { measure: { kind: "number", smallest: 1 } });
        said[verdict] = (said[verdict] ?? 0) + 1;
      }
      const cells = ["likely-helped", "likely-no-large-difference", "cannot-tell", "likely-harmed"].map((verdict) =>
        Math.round((100 * (said[verdict] ?? 0)) / RUNS),
      );
      lines.push(`| ${n} | ${adds === 0 ? "none" : `${adds} of what matters`} | ${cells.join(" | ")} |`);
      process.stderr.write(".");
    }
  return lines;
}

/** Several inputs against one control, none of which acts. */
function several(): string {
  const chance = chanceFrom(3);
  let [held, bare] = [0, 0];
  for (let run = 0; run < LOOK_RUNS; run += 1) {
    const readings = Array.from({ length: 8 }, (_, block) =>
      ["a", "b", "c", "without"].map((arm) => ({ block, arm, value: 100 + chance.normal() })),
    ).flat();
    const { arms } = analyseTrial({
      design: "blocks",
      measure: { kind: "number" },
      looks: "one",
      applications: 4,
      readings,
    });
    held += Number(arms.some(({ seen }) => seen === "more" || seen === "less"));
    bare += Number(arms.some(({ p }) => p <= 0.05));
  }
  return `Three inputs, one control, 8 blocks, none acts: any called in ${of100(held, LOOK_RUNS)} of 100 with the step-down, ${of100(bare, LOOK_RUNS)} without.`;
}

const text = [
  "# Trials of which the truth is known",
  "",
  `\`bench/trials/run ${RUNS}\`: ${RUNS} trials a cell (looks and several inputs ${LOOK_RUNS}), seeded. A promise of 5 means: at most 5 of 100 trials of nothing are called.`,
  "",
  "## Nothing acts: called, and held by the interval, of 100",
  "",
  ...typeOne(),
  "",
  "## Looked at more than once: ever called, of 100",
  "",
  ...looks(),
  "",
  several(),
  "",
  "## What is said, of 100 (one look; the smallest difference that matters is one spread)",
  "",
  ...words(),
].join("\n");
process.stdout.write(`\n${text}\n`);
if (process.argv.includes("--write")) writeFileSync("bench/trials.md", `${text}\n`);
