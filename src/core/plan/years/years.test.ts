import { seasonNamed } from "@/testing/season/vectors";
import { planSeason } from "../planSeason";
import type { DurationRow, Season } from "../season";
import { verifyPlan } from "../verify";
import { asPlanned, overYears, simulatedAir, slowSeason, spreadOf, USUAL_SPREAD } from ".";
import { robustPlan } from "./robustPlan";

const still = () => 0;
const planOf = (season: Season, iterations = 60) => planSeason(season, { iterations, seed: 1 }, still);
const longer = (season: Season, by: number): DurationRow[] =>
  season.durations.map((row) => ({
    ...row,
    daysByStart: row.daysByStart.map((takes) => (takes === null ? null : Math.ceil(takes * by))),
  }));
/** Years of which every other is slower. */
const yearsOf = (season: Season): DurationRow[][] =>
  Array.from({ length: 10 }, (_, nth) => longer(season, 1 + 0.05 * nth));

describe("a plan carried out in other years", () => {
  it.each(["three-plots", "small-11", "small-12", "medium-21"])(
    "%s: where batches take as long as was meant, what was planned is met and nothing else",
    (name) => {
      const season = seasonNamed(name);
      const plan = planOf(season);
      expect(asPlanned(season, plan, season.durations)).toEqual(
        season.needs.map(({ id }) => id).filter((id) => plan.unmet.some(({ need }) => need === id)),
      );
    },
  );

  it("where nothing ever gets ready, only what stands already is used", () => {
    const season = seasonNamed("small-11");
    const never = season.durations.map((row) => ({ ...row, daysByStart: row.daysByStart.map(() => null) }));
    const plan = planOf(season);
    const there = new Set([...season.stores, ...season.running].map(({ id }) => id));
    const met = new Set(plan.applications.map(({ need }) => need));
    for (const need of asPlanned(season, plan, never)) met.delete(need);
    for (const { need, draws } of plan.applications)
      if (draws.every(({ from }) => there.has(from))) expect(met.has(need)).toBe(true);
    expect(met.size).toBeLessThan(plan.applications.length);
  });

  it("slower years leave more unmet, and are told by need", () => {
    const season = seasonNamed("small-11");
    const plan = planOf(season);
    const fares = overYears(season, plan, yearsOf(season));
    expect(fares.meanUnmet).toBeGreaterThan(plan.unmet.length);
    expect(fares.worstUnmet).toBeGreaterThanOrEqual(fares.meanUnmet);
    const sum = Object.values(fares.missed).reduce((total, count) => total + count, 0);
    expect(sum / fares.years).toBeCloseTo(fares.meanUnmet, 9);
    for (const { need } of plan.unmet) expect(fares.missed[need]).toBe(10);
  });

  it("a slow year is never quicker than a usual one", () => {
    const season = seasonNamed("small-11");
    const slow = slowSeason(season, yearsOf(season), 0.8);
    for (const [nth, row] of slow.durations.entries())
      for (const [day, takes] of row.daysByStart.entries())
        if (takes !== null) expect(takes).toBeGreaterThanOrEqual(season.durations[nth]!.daysByStart[day]!);
  });

  it.each([
    ["small-11", true],
    ["small-12", false],
  ])(
    "%s: a plan with room for slow years holds in a usual one, and misses less over years it was not made for",
    (name, isBetter) => {
      const season = seasonNamed(name);
      const plan = planOf(season);
      const { now, robust } = robustPlan(
        season,
        plan,
        [...yearsOf(season), ...yearsOf(season)],
        { iterations: 20, seed: 1 },
        still,
      );
      if (isBetter) expect(robust).not.toBeNull();
      if (!robust) return;
      expect(robust.fares.meanUnmet).toBeLessThan(now.meanUnmet);
      expect(verifyPlan({ ...season, previous: null }, { ...robust.plan, brokenPins: [] }).broken).toEqual([]);
    },
  );
});

describe("air of a year that might be", () => {
  const usual = Array.from({ length: 400 }, (_, day) => 12 + 8 * Math.sin(day / 58));
  it("is the same for the same seed, nearly the forecast at first, and spreads as it was told to", () => {
    const one = simulatedAir(usual, 0, USUAL_SPREAD, 7);
    expect(simulatedAir(usual, 0, USUAL_SPREAD, 7)).toEqual(one);
    expect(simulatedAir(usual, 0, USUAL_SPREAD, 8)).not.toEqual(one);
    expect(one[0]).toBe(usual[0]);
    const apart = Array.from({ length: 40 }, (_, seed) =>
      simulatedAir(usual, 0, { ...USUAL_SPREAD, yearSdC: 0 }, seed)
        .map((celsius, day) => celsius - usual[day]!)
        .slice(10),
    );
    const found = spreadOf(apart.flat())!;
    expect(found.sdC).toBeGreaterThan(USUAL_SPREAD.sdC * 0.93);
    expect(found.sdC).toBeLessThan(USUAL_SPREAD.sdC * 1.07);
    expect(found.lag).toBeCloseTo(USUAL_SPREAD.lag, 1);
  });
  it("a spread wants two months of measured days", () => {
    expect(spreadOf(Array.from({ length: 59 }, () => 1))).toBeNull();
    expect(spreadOf(Array.from({ length: 59 }, () => null))).toBeNull();
  });
});
