import { learnPlace, PLACE_KINDS, surroundingsOf, type LearnedPlace, type Place } from "./places";
import { warmingTimeH } from "./vessel";

const HOURS = Float64Array.from({ length: 24 * 14 }, (_, hour) => hour);
const outside = (meanC: number, swingC = 5) => ({
  hours: HOURS,
  airC: HOURS.map((hour) => meanC + swingC * Math.cos((2 * Math.PI * (8 + hour - 15)) / 24)),
  sdC: HOURS.map(() => 0.5),
});
const vessel = { startC: 15, tauH: warmingTimeH(60, "plain") };
const meanOf = (values: Float64Array) => values.reduce((sum, value) => sum + value, 0) / values.length;
const places = (place: Place, dips: { hour: number; celsius: number }[] = [], meanC = 8) =>
  surroundingsOf(place, outside(meanC), dips, vessel).map(({ weight, airC, sdC }) => ({
    weight,
    meanC: meanOf(airC),
    sdC: meanOf(sdC),
  }));
const overall = (found: ReturnType<typeof places>) => {
  const meanC = found.reduce((sum, one) => sum + one.weight * one.meanC, 0);
  return {
    meanC,
    sdC: Math.sqrt(found.reduce((sum, one) => sum + one.weight * ((one.meanC - meanC) ** 2 + one.sdC ** 2), 0)),
  };
};

describe("where a vessel may stand", () => {
  it.each(PLACE_KINDS)("in %s is few groups whose chances are one", (kind) => {
    const found = places({ kind });
    expect(found.length).toBeLessThanOrEqual(3);
    expect(found.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 9);
  });
  it("is as warm as its place: shade as the air, a room warmer than winter, a cellar cooler than summer", () => {
    expect(overall(places({ kind: "shade" })).meanC).toBeCloseTo(8, 0);
    expect(overall(places({ kind: "indoors" })).meanC).toBeGreaterThan(18);
    expect(overall(places({ kind: "cellar" }, [], 28)).meanC).toBeLessThan(20);
    expect(overall(places({ kind: "sun" })).meanC).toBeGreaterThan(10);
    const stated = overall(places({ kind: "shed", celsius: [19, 21] }));
    expect(stated.meanC).toBeGreaterThan(18);
    expect(stated.meanC).toBeLessThan(21);
  });
  it("unsaid leaves winter's outdoors and a heated room both open, in groups of their own", () => {
    const found = places({ kind: "unsaid" });
    expect(found.length).toBeGreaterThan(1);
    expect(Math.min(...found.map(({ meanC }) => meanC))).toBeLessThan(12);
    expect(Math.max(...found.map(({ meanC }) => meanC))).toBeGreaterThan(18);
    expect(overall(found).sdC).toBeGreaterThan(4);
  });
  it("is found from a few dips once the vessel has taken the place's warmth on", () => {
    const dips = [60, 90, 130].map((hour) => ({ hour, celsius: 20.5 }));
    const { meanC, sdC } = overall(places({ kind: "unsaid" }, dips));
    expect(meanC).toBeGreaterThan(19);
    expect(meanC).toBeLessThan(22);
    expect(sdC).toBeLessThan(2);
  });
  it("is hardly told by a dip into water that was just filled in", () => {
    const before = overall(places({ kind: "unsaid" }));
    const after = overall(places({ kind: "unsaid" }, [{ hour: 0.5, celsius: 15 }]));
    expect(after.sdC).toBeGreaterThan(0.8 * before.sdC);
  });
  it("is not turned round by one dip of the wrong drum", () => {
    const dips = [60, 80, 100, 120, 140].map((hour) => ({ hour, celsius: 20 }));
    const { meanC } = overall(places({ kind: "unsaid" }, [...dips, { hour: 150, celsius: 45 }]));
    expect(meanC).toBeGreaterThan(18);
    expect(meanC).toBeLessThan(23);
  });
  it("said and dipped elsewhere goes with the dips as far as such places differ", () => {
    const dips = [100, 150, 200].map((hour) => ({ hour, celsius: 17 }));
    const said = overall(places({ kind: "indoors" })).meanC;
    const { meanC } = overall(places({ kind: "indoors" }, dips));
    expect(meanC).toBeLessThan(said - 1.5);
  });
  it("unsaid is told by the vessel's earlier batches, which leave room for its having been moved", () => {
    const dips = [60, 90, 130].map((hour) => ({ hour, celsius: 20.5 }));
    const once = learnPlace(outside(8), dips, vessel, null);
    const twice = learnPlace(outside(11), dips, vessel, once);
    const after = (learned?: LearnedPlace, meanC = 9, own: typeof dips = []) => {
      const found = surroundingsOf({ kind: "unsaid" }, outside(meanC), own, vessel, learned);
      return overall(found.map(({ weight, airC, sdC }) => ({ weight, meanC: meanOf(airC), sdC: meanOf(sdC) })));
    };
    expect(after(once).meanC).toBeGreaterThan(after().meanC + 3);
    expect(after(once).sdC).toBeLessThan(after().sdC);
    expect(after(twice).meanC).toBeGreaterThan(18);
    const cold = [60, 90, 130, 170].map((hour) => ({ hour, celsius: 9 }));
    expect(after(twice, 9, cold).meanC).toBeLessThan(12);
  });
});
