import { DomainError, type FigureName } from "../errors";

/** How badly a plot wants it: 1 before 2 before 3. */
export type Priority = 1 | 2 | 3;

export interface PlotWish {
  readonly id: string;
  readonly priority: Priority;
  /** Concentrate that it would get where there is enough, L; more it never gets. */
  readonly preferredL: number;
  /** Concentrate below which it is not worth the walk, L: it gets so much at the least, or none. */
  readonly leastL: number;
  /** Concentrate in one load, where only whole loads are carried, L. */
  readonly loadL?: number | null;
}

/** Why a plot goes without. */
export type WithoutReason =
  /** Its least is more than was there from the start. */
  | { readonly code: "more-than-all"; readonly leastL: number }
  /** Others, that want it as much or more, left less than its least. */
  | { readonly code: "not-enough-left"; readonly leastL: number; readonly leftL: number }
  /** Not one whole load lies between its least and its wish. */
  | { readonly code: "no-whole-load"; readonly loadL: number };

export interface Allocation {
  /** In the order in which they were asked; 0 for who goes without. */
  readonly plots: readonly { readonly id: string; readonly concentrateL: number }[];
  readonly givenL: number;
  readonly leftL: number;
  readonly without: readonly { readonly id: string; readonly reason: WithoutReason }[];
}

/** A millilitre in a drum is nobody's. */
const NEGLIGIBLE_L = 0.001;
const MOST_PLOTS = 2000;
/** So many ways are looked at; the best of them is taken where there are more (sets of hundreds of plots of all sizes, to the millilitre). */
const MOST_STEPS = 50_000;

interface Wish {
  readonly index: number;
  readonly lowL: number;
  readonly highL: number;
  readonly stepL: number;
}

/** What a plot may get: its least and its wish, in whole loads where only those are carried; null where there is no such amount. */
function wishOf({ preferredL, leastL, loadL }: PlotWish, index: number): Wish | null {
  if (!loadL) return { index, lowL: leastL, highL: preferredL, stepL: 0 };
  const fewest = Math.max(1, Math.ceil(leastL / loadL - 1e-9));
  const most = Math.floor(preferredL / loadL + 1e-9);
  return most < fewest ? null : { index, lowL: fewest * loadL, highL: most * loadL, stepL: loadL };
}

/** How many more loads of each size fill a room best: none more of any, and the room is used as far as it can be. */
function fillLoads(sizes: readonly { readonly stepL: number; readonly most: number }[], roomL: number): number[] {
  let best: { usedL: number; counts: number[] } = { usedL: -1, counts: sizes.map(() => 0) };
  let steps = 0;
  const goOn = (at: number, leftL: number, counts: readonly number[]): void => {
    if (at === sizes.length) {
      if (roomL - leftL > best.usedL + 1e-9) best = { usedL: roomL - leftL, counts: [...counts] };
      return;
    }
    const couldUseL = sizes.slice(at).reduce((sum, { stepL, most }) => sum + stepL * most, 0);
    if (roomL - leftL + Math.min(leftL, couldUseL) <= best.usedL + 1e-9) return;
    const { stepL, most } = sizes[at]!;
    for (let count = Math.min(most, Math.floor(leftL / stepL + 1e-9)); count >= 0; count -= 1) {
      if ((steps += 1) > MOST_STEPS || best.usedL >= roomL - NEGLIGIBLE_L) return;
      goOn(at + 1, leftL - count * stepL, [...counts, count]);
    }
  };
  goOn(0, roomL, []);
  return best.counts;
}

const isWhole = ({ stepL }: Wish): boolean => stepL > 0;

/** What each of a set gets: its least, then up to its wish in the order asked; whole loads first, since the rest fills any room. */
function share(wishes: readonly Wish[], availableL: number): number[] {
  const roomL = availableL - wishes.reduce((sum, { lowL }) => sum + lowL, 0);
  const loadsMore = ({ lowL, highL, stepL }: Wish) => Math.round((highL - lowL) / stepL);
  const whole = wishes.filter(isWhole);
  const sizes = [...new Set(whole.map(({ stepL }) => stepL))].toSorted((a, b) => b - a);
  const counts = fillLoads(
    sizes.map((stepL) => ({
      stepL,
      most: whole.filter((wish) => wish.stepL === stepL).reduce((sum, wish) => sum + loadsMore(wish), 0),
    })),
    roomL,
  );
  const loadsLeft = new Map(sizes.map((stepL, index) => [stepL, counts[index]!]));
  let restL = roomL - sizes.reduce((sum, stepL, index) => sum + stepL * counts[index]!, 0);
  return wishes.map((wish) => {
    if (!isWhole(wish)) {
      const moreL = Math.max(0, Math.min(restL, wish.highL - wish.lowL));
      restL -= moreL;
      return wish.lowL + moreL;
    }
    const loads = Math.min(loadsMore(wish), loadsLeft.get(wish.stepL)!);
    loadsLeft.set(wish.stepL, loadsLeft.get(wish.stepL)! - loads);
    return wish.lowL + loads * wish.stepL;
  });
}

/** For every place in the list and every count: the sum of that many of the least, or the greatest, from there on. */
function sumsFrom(
  values: readonly number[],
  order: (a: number, b: number) => number,
): (at: number, count: number) => number {
  const rows = values.map((_, at) => {
    let sum = 0;
    return [
      0,
      ...values
        .slice(at)
        .toSorted(order)
        .map((value) => (sum += value)),
    ];
  });
  return (at, count) => (count === 0 ? 0 : (rows[at]?.[count] ?? Infinity));
}

