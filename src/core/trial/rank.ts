import type { ArmAnswer } from "./terms";

/** Ways of so many ranks to add up to each sum: of signed ranks (Wilcoxon 1945). */
function signedRankWays(n: number): Float64Array {
  const ways = new Float64Array((n * (n + 1)) / 2 + 1);
  ways[0] = 1;
  let top = 0;
  for (let rank = 1; rank <= n; rank += 1) {
    top += rank;
    for (let sum = top; sum >= rank; sum -= 1) ways[sum]! += ways[sum - rank]!;
  }
  return ways;
}
const middle = (sorted: Float64Array): number => {
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
};

/** Median of the Walsh averages with its exact interval (Hodges & Lehmann 1963); null where so few differences give none. @param level chance outside */
export function walshRank(differences: readonly number[], level: number): ArmAnswer["rank"] {
  const n = differences.length;
  if (n < 2) return null;
  const walsh = new Float64Array((n * (n + 1)) / 2);
  let at = 0;
  for (let one = 0; one < n; one += 1)
    for (let other = one; other < n; other += 1) {
      walsh[at] = (differences[one]! + differences[other]!) / 2;
      at += 1;
    }
  walsh.sort();
  const ways = signedRankWays(n);
  const total = 2 ** n;
  let [k, below] = [0, 0];
  while (k < walsh.length / 2 && (below + ways[k]!) / total <= level / 2 + 1e-12) {
    below += ways[k]!;
    k += 1;
  }
  if (k === 0) return null;
  return {
    estimate: middle(walsh),
    low: walsh[k - 1]!,
    high: walsh[walsh.length - k]!,
    level: 1 - (2 * below) / total,
  };
}
