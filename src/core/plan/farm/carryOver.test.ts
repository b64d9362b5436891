import type { Application, Need, PlanBatch, Season } from "../season";
import { seasonNamed } from "@/testing/season/vectors";
import { carriedOver, sinceThen } from "./carryOver";

const need = (id: string, day: number, change: Partial<Need> = {}): Need => ({
  ...{ id, planting: "1", programme: "2.0", seq: 0, part: 0, priority: 2, workMin: 5 },
  ...{ earliestDay: day - 2, latestDay: day + 2, preferredDay: day, preferredL: 4, leastL: 2 },
  ...change,
});
const application = (id: string, day: number, amountL = 4): Application => ({
  need: id,
  day,
  draws: [{ from: "s", amountL }],
});
const batch = (change: Partial<PlanBatch> = {}): PlanBatch => ({
  ...{ id: "b", input: "lactic-serum", vessel: "v1", startDay: 3, readyDay: 12, emptyDay: 12, fillL: 20 },
  ...change,
});
const BASE = seasonNamed("three-plots");
const seasonOf = (change: Partial<Season>): Season => ({
  ...BASE,
  ...{ nowDay: 7, needs: [], running: [], stores: [] },
  vessels: [{ ...BASE.vessels[0]!, id: "v1" }],
  ...change,
});

describe("a plan carried over to a farm that has changed", () => {
  it("keeps what is still wanted, and goes over to the need that took its place", () => {
    const season = seasonOf({ needs: [need("1.2.0.2031-03-10", 10), need("1.2.0.2031-03-18", 18)] });
    const carried = carriedOver(season, [
      application("1.2.0.2031-03-10", 9),
      // Its schedule has moved by a day since.
      application("1.2.0.2031-03-17", 17),
    ]);
    expect(carried).toEqual([application("1.2.0.2031-03-10", 9), application("1.2.0.2031-03-18", 17)]);
  });
  it("lets go of what lies outside the new days, on another plot, of a dose that does not fit, or is wanted no more", () => {
    const season = seasonOf({ needs: [need("1.2.0.2031-03-18", 18)] });
    for (const gone of [
      application("1.2.0.2031-03-17", 12),
      application("9.2.0.2031-03-17", 17),
      application("1.2.0.2031-03-17", 17, 1),
      application("1.2.0.2031-03-17", 17, 5),
    ])
      expect(carriedOver(season, [gone])).toEqual([]);
    // One need takes one application, not two.
    expect(carriedOver(season, [application("1.2.0.a", 17), application("1.2.0.b", 18)])).toHaveLength(1);
  });
});

describe("what has changed since", () => {
  const codes = (
    season: Season,
    batches: readonly PlanBatch[],
    applications: readonly Application[] = [],
    unmet: string[] = [],
  ) => sinceThen(season, { batches, applications }, unmet).map(({ code }) => code);
  it("says a drum that is not there, but not one that was strained, used, or stands under its own number", () => {
    expect(codes(seasonOf({}), [batch()])).toEqual(["not-there"]);
    expect(codes(seasonOf({}), [batch({ readyDay: 6 })])).toEqual([]);
    const store = { id: "x", input: "lactic-serum", onHandL: 3, fromDay: 6, expiresDay: 90 };
    expect(codes(seasonOf({ stores: [store] }), [batch()])).toEqual([]);
    const running = { id: "batch-9", input: "lactic-serum", vessel: "v1", startDay: 3, readyDay: 12, fillL: 20 };
    expect(codes(seasonOf({ running: [running] }), [batch()])).toEqual([]);
    expect(codes(seasonOf({ running: [{ ...running, readyDay: 16 }] }), [batch()])).toEqual(["later"]);
    expect(codes(seasonOf({ vessels: [] }), [batch({ startDay: 9 })])).toEqual(["vessel-gone"]);
  });
  it("counts what is newly wanted and what is not any more, and leaves out what was left out knowingly", () => {
    const wanted = [need("1.2.0.2031-03-10", 10), need("3.2.0.2031-03-12", 12), need("4.2.0.2031-03-12", 12)];
    const season = seasonOf({ needs: wanted });
    const planned = [application("1.2.0.2031-03-10", 10), application("8.2.0.2031-03-12", 20)];
    expect(sinceThen(season, { batches: [], applications: planned }, ["4.2.0.2031-03-12"])).toEqual([
      { code: "new-needs", count: 1 },
      { code: "needs-gone", count: 1 },
    ]);
    expect(codes(seasonOf({ needs: [wanted[0]!] }), [], [planned[0]!])).toEqual([]);
  });
});