/**
 * Which so many of the wishes use most of what there is, by branch and bound (Land and Doig 1960): the earliest asked are tried first, and a
 * branch is left where its least no longer fits or its wishes can't reach the best that is known.
 */
function pick(wishes: readonly Wish[], count: number, availableL: number): readonly Wish[] {
  if (count === wishes.length) return wishes;
  const leastOf = sumsFrom(
    wishes.map(({ lowL }) => lowL),
    (a, b) => a - b,
  );
  const mostOf = sumsFrom(
    wishes.map(({ highL }) => highL),
    (a, b) => b - a,
  );
  let best: { usedL: number; chosen: readonly Wish[] } = { usedL: -1, chosen: [] };
  let steps = 0;
  const goOn = (at: number, chosen: readonly Wish[], lowL: number, highL: number): void => {
    const missing = count - chosen.length;
    if (missing === 0) {
      const usedL = share(chosen, availableL).reduce((sum, value) => sum + value, 0);
      if (usedL > best.usedL + 1e-9) best = { usedL, chosen };
      return;
    }
    if (wishes.length - at < missing || (steps += 1) > MOST_STEPS) return;
    if (lowL + leastOf(at, missing) > availableL + 1e-9) return;
    if (Math.min(availableL, highL + mostOf(at, missing)) <= best.usedL + 1e-9) return;
    if (best.usedL >= availableL - NEGLIGIBLE_L) return;
    const wish = wishes[at]!;
    if (lowL + wish.lowL <= availableL + 1e-9) goOn(at + 1, [...chosen, wish], lowL + wish.lowL, highL + wish.highL);
    // Who wants just the same is no other way.
    const next = wishes.findIndex(
      (other, index) =>
        index > at && (other.lowL !== wish.lowL || other.highL !== wish.highL || other.stepL !== wish.stepL),
    );
    const goesOnAt = next < 0 ? wishes.length : next;
    goOn(goesOnAt, chosen, lowL, highL);
  };
  goOn(0, [], 0, 0);
  return best.chosen;
}

/** How many of the wishes can be met at their least: the smallest first are the most. */
function countMet(wishes: readonly Wish[], availableL: number): number {
  let leftL = availableL;
  return wishes
    .map(({ lowL }) => lowL)
    .toSorted((a, b) => a - b)
    .filter((lowL) => {
      const isMet = lowL <= leftL + 1e-9;
      leftL = isMet ? leftL - lowL : -1;
      return isMet;
    }).length;
}

const requireWish = ({ preferredL, leastL, loadL }: PlotWish, index: number): void => {
  const check = (what: FigureName, value: number, path: string) => {
    if (!(value >= 0) || !Number.isFinite(value))
      throw new DomainError("negative", { what, value, unit: "L" }, `/plots/${index}/${path}`);
  };
  check("plot-wish", preferredL, "preferred");
  check("plot-least", leastL, "least");
  if (loadL !== undefined && loadL !== null) check("load", loadL, "load");
  if (leastL > preferredL * (1 + 1e-9))
    throw new DomainError(
      "out-of-range",
      { what: "plot-least", value: leastL, unit: "L", min: 0, max: preferredL },
      `/plots/${index}/least`,
    );
};

/**
 * Shares out one limited brew. Priority goes before all: of those that want it most, as many as can be get their least, then as much of their
 * wish as there is; what is left goes on to the next. Among equals, who is asked first. Exact for what a person would call a field; whole loads
 * of several sizes (uses of different strength) are kept whole.
 * @param availableL concentrate in hand, L
 * @throws {DomainError} `negative`, `out-of-range`
 */
export function allocate(availableL: number, plots: readonly PlotWish[]): Allocation {
  if (!(availableL >= 0) || !Number.isFinite(availableL))
    throw new DomainError("negative", { what: "there-is", value: availableL, unit: "L" }, "/available");
  if (plots.length > MOST_PLOTS)
    throw new DomainError(
      "out-of-range",
      { what: "plot-count", value: plots.length, unit: "", min: 0, max: MOST_PLOTS },
      "/plots",
    );
  plots.forEach(requireWish);
  const given = plots.map(() => 0);
  const wishes = plots.map(wishOf);
  let leftL = availableL;
  const leftAfter = new Map<Priority, number>();
  for (const priority of [1, 2, 3] as const) {
    const asking = wishes.filter(
      (wish): wish is Wish => wish !== null && plots[wish.index]!.priority === priority && wish.highL > 0,
    );
    const chosen = pick(asking, countMet(asking, leftL), leftL);
    for (const [at, amountL] of share(chosen, leftL).entries()) given[chosen[at]!.index] = amountL;
    leftL = Math.max(0, leftL - chosen.reduce((sum, { index }) => sum + given[index]!, 0));
    leftAfter.set(priority, leftL);
  }
  const reasonOf = ({ priority, leastL, loadL }: PlotWish, index: number): WithoutReason => {
    const wish = wishes[index];
    if (!wish) return { code: "no-whole-load", loadL: loadL! };
    if (wish.lowL > availableL + 1e-9) return { code: "more-than-all", leastL: wish.lowL };
    return { code: "not-enough-left", leastL: Math.max(leastL, wish.lowL), leftL: leftAfter.get(priority)! };
  };
  return {
    plots: plots.map(({ id }, index) => ({ id, concentrateL: given[index]! })),
    givenL: availableL - leftL,
    leftL,
    without: plots.flatMap((plot, index) =>
      given[index]! > 0 || plot.preferredL === 0 ? [] : [{ id: plot.id, reason: reasonOf(plot, index) }],
    ),
  };
}
