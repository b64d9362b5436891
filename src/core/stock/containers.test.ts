import fc from "fast-check";
import { containersFor } from "./containers";

describe("containers", () => {
  it("are counted with the last one, and weighed", () => {
    expect(containersFor(168, 20, 1)).toEqual({ count: 9, lastL: 8, massKg: 21, isLiftable: true });
    expect(containersFor(40, 20, 1)).toMatchObject({ count: 2, lastL: 20 });
    expect(containersFor(60, 60, 0.9)).toMatchObject({ count: 2, isLiftable: false });
    expect(containersFor(3, 20, 1)).toMatchObject({ count: 1, lastL: 3, massKg: 4 });
  });
  it("hold it all, none over its fill, whatever there is", () => {
    const litres = fc.double({ min: 0.01, max: 5000, noNaN: true });
    fc.assert(
      fc.property(litres, fc.constantFrom(0.5, 5, 18.9, 20), fc.constantFrom(0.9, 1), (there, sizeL, share) => {
        const { count, lastL } = containersFor(there, sizeL, share);
        expect((count - 1) * sizeL * share + lastL).toBeCloseTo(there, 6);
        expect(lastL).toBeGreaterThan(0);
        expect(lastL).toBeLessThanOrEqual(sizeL * share * (1 + 1e-6));
      }),
    );
  });
});
