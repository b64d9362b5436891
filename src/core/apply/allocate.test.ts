import fc from "fast-check";
import { DomainError } from "../errors";
import { allocate, type Allocation, type PlotWish, type Priority } from "./allocate";
import { blend } from "./blend";
import { concentrateFor, mixFor, servedBy } from "./reach";

const wish = (id: string, priority: Priority, preferredL: number, leastL: number, loadL?: number): PlotWish => ({
  id,
  priority,
  preferredL,
  leastL,
  ...(loadL === undefined ? {} : { loadL }),
});
const got = ({ plots }: Allocation) => Object.fromEntries(plots.map(({ id, concentrateL }) => [id, concentrateL]));

/** What an allocation is worth: for each priority how many are served, then how much they get. */
function worth(plots: readonly PlotWish[], given: readonly number[]): number[] {
  return ([1, 2, 3] as const).flatMap((priority) => {
    const amounts = given.filter((amountL, index) => plots[index]!.priority === priority && amountL > 0);
    return [amounts.length, Number(amounts.reduce((sum, amountL) => sum + amountL, 0).toFixed(6))];
  });
}
const better = (a: readonly number[], b: readonly number[]): boolean => {
  const at = a.findIndex((value, index) => Math.abs(value - b[index]!) > 2e-3);
  return at >= 0 && a[at]! > b[at]!;
};

/** Every allocation of a small field, by steps; the best of them. */
function bestOfAll(availableL: number, plots: readonly PlotWish[], stepL: number): number[] {
  let best = worth(
    plots,
    plots.map(() => 0),
  );
  const goOn = (index: number, leftL: number, given: readonly number[]): void => {
    if (index === plots.length) {
      const found = worth(plots, given);
      if (better(found, best)) best = found;
      return;
    }
    const { preferredL, leastL, loadL } = plots[index]!;
    const grain = loadL ?? stepL;
    goOn(index + 1, leftL, [...given, 0]);
    for (let amountL = grain; amountL <= Math.min(preferredL, leftL) + 1e-9; amountL += grain)
      if (amountL >= leastL - 1e-9) goOn(index + 1, leftL - amountL, [...given, amountL]);
  };
  goOn(0, availableL, []);
  return best;
}

const plotsOf = (loads: fc.Arbitrary<number | undefined>) =>
  fc
    .array(
      fc.tuple(
        fc.constantFrom<Priority>(1, 2, 3),
        fc.integer({ min: 1, max: 7 }),
        fc.integer({ min: 1, max: 7 }),
        loads,
      ),
      { minLength: 1, maxLength: 5 },
    )
    .map((all) =>
      all.map(([priority, a, b, loadL], index) => wish(String(index), priority, Math.max(a, b), Math.min(a, b), loadL)),
    );

