import { chanceFrom } from "../chance";
import { betsWorth } from "./bets";
import { binomialCdf, normalCdf, studentPower } from "./distributions";

/** From so many placements that may be spent a side on, Student's test at the same level sees as much, within a hundredth. */
const STUDENT_FROM = 10;
const DRAWS = 40_000;
/** Below, the few placements make the chance go in steps. */
const STEADY_FROM = 13;

/** Fewest pairs that could ever tell at a level: even the clearest of their placements is one of 2ⁿ. */
export function leastPairs(level: number): number {
  let n = 1;
  while (2 / 2 ** n > level + 1e-12) n += 1;
  return n;
}

/** Sets of differences that add up to nought or less, the empty one among them, as far as `most` + 1. @param sorted from the smallest, n of them */
function countRare(sorted: Float64Array, n: number, from: number, sum: number, found: number, most: number): number {
  let count = found;
  for (let at = from; at < n && count <= most; at += 1) {
    const next = sum + sorted[at]!;
    if (next <= 0) count = countRare(sorted, n, at + 1, next, count + 1, most);
    // Those that follow are larger: nothing more can be found behind one that is too much by itself.
    else if (sorted[at]! > 0) return count;
  }
  return count;
}

/** Seeded, and by the very test: how often it sees a true difference among normal ones. */
function drawnPower(n: number, shift: number, k: number): number {
  const { uniform } = chanceFrom(1000 * n + k);
  const values = new Float64Array(n + 1);
  let seen = 0;
  for (let draw = 0; draw < DRAWS; draw += 1) {
    let sum = 0;
    // Two normal values at a time (Box & Muller 1958).
    for (let at = 0; at < n; at += 2) {
      const far = Math.sqrt(-2 * Math.log(1 - uniform()));
      const turn = 2 * Math.PI * uniform();
      values[at] = shift + far * Math.cos(turn);
      values[at + 1] = shift + far * Math.sin(turn);
    }
    for (let at = 0; at < n; at += 1) sum += values[at]!;
    const side = sum >= 0 ? 1 : -1;
    for (let at = 0; at < n; at += 1) {
      const value = side * values[at]!;
      let place = at;
      for (; place > 0 && values[place - 1]! > value; place -= 1) values[place] = values[place - 1]!;
      values[place] = value;
    }
    if (countRare(values, n, 0, 0, 1, k) <= k) seen += 1;
  }
  return seen / DRAWS;
}

/** Chance that the exact test of n pairs sees a true difference. @param shift in spreads between the two units of a pair, @param level two-sided */
export function pairsPower(n: number, shift: number, level: number): number {
  const k = Math.floor((level / 2) * 2 ** n + 1e-9);
  if (k < 1) return 0;
  if (k === 1) return normalCdf(shift) ** n + normalCdf(-shift) ** n;
  return k >= STUDENT_FROM ? studentPower(n, shift, Math.min(level, (2 * k) / 2 ** n)) : drawnPower(n, shift, k);
}
/** The same for scores: the sign test on pairs. @param share chance that a treated unit beats its neighbour */
export function signsPower(n: number, share: number, level: number): number {
  let losses = -1;
  while (2 * binomialCdf(losses + 1, n, 0.5) <= level + 1e-12 && losses + 1 < n / 2) losses += 1;
  if (losses < 0) return 0;
  return 1 - binomialCdf(n - losses - 1, n, share) + binomialCdf(losses, n, share);
}
/** Pairs at which bets would have grown enough, were each won with this chance. */
export function pairsForBets(shift: number, alpha: number, most: number): number | null {
  const share = normalCdf(shift);
  for (let n = 1; n <= most; n += 1) if (betsWorth(share * n, n) >= 1 / alpha) return n;
  return null;
}
/** Fewest pairs at which a true difference is seen with a chance; null where `most` are not enough. */
export function pairsFor(powerOf: (n: number) => number, chance: number, most: number, from = 2): number | null {
  const steady = Math.min(most, STEADY_FROM);
  for (let n = from; n < steady; n += 1) if (powerOf(n) >= chance) return n;
  if (powerOf(most) < chance) return null;
  // From there on more pairs always see more.
  let [low, high] = [steady, most];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (powerOf(middle) >= chance) high = middle;
    else low = middle + 1;
  }
  return low;
}
