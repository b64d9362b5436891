import fc from "fast-check";
import { areaM2, centreOf, holds, rectangle, turned } from "./ring";
import { stripsOf } from "./strips";

describe("a bed in strips", () => {
  it("has strips of one size along its longest side, whichever way it lies", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.6, max: 3, noNaN: true }),
        fc.double({ min: 6, max: 60, noNaN: true }),
        fc.integer({ min: 1, max: 12 }),
        fc.double({ min: 0, max: 359, noNaN: true }),
        (widthM, lengthM, count, degrees) => {
          const bed = turned(rectangle([20, 30], widthM, lengthM), degrees);
          const strips = stripsOf(bed, count);
          expect(strips).toHaveLength(count);
          for (const strip of strips) {
            expect(Math.abs(areaM2(strip) - (widthM * lengthM) / count)).toBeLessThan(0.02 * widthM * lengthM);
            expect(holds(bed, centreOf(strip))).toBe(true);
          }
        },
      ),
    );
  });
  it("loses nothing of an odd bed but the pieces that hang apart", () => {
    const ell = [
      [0, 0],
      [12, 0],
      [12, 2],
      [2, 2],
      [2, 5],
      [0, 5],
    ] as const;
    const strips = stripsOf(ell, 4);
    expect(strips.reduce((sum, strip) => sum + areaM2(strip), 0)).toBeCloseTo(areaM2(ell), 1);
  });
});
