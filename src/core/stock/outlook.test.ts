import fc from "fast-check";
import { collectorOutlook, daysLeft, onHandMilli, dailyUseMilli, type Flow } from "./outlook";

const DAY = 86_400_000;
const NOW = 100 * DAY;
const flow = (daysAgo: number, changeMilli: number, kind: Flow["kind"]): Flow => ({
  atMs: NOW - daysAgo * DAY,
  changeMilli,
  kind,
});
const anyFlow = fc.record({
  atMs: fc.integer({ min: 0, max: NOW }),
  changeMilli: fc.integer({ min: -1e6, max: 1e6 }),
  kind: fc.constantFrom<Flow["kind"]>("received", "used", "wasted", "counted", "corrected"),
});

describe("what is on hand", () => {
  it("is the ledger's sum, whatever the order of entries", () => {
    fc.assert(
      fc.property(fc.array(anyFlow, { maxLength: 40 }), fc.integer({ min: 0, max: 1e6 }), (flows, seed) => {
        const shuffled = flows
          .map((one, index) => ({ one, at: (index * 7919 + seed) % 104729 }))
          .toSorted((a, b) => a.at - b.at)
          .map(({ one }) => one);
        expect(onHandMilli(shuffled)).toBe(onHandMilli(flows));
      }),
    );
  });
});

describe("how long it lasts", () => {
  const flows = [
    flow(50, 20_000, "received"),
    flow(40, -3000, "used"),
    flow(10, -3000, "used"),
    flow(5, -9000, "wasted"),
  ];
  it("goes by what was used, not by what was wasted", () => {
    expect(dailyUseMilli(flows, NOW)).toBeCloseTo(6000 / 50, 9);
    expect(daysLeft(onHandMilli(flows), 120)).toBeCloseTo(5000 / 120, 9);
  });
  it("looks back two months, not over the whole past", () => {
    const old = [flow(90, 90_000, "received"), flow(80, -60_000, "used"), flow(20, -600, "used")];
    expect(dailyUseMilli(old, NOW)).toBeCloseTo(600 / 60, 9);
  });
  it("tells nothing from less than a week, nor where nothing is used", () => {
    expect(dailyUseMilli([flow(3, 5000, "received"), flow(1, -2000, "used")], NOW)).toBeNull();
    expect(dailyUseMilli([], NOW)).toBeNull();
    expect(daysLeft(5000, 0)).toBeNull();
    expect(daysLeft(5000, null)).toBeNull();
    expect(daysLeft(-5, 10)).toBe(0);
  });
});

describe("what trickles in", () => {
  it("says when there is enough, when there will be, and when nothing comes", () => {
    const shells = [flow(40, 500, "received"), flow(20, 500, "received"), flow(0, 500, "received")];
    expect(collectorOutlook(shells, 1500, NOW)).toEqual({ type: "enough" });
    const outlook = collectorOutlook(shells, 3000, NOW);
    expect(outlook).toMatchObject({ type: "on-day" });
    if (outlook.type === "on-day") expect(outlook.inDays).toBeCloseTo(1500 / (1500 / 40), 9);
    expect(collectorOutlook([flow(90, 500, "received")], 900, NOW)).toEqual({ type: "standing-still" });
  });
  it("takes a single receipt for a week's gathering", () => {
    const outlook = collectorOutlook([flow(1, 700, "received")], 1400, NOW);
    expect(outlook).toMatchObject({ type: "on-day", perDayMilli: 100 });
  });
});
