import fc from "fast-check";
import { walkOrder } from "./route";
import { distanceM, moved, rectangle, type Point } from "./ring";
import { strandsOf, type Strand } from "./strands";

const points = fc.array(
  fc.tuple(fc.double({ min: 0, max: 60, noNaN: true }), fc.double({ min: 0, max: 60, noNaN: true })),
  { maxLength: 6 },
) as fc.Arbitrary<Point[]>;

/** The shortest way of all, by trying every order. */
function shortestM(start: Point, places: readonly Point[]): number {
  let best = Infinity;
  const goOn = (here: Point, left: readonly Point[], soFarM: number): void => {
    if (left.length === 0) best = Math.min(best, soFarM + distanceM(here, start));
    left.forEach((next, index) => goOn(next, left.toSpliced(index, 1), soFarM + distanceM(here, next)));
  };
  goOn(start, places, 0);
  return best;
}

describe("the walk", () => {
  it("visits each place once, and is hardly longer than the shortest", () => {
    fc.assert(
      fc.property(points, (places) => {
        const { order, lengthM } = walkOrder([0, 0], places);
        expect(order.toSorted((a, b) => a - b)).toEqual([...places.keys()]);
        expect(lengthM).toBeLessThanOrEqual(1.1 * shortestM([0, 0], places) + 1e-6);
      }),
    );
  });
  it("begins at the fill point and comes back", () =>
    expect(walkOrder([0, 0], [[3, 4]])).toEqual({ order: [0], lengthM: 10 }));
  it("goes to hundreds", () => {
    const places = Array.from({ length: 300 }, (_, index): Point => [(index * 37) % 101, (index * 53) % 97]);
    expect(new Set(walkOrder([0, 0], places).order).size).toBe(300);
  });
});

describe("strands", () => {
  const legs = ({ line }: Strand): readonly (readonly [Point, Point])[] =>
    line.slice(1).map((to, index) => [line[index]!, to]);
  const meet = (
    [[ax, ay], [bx, by]]: readonly [Point, Point],
    [[cx, cy], [dx, dy]]: readonly [Point, Point],
  ): boolean =>
    Math.max(Math.min(ax, bx), Math.min(cx, dx)) < Math.min(Math.max(ax, bx), Math.max(cx, dx)) + 1e-9 &&
    Math.max(Math.min(ay, by), Math.min(cy, dy)) < Math.min(Math.max(ay, by), Math.max(cy, dy)) + 1e-9;

  it("cross nowhere, and each ends at its own plot", () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(
          fc.tuple(fc.integer({ min: -12, max: 12 }), fc.boolean(), fc.double({ min: 0.1, max: 1, noNaN: true })),
          {
            selector: ([row, isEast]) => `${row} ${isEast}`,
            maxLength: 14,
          },
        ),
        (beds) => {
          const drinkers = beds.map(([row, isEast, width], id) => ({
            id,
            width,
            ring: moved(rectangle([isEast ? 20 : -40, row * 3 + 0.5], 20, 1.2), [0, 0]),
          }));
          const strands = strandsOf([0, 0], drinkers, 0.2);
          expect(strands).toHaveLength(beds.length);
          for (const strand of strands) {
            const [row, isEast] = beds[strand.id]!;
            expect(strand.mouth).toEqual([isEast ? 20 : -20, expect.closeTo(row * 3 + 1.1, 9)]);
          }
          strands.forEach((a, index) => {
            // To the north and to the south they part at the fill point itself.
            for (const b of strands.slice(index + 1).filter(({ mouth }) => mouth[1] > 0 === a.mouth[1] > 0))
              for (const one of legs(a)) for (const other of legs(b)) expect(meet(one, other)).toBe(false);
          });
        },
      ),
    );
  });
});
