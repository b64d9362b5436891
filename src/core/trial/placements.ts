import { chanceFrom } from "../chance";
import type { Block } from "./prepare";

/** Up to so many placements all are gone through; above, so many are drawn, and the true one is counted with them (Phipson & Smyth 2010). */
export const MOST_EXACT = 65_536;
const DRAWS = 99_999;
/** Values nearer than this share of the largest count as equal. */
const ALIKE = 1e-9;

/**
 * Every placement that the draw might have given (or a sample of them), the true one first: by how much the sum over treated units would have been less (`lessBy`), and
 * how many treated units would have been others (`moved`). Index p of a part of the blocks is p modulo that part's length.
 */
export interface Placements {
  readonly count: number;
  /** Placements that were possible; more than are gone through where they were drawn. */
  readonly arrangements: number;
  readonly isDrawn: boolean;
  readonly lessBy: Float64Array;
  readonly moved: Int32Array;
  readonly tolerance: number;
}

const choose = (of: number, take: number): number => {
  let ways = 1;
  for (let nth = 1; nth <= take; nth += 1) ways = (ways * (of - take + nth)) / nth;
  return Math.round(ways);
};
export const arrangementsOf = (blocks: readonly Block[]): number =>
  blocks.reduce((ways, { treated, control }) => ways * choose(treated.length + control.length, treated.length), 1);

/** All ways of a block, the true one first. */
function waysOf({ treated, control }: Block): { lessBy: number; moved: number }[] {
  const values = [...treated, ...control];
  const size = treated.length;
  const whole = treated.reduce((sum, one) => sum + one, 0);
  const ways: { lessBy: number; moved: number }[] = [];
  const take = (from: number, left: number, sum: number, moved: number): void => {
    if (left === 0) {
      ways.push({ lessBy: whole - sum, moved });
      return;
    }
    for (let at = from; at <= values.length - left; at += 1)
      take(at + 1, left - 1, sum + values[at]!, moved + Number(at >= size));
  };
  take(0, size, 0, 0);
  // The first way takes the treated units themselves, exactly.
  ways[0] = { lessBy: 0, moved: 0 };
  return ways;
}
const toleranceOf = (blocks: readonly Block[]): number =>
  ALIKE * Math.max(0, ...blocks.flatMap(({ treated, control }) => [...treated, ...control].map(Math.abs)));

function all(blocks: readonly Block[], arrangements: number): Placements {
  let lessBy = new Float64Array(1);
  let moved = new Int32Array(1);
  for (const block of blocks) {
    const ways = waysOf(block);
    const [next, nextMoved] = [
      new Float64Array(lessBy.length * ways.length),
      new Int32Array(moved.length * ways.length),
    ];
    for (const [nth, way] of ways.entries())
      for (let at = 0; at < lessBy.length; at += 1) {
        next[nth * lessBy.length + at] = lessBy[at]! + way.lessBy;
        nextMoved[nth * moved.length + at] = moved[at]! + way.moved;
      }
    lessBy = next;
    moved = nextMoved;
  }
  return { count: lessBy.length, arrangements, isDrawn: false, lessBy, moved, tolerance: toleranceOf(blocks) };
}

/** A sample; `upTo` of the blocks at a time, so that earlier looks have the same placements. */
function drawn(blocks: readonly Block[], parts: readonly number[], arrangements: number, seed: number): Placements[] {
  const chance = chanceFrom(seed);
  const found = parts.map(() => ({ lessBy: new Float64Array(DRAWS + 1), moved: new Int32Array(DRAWS + 1) }));
  const order = blocks.map(({ treated, control }) => ({
    values: [...treated, ...control],
    size: treated.length,
    whole: treated.reduce((sum, one) => sum + one, 0),
    at: Array.from({ length: treated.length + control.length }, (_, index) => index),
  }));
  for (let draw = 1; draw <= DRAWS; draw += 1) {
    let [lessBy, moved] = [0, 0];
    let part = 0;
    for (const [nth, { values, size, whole, at }] of order.entries()) {
      let sum = 0;
      let others = 0;
      for (let place = 0; place < size; place += 1) {
        const other = place + Math.floor(chance.uniform() * (at.length - place));
        [at[place], at[other]] = [at[other]!, at[place]!];
        sum += values[at[place]!]!;
        others += Number(at[place]! >= size);
      }
      if (others > 0) lessBy += whole - sum;
      moved += others;
      while (part < parts.length && parts[part] === nth + 1) {
        found[part]!.lessBy[draw] = lessBy;
        found[part]!.moved[draw] = moved;
        part += 1;
      }
    }
  }
  return found.map((one) => ({
    ...one,
    count: DRAWS + 1,
    arrangements,
    isDrawn: true,
    tolerance: toleranceOf(blocks),
  }));
}

/** Placements of all blocks, and of the first so many of them for each earlier look. @param earlier blocks that there were at each earlier look */
export function placementsOf(
  blocks: readonly Block[],
  earlier: readonly number[],
  seed: number,
): { readonly whole: Placements; readonly parts: readonly Placements[] } {
  const arrangements = arrangementsOf(blocks);
  if (arrangements <= MOST_EXACT)
    return {
      whole: all(blocks, arrangements),
      parts: earlier.map((count) => all(blocks.slice(0, count), arrangementsOf(blocks.slice(0, count)))),
    };
  const found = drawn(blocks, [...earlier, blocks.length], arrangements, seed);
  return { whole: found.at(-1)!, parts: found.slice(0, -1) };
}

/** How many placements would have shown as much or more, by each side; the true one counts. Near values count toward no difference. */
export function tails({ count, lessBy, moved, tolerance, isDrawn }: Placements): { upper: number; lower: number } {
  let [upper, lower] = [1, 1];
  for (let at = 1; at < count; at += 1) {
    if (moved[at] === 0 && isDrawn) {
      upper += 1;
      lower += 1;
      continue;
    }
    const swap = lessBy[at]! / Math.max(1, moved[at]!);
    if (swap <= tolerance) upper += 1;
    if (swap >= -tolerance) lower += 1;
  }
  return { upper, lower };
}

/** Interval by inverting the test (Hartigan 1969): the K-th smallest and largest swap value. Null where so few placements give none. @param level chance outside, both sides */
export function swapInterval(
  { count, lessBy, moved, tolerance }: Placements,
  level: number,
): { readonly low: number; readonly high: number; readonly level: number } | null {
  const k = Math.floor((level / 2) * count + 1e-9);
  if (k < 1) return null;
  const swaps = new Float64Array(count - 1);
  let same = 0;
  for (let at = 1; at < count; at += 1) {
    // A draw that hit the true placement says nothing against any shift: it counts at both ends.
    if (moved[at] === 0) same += 1;
    else swaps[at - 1 - same] = lessBy[at]! / moved[at]!;
  }
  const sorted = swaps.subarray(0, count - 1 - same).sort();
  if (k - same < 1 || sorted.length < k - same) return null;
  return {
    low: sorted[k - 1 - same]! - tolerance,
    high: sorted[sorted.length - k + same]! + tolerance,
    level: 1 - (2 * k) / count,
  };
}
