import fc from "fast-check";
import { endedOf } from "./drum/play";
import { clockAt } from "./drum/setup";
import { isQuick } from "./yard/drums";
import {
  isWantMet,
  PURSE,
  purseOf,
  setUpWeek,
  WANT_COINS,
  weekBegun,
  weekBy,
  weekDay,
  weekPasses,
  WEEK_H,
  WEEK_STARTS_AT,
} from "./week";

const aSeed = fc.integer({ min: 1, max: 9999 });

describe("a week on a small farm", () => {
  it("is the same for everybody, its drums’ clocks are its own, and no two are alike", () => {
    fc.assert(
      fc.property(aSeed, (seed) => {
        const week = setUpWeek(seed);
        expect(JSON.stringify(setUpWeek(seed))).toBe(JSON.stringify(week));
        expect(new Set(week.drums.map(({ drum }) => drum.name)).size).toBe(4);
        for (const { drum, ageH } of week.drums) {
          if (ageH >= 0) expect(clockAt(drum, ageH)).toBe(WEEK_STARTS_AT);
          expect(ageH < 0).toBe(isQuick(drum.name));
          expect(drum.fault).not.toBe("tight-lid");
        }
        for (const { day } of week.wants) expect(day).toBeLessThanOrEqual(weekDay(WEEK_H));
      }),
      { numRuns: 25 },
    );
  });
  it("lets all drums that go on pass the same hours, and leaves what is not filled yet", () => {
    const week = setUpWeek(5);
    const later = weekPasses(week, weekBegun(week), 30);
    for (const [nth, { ageH }] of week.drums.entries()) expect(later[nth]!.hour).toBe(Math.max(0, ageH + 30));
  });
  it("begins with its purse, and pays for drums and for beds that got what they wanted", () => {
    fc.assert(
      fc.property(aSeed, (seed) => {
        const week = setUpWeek(seed);
        expect(purseOf(week, weekBegun(week))).toBe(PURSE);
        const plays = weekBy(week, "calm");
        const nets = week.drums.map(({ drum }, nth) => endedOf(drum, plays[nth]!)?.net ?? 0);
        const met = week.wants.filter((want) => isWantMet(week, plays, want)).length;
        expect(purseOf(week, plays)).toBeCloseTo(PURSE + nets.reduce((a, b) => a + b, 0) + WANT_COINS * met, 9);
      }),
      { numRuns: 10 },
    );
  });
  it("pays for judgement; luck evens out over drums", () => {
    const weeks = Array.from({ length: 30 }, (_, nth) => setUpWeek(nth + 1));
    const purses = (who: "calm" | "careless") => weeks.map((week) => purseOf(week, weekBy(week, who)));
    const [calm, careless] = [purses("calm"), purses("careless")];
    const mean = (of: readonly number[]) => of.reduce((a, b) => a + b, 0) / of.length;
    expect(mean(calm)).toBeGreaterThan(mean(careless) + 25);
    expect(calm.filter((purse, nth) => purse > careless[nth]!).length).toBeGreaterThan(24);
  });
});
