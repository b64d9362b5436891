import fc from "fast-check";
import { shareWalk } from "./crew";

const sum = (loads: readonly number[], part: readonly number[]) => part.reduce((all, at) => all + loads[at]!, 0);

/** Every way to cut a walk into so many parts. */
function everyCut(length: number, parts: number, from = 0): number[][][] {
  if (parts === 1) return [[Array.from({ length: length - from }, (_, offset) => from + offset)]];
  return Array.from({ length: length - from - parts + 1 }, (_, offset) => from + offset + 1).flatMap((end) =>
    everyCut(length, parts - 1, end).map((rest) => [
      Array.from({ length: end - from }, (_, index) => from + index),
      ...rest,
    ]),
  );
}

describe("a walk shared out", () => {
  it("gives each stops that follow on each other, all of them once", () => {
    expect(shareWalk([3, 1, 1, 3], 2)).toEqual([
      [0, 1],
      [2, 3],
    ]);
    expect(shareWalk([5, 1], 4)).toEqual([[0], [1]]);
    expect(shareWalk([], 3)).toEqual([]);
    expect(shareWalk([1, 2, 3], 1)).toEqual([[0, 1, 2]]);
  });
  it("leaves nobody more than any other cut would", () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 9 }),
        fc.integer({ min: 1, max: 5 }),
        (loads, people) => {
          const parts = shareWalk(loads, people);
          expect(parts.flat()).toEqual(loads.map((_load, at) => at));
          const most = Math.max(...parts.map((part) => sum(loads, part)));
          const least = Math.min(
            ...everyCut(loads.length, Math.min(people, loads.length)).map((cut) =>
              Math.max(...cut.map((part) => sum(loads, part))),
            ),
          );
          expect(most).toBe(least);
        },
      ),
    );
  });
});
