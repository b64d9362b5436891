import { chanceFrom } from "@/core/chance";
import { madeSeason } from "@/testing/season/made";
import { seasonNamed } from "@/testing/season/vectors";
import { fullDrumHabit, reorderHabit } from "./habit";
import { planSeason } from "./planSeason";
import { mended, Mender } from "./reasons/mend";
import { Trial } from "./reasons/try";
import { verifyPlan } from "./verify";

const still = () => 0;

describe("habits", () => {
  test.each(Array.from({ length: 16 }, (_, seed) => seed + 100))("keep every rule (season %i)", (seed) => {
    const season = madeSeason(chanceFrom(seed));
    for (const habit of [fullDrumHabit, reorderHabit])
      expect(verifyPlan({ ...season, previous: null }, habit(season)).broken).toEqual([]);
  });
  test.each(["small-11", "small-12", "medium-21"])(
    "%s: reordering in time leaves less unmet than waiting until it is out",
    (name) => {
      const season = seasonNamed(name);
      const unmetBy = (habit: typeof reorderHabit): number => verifyPlan(season, habit(season)).score.unmet;
      expect(unmetBy(reorderHabit)).toBeLessThan(unmetBy(fullDrumHabit));
    },
  );
  test("meets less than a plan does", () => {
    const season = seasonNamed("medium-21");
    const plan = planSeason(season, { iterations: 0, seed: 1 }, still);
    expect(plan.score.unmet).toBeLessThan(verifyPlan(season, fullDrumHabit(season)).score.unmet);
  });
});

describe("what would mend it", () => {
  test("each change that is named lets the need be met, which without it is not", () => {
    const season = seasonNamed("medium-21");
    const plan = planSeason(season, { iterations: 5, seed: 1 }, still);
    const mender = new Mender(season, plan);
    const bare = new Trial(season, plan);
    const found = plan.unmet
      .filter(({ level, reasons }) => level === "competition" && !reasons.includes("more-time"))
      .slice(0, 8)
      .flatMap((unmet) => {
        const mend = mender.mendOf(unmet);
        return mend ? [{ unmet, mend }] : [];
      });
    expect(found.length).toBeGreaterThan(0);
    for (const { unmet, mend } of found) {
      expect(bare.fits(unmet.need)).toBe(false);
      const laterD = mend.kind === "day-later" ? mend.more : 0;
      expect(new Trial(mended(season, mend), plan).fits(unmet.need, laterD)).toBe(true);
    }
  });
});

describe("taken away on purpose", () => {
  // One thing that a season lives on is taken away; what that costs it has to be named by it.
  test.each(["ingredient", "vessel", "cold"] as const)("%s: named among the reasons", (cause) => {
    const season = seasonNamed("small-12");
    const [input] = season.inputs;
    const without = {
      ingredient: {
        ...season,
        ingredients: season.ingredients.map((one) =>
          one.id === input!.ingredients[0]!.ingredient ? { ...one, lots: [], forage: [], pack: null } : one,
        ),
      },
      vessel: {
        ...season,
        vessels: season.vessels.map((one) => ({ ...one, holds: one.holds.filter((use) => use !== input!.vesselUse) })),
      },
      cold: {
        ...season,
        durations: season.durations.map((row) =>
          row.input === input!.id
            ? { ...row, daysByStart: row.daysByStart.map((days, day) => (day < season.days - 12 ? null : days && 1)) }
            : row,
        ),
      },
    }[cause];
    const programmes = new Set(season.programmes.filter((one) => one.input === input!.id).map(({ id }) => id));
    const plan = planSeason(without, { iterations: 60, seed: 1 }, still);
    const needs = new Map(season.needs.map((need) => [need.id, need]));
    const lost = plan.unmet.filter(({ need }) => programmes.has(needs.get(need)!.programme));
    expect(lost.length).toBeGreaterThan(0);
    for (const { reasons } of lost)
      expect([cause, "too-slow", "combined", "shelf"].some((one) => (reasons as readonly string[]).includes(one))).toBe(
        true,
      );
    expect(lost.some(({ reasons }) => reasons.includes(cause))).toBe(true);
  });
});
