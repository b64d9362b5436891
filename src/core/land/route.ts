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

/**
 * Turns stretches round, and moves single stops, as long as that shortens the way; what a change would save is told by its few ends alone.
 * 2-opt and or-opt (Croes 1958; Or 1976).
 */
function shortened(start: Point, points: readonly Point[], order: readonly number[]): number[] {
  let best = [...order];
  const at = (place: number): Point => (place < 0 || place >= best.length ? start : points[best[place]!]!);
  const legM = (a: number, b: number): number => distanceM(at(a), at(b));
  for (let isBetter = true; isBetter;) {
    isBetter = false;
    for (let from = 0; from < best.length - 1; from += 1)
      for (let to = from + 1; to < best.length; to += 1) {
        const [into, out] = [legM(from - 1, from), legM(to, to + 1)];
        const turnedM = legM(from - 1, to) + legM(from, to + 1) - into - out;
        const shiftedM =
          legM(from - 1, from + 1) - into - legM(from, from + 1) + legM(to, from) + legM(from, to + 1) - out;
        const backM = legM(to - 1, to + 1) - legM(to - 1, to) - out + legM(from - 1, to) + legM(to, from) - into;
        const leastM = Math.min(turnedM, shiftedM, backM);
        if (leastM > -1e-9) continue;
        isBetter = true;
        if (leastM === turnedM)
          best = [...best.slice(0, from), ...best.slice(from, to + 1).toReversed(), ...best.slice(to + 1)];
        else if (leastM === shiftedM) best = best.toSpliced(from, 1).toSpliced(to, 0, best[from]!);
        else best = best.toSpliced(to, 1).toSpliced(from, 0, best[to]!);
      }
  }
  return best;
}

/** Longer ways are only begun at the nearest: turning stretches round of hundreds of beds takes longer than walking them. */
const MOST_SHORTENED = 80;

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
