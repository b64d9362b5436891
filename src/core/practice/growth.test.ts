import fc from "fast-check";
import { growthOf, shownHours, type GrowthTerms } from "./growth";

const RECIPE: GrowthTerms = { name: "tea", celsius: 24, food: 1, culture: 1, hasAir: true };
const grown = (terms: Partial<GrowthTerms>, untilH = shownHours("tea")) => growthOf({ ...RECIPE, ...terms }, untilH);
const most = (terms: Partial<GrowthTerms>, untilH?: number) =>
  Math.max(...grown(terms, untilH).points.map(({ alive }) => alive));

describe("growth and crash", () => {
  it("rises, and crashes as its food is gone", () => {
    const { peakH, crashH, points } = grown({});
    expect(most({})).toBeCloseTo(1, 1);
    expect(peakH).toBeGreaterThan(12);
    expect(crashH).toBeGreaterThan(peakH!);
    expect(points.at(-1)!.food).toBeLessThan(0.02);
  });
  it("is slower in the cold and faster in warmth", () => {
    expect(grown({ celsius: 16 }, 200).peakH!).toBeGreaterThan(grown({}).peakH!);
    expect(grown({ celsius: 32 }).peakH!).toBeLessThan(grown({}).peakH!);
    expect(most({ celsius: 45 })).toBeLessThan(0.1);
  });
  it("comes later with little culture, and ends with the same food", () => {
    const few = grown({ culture: 0.05 }, 200);
    expect(few.peakH!).toBeGreaterThan(grown({}).peakH!);
    expect(few.fold).toBeGreaterThan(5 * grown({}).fold);
    expect(most({ culture: 0.05 }, 200)).toBeLessThan(1.1);
  });
  it("hardly grows without air, in a tea", () => {
    expect(most({ hasAir: false })).toBeLessThan(0.2);
    expect(most({ name: "extract", hasAir: false }, shownHours("extract"))).toBeGreaterThan(0.9);
  });
  it("never makes more food than there was, nor life out of nothing", () => {
    fc.assert(
      fc.property(
        fc.constantFrom("tea", "leaf-mould brew", "extract", "serum" as const),
        fc.double({ min: -10, max: 60, noNaN: true }),
        fc.double({ min: 0.1, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.boolean(),
        (name, celsius, food, culture, hasAir) => {
          const { points } = growthOf({ name: name as GrowthTerms["name"], celsius, food, culture, hasAir }, 100);
          for (const [nth, point] of points.entries()) {
            expect(point.alive).toBeGreaterThan(0);
            expect(point.alive).toBeLessThan(3);
            expect(point.food).toBeLessThanOrEqual((points[nth - 1]?.food ?? food) + 1e-9);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});
