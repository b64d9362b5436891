import fc from "fast-check";
import { binState, roomToFeedKg, SHARE_EATEN_PER_DAY, type BinEntry } from "./wormBin";
import { restsUntil } from "./resting";

const DAY = 86_400_000;
const NOW = 200 * DAY;
const entry = (daysAgo: number, kind: BinEntry["kind"], kg: number): BinEntry => ({
  atMs: NOW - daysAgo * DAY,
  kind,
  kg,
});

describe("a worm bin", () => {
  it("eats half the weight of its worms a day and no more than it was given", () => {
    const state = binState(2, [entry(3, "fed", 5)], NOW);
    expect(state).toMatchObject({ wormsKg: 2, eatsKgPerDay: 2 * SHARE_EATEN_PER_DAY });
    expect(state.uneatenKg).toBeCloseTo(2, 9);
    expect(binState(2, [entry(30, "fed", 5)], NOW).uneatenKg).toBe(0);
    expect(roomToFeedKg(state)).toBeCloseTo(5, 9);
  });
  it("has castings due once there is enough to scrape off, and none on a day when nothing is fed", () => {
    expect(binState(1, [entry(60, "fed", 20)], NOW)).toMatchObject({ castingsKg: 8, dueInDays: 0 });
    expect(binState(1, [entry(60, "fed", 20), entry(1, "harvested", 8)], NOW)).toMatchObject({
      castingsKg: 0,
      dueInDays: null,
    });
    const filling = binState(1, [entry(2, "fed", 30)], NOW);
    expect(filling.dueInDays).toBeCloseTo((3 - 0.4) / 0.2, 6);
  });
  it("goes by the last weighing of its worms", () =>
    expect(binState(1, [entry(9, "weighed", 3)], NOW).wormsKg).toBe(3));
  it("refuses a bin of no worms", () =>
    expect(() => binState(0, [], NOW)).toThrow('not-positive {"what":"worm-weight"'));
  it("makes no castings from nothing, whatever was written down", () => {
    const entries = fc.array(
      fc.record({
        atMs: fc.integer({ min: 0, max: NOW }),
        kind: fc.constantFrom<BinEntry["kind"]>("fed", "harvested", "note"),
        kg: fc.float({ min: 0, max: 40, noNaN: true }),
      }),
      { maxLength: 20 },
    );
    fc.assert(
      fc.property(entries, (log) => {
        const { castingsKg, uneatenKg } = binState(2, log, NOW);
        const fed = log.filter(({ kind }) => kind === "fed").reduce((sum, { kg }) => sum + kg, 0);
        expect(castingsKg).toBeGreaterThanOrEqual(0);
        expect(uneatenKg).toBeGreaterThanOrEqual(-1e-9);
        expect(castingsKg / 0.4 + uneatenKg).toBeLessThanOrEqual(fed + 1e-6);
      }),
    );
  });
});

describe("a place that rests", () => {
  const place = { restD: 180, takenOn: ["2030-06-01", "2031-01-10"] };
  it("rests from the last taking, over the turn of a year", () => {
    expect(restsUntil(place, "2031-03-20")).toBe("2031-07-09");
    expect(restsUntil(place, "2031-07-09")).toBeNull();
  });
  it("may be taken from that never was", () =>
    expect(restsUntil({ restD: 180, takenOn: [] }, "2031-03-20")).toBeNull());
});
