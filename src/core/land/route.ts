import { distanceM, type Point } from "./ring";

const lengthOf = (start: Point, points: readonly Point[], order: readonly number[]): number =>
  order.reduce((sum, at, index) => sum + distanceM(index === 0 ? start : points[order[index - 1]!]!, points[at]!), 0) +
  (order.length > 0 ? distanceM(points[order.at(-1)!]!, start) : 0);

/** The nearest that was not yet visited, each time. */
function nearestFirst(start: Point, points: readonly Point[]): number[] {
  const open = new Set(points.keys());
  const order: number[] = [];
  let here = start;
  while (open.size > 0) {
    const next = [...open].reduce((best, at) =>
      distanceM(here, points[at]!) < distanceM(here, points[best]!) ? at : best,
    );
    order.push(next);
    open.delete(next);
    here = points[next]!;
  }
  return order;
}

/** Turns stretches round, and moves single stops, as long as that shortens the way. 2-opt and or-opt (Croes 1958; Or 1976). */
function shortened(start: Point, points: readonly Point[], order: readonly number[]): number[] {
  let best = [...order];
  let bestM = lengthOf(start, points, best);
  for (let isBetter = true; isBetter;) {
    isBetter = false;
    for (let from = 0; from < best.length - 1; from += 1)
      for (let to = from + 1; to < best.length; to += 1) {
        const turned = [...best.slice(0, from), ...best.slice(from, to + 1).toReversed(), ...best.slice(to + 1)];
        const shifted = best.toSpliced(from, 1).toSpliced(to, 0, best[from]!);
        const back = best.toSpliced(to, 1).toSpliced(from, 0, best[to]!);
        for (const tried of [turned, shifted, back]) {
          const lengthM = lengthOf(start, points, tried);
          if (lengthM < bestM - 1e-9) [best, bestM, isBetter] = [tried, lengthM, true];
        }
      }
  }
  return best;
}

/** Longer ways are only begun at the nearest: turning stretches round of hundreds of beds takes longer than walking them. */
const MOST_SHORTENED = 60;

/**
 * In which order to walk to some places and back to the fill point, so that the way is short: nearest first, then improved.
 * @returns indices of the points, and the length of the whole way, m
 */
export function walkOrder(
  start: Point,
  points: readonly Point[],
): { readonly order: readonly number[]; readonly lengthM: number } {
  const first = nearestFirst(start, points);
  const order = points.length <= MOST_SHORTENED ? shortened(start, points, first) : first;
  return { order, lengthM: lengthOf(start, points, order) };
}
