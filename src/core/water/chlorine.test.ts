import fc from "fast-check";
import { freeChlorineHalfLifeH, treatWater, type WaterRequest } from "./chlorine";

const mains = (change: Partial<WaterRequest> = {}) =>
  treatWater({
    source: "mains",
    freeMgPerL: 1,
    totalMgPerL: 1,
    volumeL: 180,
    treatment: "stand",
    temperatureC: 20,
    ...change,
  });
const codes = (answer: ReturnType<typeof treatWater>) => answer.reasons.map(({ code }) => code);

describe("water for a living brew", () => {
  it.each(["rain", "well", "spring", "reverse-osmosis"] as const)("from %s needs nothing", (source) => {
    expect(mains({ source, treatment: "none" })).toMatchObject({ safe: true, hours: 0, ascorbicG: null });
  });
  it("from a river is free of chlorine, with a word on leaves", () =>
    expect(codes(mains({ source: "river" }))).toContain("river-on-leaves"));
  it("from an unknown source, or from mains that nobody read, wants a strip", () => {
    for (const source of ["unknown", "mains"] as const)
      expect(mains({ source, freeMgPerL: null, totalMgPerL: null })).toMatchObject({ safe: false });
    expect(codes(mains({ totalMgPerL: null }))).toEqual(["strip-needed"]);
  });
  it("stands about a day and a half in a still drum at 1 mg/L, far less when bubbled", () => {
    // Half-life 10.8 h at 180 L; from 1 to 0.1 mg/L are log2(10) = 3.32 of them.
    expect(mains().hours!).toBeGreaterThan(33);
    expect(mains().hours!).toBeLessThan(37);
    expect(mains({ treatment: "bubble" }).hours!).toBeCloseTo(0.33 * Math.log2(10), 2);
    expect(mains({ volumeL: 20 }).hours!).toBeCloseTo(6 * Math.log2(10), 6);
  });
  it("takes longer in the deep, under a lid and in the cold", () => {
    expect(freeChlorineHalfLifeH("stand", 200, 20)).toBeCloseTo(11, 9);
    expect(freeChlorineHalfLifeH("stand", 200, 10)).toBeCloseTo(22, 9);
    expect(freeChlorineHalfLifeH("stand", 20, 20, true)).toBeCloseTo(9, 9);
    expect(freeChlorineHalfLifeH("stand", 5000, 20)).toBeCloseTo(11, 9);
  });
  it("is not cleared of chloramine by standing or bubbling, but by ascorbic acid or carbon", () => {
    const chloramine = { freeMgPerL: 0.1, totalMgPerL: 1.8 };
    for (const treatment of ["stand", "bubble", "none"] as const)
      expect(mains({ ...chloramine, treatment }).safe).toBe(false);
    expect(mains({ ...chloramine, treatment: "ascorbic" })).toMatchObject({ safe: true, hours: 0.25 });
    // 1.8 mg/L × 180 L × 2.5 with a fifth on top.
    expect(mains({ ...chloramine, treatment: "ascorbic" }).ascorbicG).toBeCloseTo(0.972, 9);
    expect(mains({ ...chloramine, treatment: "carbon" }).safe).toBe(true);
  });
  it("needs nothing where the strip shows hardly any", () =>
    expect(mains({ freeMgPerL: 0.05, totalMgPerL: 0.08, treatment: "none" }).safe).toBe(true));
  it("waits longer the more there is, and doses in step with volume", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        fc.double({ min: 1, max: 2000, noNaN: true }),
        (mg, volumeL) => {
          const more = { freeMgPerL: mg * 2, totalMgPerL: mg * 2, volumeL };
          expect(mains(more).hours!).toBeGreaterThan(mains({ freeMgPerL: mg, totalMgPerL: mg, volumeL }).hours!);
          const dose = (litres: number) =>
            mains({ freeMgPerL: mg, totalMgPerL: mg, volumeL: litres, treatment: "ascorbic" }).ascorbicG!;
          expect(dose(2 * volumeL) / dose(volumeL)).toBeCloseTo(2, 9);
        },
      ),
    );
  });
  it.each([
    ["a volume of nothing", { volumeL: 0 }],
    ["a reading below nothing", { totalMgPerL: -1 }],
    ["a reading off the strip", { freeMgPerL: 60, totalMgPerL: 60 }],
    ["more free than total", { freeMgPerL: 2, totalMgPerL: 1 }],
    ["boiling water", { temperatureC: 99 }],
  ])("refuses %s", (_what, change) => expect(() => mains(change)).toThrow());
});
