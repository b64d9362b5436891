/**
 * Planning again: fifty things that happen to a season under way, each planned again from the plan before and, beside it, afresh with the plan before ignored.
 *   bench/plan/run events [ROUNDS] [--write]
 */
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { chanceFrom, type Chance } from "../../src/core/chance";
import { planSeason } from "../../src/core/plan/planSeason";
import type { PlanBatch, Season } from "../../src/core/plan/season";
import { verifyPlan } from "../../src/core/plan/verify";
import { handOver } from "./handOver";

const FOLDER = [path.resolve("../shared/vectors/season"), path.resolve("tests/vectors/season")].find(existsSync)!;
const SEASONS = ["medium-21", "medium-22", "small-11"];
const EVENTS = 50;
const read = (name: string): Season => {
  const told = JSON.parse(readFileSync(path.join(FOLDER, `${name}.json`), "utf8")) as Season | { season: Season };
  return "season" in told ? told.season : told;
};
const pick = <T>(chance: Chance, list: readonly T[]): T => list[Math.floor(chance.uniform() * list.length)]!;

/** What happens, and the season after it. */
const HAPPENINGS: Readonly<Record<string, (season: Season, chance: Chance) => Season>> = {
  "a batch spoilt": (season) => {
    const largest = season.running.toSorted((one, other) => other.fillL - one.fillL)[0];
    return { ...season, running: season.running.filter((one) => one !== largest) };
  },
  "a vessel out for 21 days": (season, chance) => {
    const standing = new Set(season.running.map(({ vessel }) => vessel));
    const free = season.vessels.filter(({ id }) => !standing.has(id));
    const out = pick(chance, free.length > 0 ? free : season.vessels);
    return {
      ...season,
      running: season.running.filter(({ vessel }) => vessel !== out.id),
      vessels: season.vessels.map((one) => (one === out ? { ...one, fromDay: season.nowDay + 21 } : one)),
    };
  },
  "two cold weeks": (season) => ({
    ...season,
    durations: season.durations.map((row) => ({
      ...row,
      daysByStart: row.daysByStart.map((takes, day) =>
        takes !== null && day >= season.nowDay && day < season.nowDay + 14 ? Math.ceil(takes * 1.25) : takes,
      ),
    })),
  }),
  "a planting a week later": (season, chance) => {
    const { planting } = pick(chance, season.needs);
    return {
      ...season,
      needs: season.needs
        .map((need) =>
          need.planting === planting
            ? {
                ...need,
                earliestDay: need.earliestDay + 7,
                latestDay: need.latestDay + 7,
                preferredDay: need.preferredDay + 7,
              }
            : need,
        )
        .filter(({ latestDay }) => latestDay < season.days),
    };
  },
  "a new planting": (season, chance) => {
    const { planting } = pick(chance, season.needs);
    const was = season.plantings.find(({ id }) => id === planting)!;
    return {
      ...season,
      plantings: [...season.plantings, { ...was, id: `${was.id}-new`, plot: `${was.plot}-new` }],
      needs: [
        ...season.needs,
        ...season.needs
          .filter((need) => need.planting === planting)
          .map((need) => ({ ...need, id: `${need.id}-new`, planting: `${was.id}-new` })),
      ],
    };
  },
  "nothing": (season) => season,
};

const isSame = (one: PlanBatch, other: PlanBatch): boolean =>
  one.input === other.input && one.vessel === other.vessel && one.startDay === other.startDay;

interface Row {
  runs: number;
  kept: number;
  near: number;
  keptFresh: number;
  unmet: number;
  unmetFresh: number;
  cost: number;
  costFresh: number;
  broken: number;
}
function main(): void {
  const rounds = Number(process.argv.slice(2).find((one) => one !== "--write") ?? 1500);
  const chance = chanceFrom(19);
  const plans = SEASONS.map((name) => {
    const season = read(name);
    return { season, plan: planSeason(season, { iterations: rounds, seed: 1 }, () => 0) };
  });
  const rows = new Map<string, Row>();
  for (let nth = 0; nth < EVENTS; nth += 1) {
    const [what, happens] = Object.entries(HAPPENINGS)[nth % Object.keys(HAPPENINGS).length]!;
    const { season, plan } = plans[nth % plans.length]!;
    const day = 7 * (2 + Math.floor(chance.uniform() * (season.days / 7 - 5)));
    const under = handOver(season, plan, day);
    const after = happens(under, chance);
    const again = planSeason(after, { iterations: rounds, seed: 1 }, () => 0);
    const fresh = planSeason({ ...after, previous: null }, { iterations: rounds, seed: 1 }, () => 0);
    const near = under.previous!.batches.filter(({ startDay }) => startDay < day + 21);
    const keptIn = ({ batches }: { readonly batches: readonly PlanBatch[] }): number =>
      near.filter((one) => batches.some((other) => isSame(one, other))).length;
    const row = rows.get(what) ?? {
      ...{ runs: 0, kept: 0, near: 0, keptFresh: 0, unmet: 0, unmetFresh: 0, cost: 0, costFresh: 0, broken: 0 },
    };
    rows.set(what, row);
    row.runs += 1;
    row.near += near.length;
    row.kept += keptIn(again);
    row.keptFresh += keptIn(fresh);
    row.unmet += again.score.unmet;
    row.unmetFresh += fresh.score.unmet;
    row.cost += again.score.cost;
    row.costFresh += fresh.score.cost;
    row.broken += Number(!verifyPlan(after, again).feasible);
    process.stderr.write(".");
  }
  const share = (part: number, whole: number): string => (whole === 0 ? "–" : `${Math.round((100 * part) / whole)} %`);
  const mean = (sum: number, runs: number): string => String(Math.round((10 * sum) / runs) / 10);
  const text = [
    `# Planning again`,
    "",
    `\`bench/plan/events ${rounds}\`: ${EVENTS} things that happen to a season under way (${SEASONS.join(", ")}), on Mondays by chance, ${rounds} rounds each; unmet weight and cost of what is still ahead, on average; kept: batches of the next 21 days that begin where and when they were to.`,
    "",
    "| what happened | times | plans that break a rule | kept | kept afresh | unmet | unmet afresh | cost | cost afresh |",
    "|---|---|---|---|---|---|---|---|---|",
    ...[...rows].map(
      ([what, row]) =>
        `| ${what} | ${row.runs} | ${row.broken} | ${share(row.kept, row.near)} | ${share(row.keptFresh, row.near)} | ${mean(row.unmet, row.runs)} | ${mean(row.unmetFresh, row.runs)} | ${mean(row.cost, row.runs)} | ${mean(row.costFresh, row.runs)} |`,
    ),
  ].join("\n");
  process.stdout.write(`\n${text}\n`);
  if (process.argv.includes("--write")) writeFileSync("bench/replan.md", `${text}\n`);
}
main();
