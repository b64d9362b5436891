/** Hours of the batch by which a mark has passed with 10, 50 and 90 % chance; Infinity for not within the horizon. */
export interface Quantiles {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/** Weighted hours in the order of the clock. */
export interface Atoms {
  readonly hours: Float64Array;
  readonly weights: Float64Array;
  /** Weight of all up to and with each. */
  readonly upTo: Float64Array;
}

/** A key of a thousandth of an hour and an index: sorting numbers is much faster than sorting objects. */
const KEY_ROOM = 16_384;

/** Sorts weighted hours, Infinity last. Fewer than 16,384. */
export function sortAtoms(hours: readonly number[], weights: readonly number[]): Atoms {
  const count = hours.length;
  const keys = new Float64Array(count);
  for (let index = 0; index < count; index += 1)
    keys[index] = Math.round(Math.min(hours[index]!, 1e8) * 1000) * KEY_ROOM + index;
  keys.sort();
  const sorted = new Float64Array(count);
  const weight = new Float64Array(count);
  const upTo = new Float64Array(count);
  let sum = 0;
  for (let at = 0; at < count; at += 1) {
    const key = keys[at]!;
    const index = key - Math.floor(key / KEY_ROOM) * KEY_ROOM;
    sorted[at] = hours[index]!;
    weight[at] = weights[index]!;
    sum += weights[index]!;
    upTo[at] = sum;
  }
  return { hours: sorted, weights: weight, upTo };
}

/** Weighted quantile, even between the midpoints of the weights; the first atom below the first midpoint. */
export function quantile({ hours, weights, upTo }: Atoms, share: number): number {
  const middle = (index: number) => upTo[index]! - weights[index]! / 2;
  let low = 0;
  let high = hours.length - 1;
  if (high < 0) return Infinity;
  if (share <= middle(0)) return hours[0]!;
  if (share >= middle(high)) return hours[high]!;
  while (high - low > 1) {
    const at = (low + high) >> 1;
    if (middle(at) < share) low = at;
    else high = at;
  }
  const [from, to] = [hours[low]!, hours[high]!];
  if (!Number.isFinite(to)) return Infinity;
  return from + ((to - from) * (share - middle(low))) / (middle(high) - middle(low));
}

export const quantilesOf = (atoms: Atoms): Quantiles => ({
  p10: quantile(atoms, 0.1),
  p50: quantile(atoms, 0.5),
  p90: quantile(atoms, 0.9),
});

/** Weight of the atoms at or before an hour. */
export function weightUpTo({ hours, upTo }: Atoms, hour: number): number {
  let low = 0;
  let high = hours.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (hours[middle]! <= hour) low = middle + 1;
    else high = middle;
  }
  return low === 0 ? 0 : upTo[low - 1]!;
}
