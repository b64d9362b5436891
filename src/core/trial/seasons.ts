import { tQuantile } from "./distributions";
import type { Block } from "./prepare";
import type { SeasonsTogether } from "./terms";

/** Variance between seasons (Paule & Mandel 1982), by halving. */
function between(means: readonly number[], within: readonly number[]): number {
  const excess = (tau2: number): number => {
    const weights = within.map((one) => 1 / (one + tau2));
    const all = weights.reduce((sum, one) => sum + one, 0);
    const centre = weights.reduce((sum, one, nth) => sum + one * means[nth]!, 0) / all;
    return weights.reduce((sum, one, nth) => sum + one * (means[nth]! - centre) ** 2, 0) - (means.length - 1);
  };
  if (excess(0) <= 0) return 0;
  let [low, high] = [0, 1];
  while (excess(high) > 0 && high < 1e12) high *= 2;
  for (let step = 0; step < 200 && high - low > 1e-13 * Math.max(1, high); step += 1) {
    const middle = (low + high) / 2;
    if (excess(middle) > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * What holds across seasons: season means, the variance of pairs pooled within seasons; interval by Hartung & Knapp (2001), what a next season may show by Higgins,
 * Thompson & Spiegelhalter (2009). Null for one season, or where no season has two pairs.
 * @param level chance outside of the intervals
 */
export function seasonsTogether(blocks: readonly Block[], level: number): SeasonsTogether | null {
  const bySeason = new Map<string, number[]>();
  for (const { treated, control, season } of blocks) {
    if (season === null) return null;
    bySeason.set(season, [...(bySeason.get(season) ?? []), treated[0]! - control[0]!]);
  }
  const k = bySeason.size;
  const lists = [...bySeason.values()];
  const free = lists.reduce((sum, list) => sum + list.length - 1, 0);
  if (k < 2 || free < 1) return null;
  const mean = (list: readonly number[]): number => list.reduce((sum, one) => sum + one, 0) / list.length;
  const means = lists.map(mean);
  const squares = lists.reduce(
    (sum, list, nth) => sum + list.reduce((own, one) => own + (one - means[nth]!) ** 2, 0),
    0,
  );
  const within = lists.map((list) => Math.max(squares / free / list.length, 1e-300));
  const tau2 = between(means, within);
  const weights = within.map((one) => 1 / (one + tau2));
  const all = weights.reduce((sum, one) => sum + one, 0);
  const estimate = weights.reduce((sum, one, nth) => sum + one * means[nth]!, 0) / all;
  const scatter = weights.reduce((sum, one, nth) => sum + one * (means[nth]! - estimate) ** 2, 0);
  const variance = scatter / ((k - 1) * all);
  const wide = tQuantile(1 - level / 2, k - 1) * Math.sqrt(variance);
  const next = k > 2 ? tQuantile(1 - level / 2, k - 2) * Math.sqrt(tau2 + variance) : null;
  return {
    k,
    estimate,
    low: estimate - wide,
    high: estimate + wide,
    tau: Math.sqrt(tau2),
    predictLow: next === null ? null : estimate - next,
    predictHigh: next === null ? null : estimate + next,
    parts: [...bySeason].map(([season, list], nth) => ({ season, pairs: list.length, estimate: means[nth]! })),
  };
}
