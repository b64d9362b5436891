import { partsForStrength, standsIn, strengthLeft } from "./level";

describe("the level of a running batch", () => {
  it("rises with what is topped up, falls with what is drawn off, and never below nothing", () => {
    expect(standsIn({ filledL: 90, toppedUpL: 10, takenOutL: 25 })).toBe(75);
    expect(standsIn({ filledL: 90, toppedUpL: 0, takenOutL: 95 })).toBe(0);
  });
});

describe("the strength that is left", () => {
  it("goes down with water alone", () => {
    expect(strengthLeft({ filledL: 90, toppedUpL: 0 })).toBe(1);
    expect(strengthLeft({ filledL: 90, toppedUpL: 10 })).toBeCloseTo(0.9, 12);
  });
  it("takes less water for the same mix: as much of what was first in it to the litre", () => {
    expect(partsForStrength(250, 1)).toBe(250);
    const parts = partsForStrength(249, 0.8);
    expect(parts).toBeCloseTo(199, 12);
    expect(0.8 / (1 + parts)).toBeCloseTo(1 / 250, 12);
    // What is thinned more than the mix itself can't be made stronger by leaving water out.
    expect(partsForStrength(0.5, 0.5)).toBe(0);
  });
});
