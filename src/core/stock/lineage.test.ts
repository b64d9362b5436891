import fc from "fast-check";
import { ancestorsOf, closesRing, descendantsOf, type Feeding } from "./lineage";

describe("which batch was made from which", () => {
  const FEEDINGS: Feeding[] = [
    { from: 1, into: 2 },
    { from: 2, into: 3 },
    { from: 9, into: 3 },
  ];
  it("goes back through all of them, the nearest first", () => {
    expect(ancestorsOf(3, FEEDINGS)).toEqual([2, 9, 1]);
    expect(ancestorsOf(1, FEEDINGS)).toEqual([]);
  });
  it("sees a ring close, by one step or by many", () => {
    expect(closesRing({ from: 3, into: 1 }, FEEDINGS)).toBe(true);
    expect(closesRing({ from: 2, into: 2 }, FEEDINGS)).toBe(true);
    expect(closesRing({ from: 1, into: 3 }, FEEDINGS)).toBe(false);
  });
  it("never lets a ring in, whatever is fed to what", () => {
    const pair = fc.record({ from: fc.integer({ min: 1, max: 8 }), into: fc.integer({ min: 1, max: 8 }) });
    fc.assert(
      fc.property(fc.array(pair, { maxLength: 30 }), (wanted) => {
        const let_ = wanted.reduce<Feeding[]>((kept, next) => (closesRing(next, kept) ? kept : [...kept, next]), []);
        for (let batch = 1; batch <= 8; batch += 1) expect(ancestorsOf(batch, let_)).not.toContain(batch);
      }),
    );
  });
  it("comes to an end even in a ring that stands in the books already", () =>
    expect(
      ancestorsOf(1, [
        { from: 1, into: 2 },
        { from: 2, into: 1 },
      ]),
    ).toEqual([2, 1]));
  it("goes forward as it goes back", () => {
    for (const batch of [1, 2, 3, 9])
      for (const later of descendantsOf([batch], FEEDINGS)) expect(ancestorsOf(later, FEEDINGS)).toContain(batch);
    expect(descendantsOf([], FEEDINGS)).toEqual([]);
  });
});