describe("sharing out a brew that does not reach", () => {
  it("serves who wants it most, in full, then the next; and says who goes without", () => {
    const answer = allocate(38, [
      wish("squash", 1, 6, 3),
      wish("leeks", 2, 8, 4),
      wish("kale", 1, 6, 3),
      wish("celery", 1, 5, 3),
      wish("cabbage", 2, 8, 4),
      wish("bare", 2, 6, 4),
      wish("beans", 3, 4, 2),
      wish("apples", 3, 40, 39),
    ]);
    expect(got(answer)).toEqual({ squash: 6, leeks: 8, kale: 6, celery: 5, cabbage: 8, bare: 5, beans: 0, apples: 0 });
    expect(answer).toMatchObject({ givenL: 38, leftL: 0 });
    expect(answer.without).toEqual([
      { id: "beans", reason: { code: "not-enough-left", leastL: 2, leftL: 0 } },
      { id: "apples", reason: { code: "more-than-all", leastL: 39 } },
    ]);
  });
  it("serves more of equals at their least before any gets its wish", () =>
    expect(got(allocate(10, [wish("a", 1, 10, 2), wish("b", 1, 10, 2)]))).toEqual({ a: 8, b: 2 }));
  it("keeps loads whole, of several strengths at once", () => {
    const answer = allocate(5, [
      wish("bed", 1, 4.5, 2, 2),
      wish("seedlings", 2, 1, 0.4, 0.2),
      wish("pots", 2, 1, 0.5, 2),
    ]);
    expect(got(answer)).toEqual({ bed: 4, seedlings: 1, pots: 0 });
    expect(answer.without).toEqual([{ id: "pots", reason: { code: "no-whole-load", loadL: 2 } }]);
  });
  it("is beaten by no other way, in litres and in whole loads of mixed sizes", () => {
    for (const loads of [
      fc.constant(undefined),
      fc.constant(1),
      fc.constantFrom(1, 2, 3),
      fc.constantFrom(undefined, 2),
    ])
      fc.assert(
        fc.property(plotsOf(loads), fc.integer({ min: 0, max: 18 }), (plots, availableL) => {
          const answer = allocate(availableL, plots);
          const found = worth(
            plots,
            answer.plots.map(({ concentrateL }) => concentrateL),
          );
          expect(found).toEqual(bestOfAll(availableL, plots, 1));
        }),
        { numRuns: 150 },
      );
  });
  it("never gives more than there is, less than the least, or more than the wish; and accounts for every plot", () => {
    const any = fc.double({ min: 0.01, max: 60, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.constantFrom<Priority>(1, 2, 3),
            any,
            any,
            fc.option(fc.double({ min: 0.05, max: 5, noNaN: true })),
          ),
          { maxLength: 60 },
        ),
        fc.double({ min: 0, max: 800, noNaN: true }),
        (all, availableL) => {
          const plots = all.map(([priority, a, b, loadL], index) => ({
            id: String(index),
            priority,
            preferredL: Math.max(a, b),
            leastL: Math.min(a, b),
            loadL,
          }));
          const { plots: given, givenL, leftL, without } = allocate(availableL, plots);
          const sum = given.reduce((total, { concentrateL }) => total + concentrateL, 0);
          expect(sum).toBeLessThanOrEqual(availableL + 1e-6);
          expect(Math.abs(sum - givenL)).toBeLessThan(1e-6);
          expect(Math.abs(givenL + leftL - availableL)).toBeLessThan(1e-6);
          for (const [index, { concentrateL }] of given.entries()) {
            const { preferredL, leastL, loadL } = plots[index]!;
            expect(without.some(({ id }) => id === String(index))).toBe(concentrateL === 0);
            if (concentrateL === 0) continue;
            expect(concentrateL).toBeGreaterThanOrEqual(leastL - 1e-9);
            expect(concentrateL).toBeLessThanOrEqual(preferredL + 1e-6);
            if (loadL) expect(Math.abs(concentrateL / loadL - Math.round(concentrateL / loadL))).toBeLessThan(1e-6);
          }
        },
      ),
    );
  });
  it.each<[string, number, PlotWish[]]>([
    ["less than nothing", -1, []],
    ["what is no number", Number.NaN, []],
    ["a least above the wish", 5, [wish("a", 1, 2, 3)]],
    ["a wish below nothing", 5, [wish("a", 1, -2, -3)]],
  ])("refuses %s", (_what, availableL, plots) => expect(() => allocate(availableL, plots)).toThrow(DomainError));
});

describe("blending", () => {
  it("goes as far as the scarcer goes, and says what is left of each", () =>
    expect(
      blend([
        { availableL: 6, parts: 1 },
        { availableL: 30, parts: 2 },
      ]),
    ).toEqual({
      parts: [
        { usedL: 6, leftL: 0 },
        { usedL: 12, leftL: 18 },
      ],
      totalL: 18,
      limitedBy: 0,
    }));
  it("makes no more than is wanted", () => {
    const { totalL, parts } = blend(
      [
        { availableL: 6, parts: 1 },
        { availableL: 30, parts: 1 },
      ],
      5,
    );
    expect([totalL, parts[0]!.usedL, parts[1]!.leftL]).toEqual([5, 2.5, 27.5]);
  });
  it("refuses a part of nothing", () => expect(() => blend([{ availableL: 6, parts: 0 }])).toThrow(DomainError));
});

describe("how far it reaches", () => {
  it("from litres to land, and back", () => {
    expect(servedBy(38, 4, { amountL: 2, per: "m2" })).toBe(95);
    expect(servedBy(50, 1, { amountL: 4, per: "plant" })).toBe(25);
    expect(servedBy(49.9, 1, { amountL: 4, per: "plant" })).toBe(24);
    expect(concentrateFor(mixFor({ areaM2: 95, plants: null }, { amountL: 2, per: "m2" })!, 4)).toBe(38);
    expect(mixFor({ areaM2: 95, plants: null }, { amountL: 4, per: "plant" })).toBeNull();
    expect(mixFor({ areaM2: 95, plants: 7 }, { amountL: 4, per: "plant" })).toBe(28);
  });
});
