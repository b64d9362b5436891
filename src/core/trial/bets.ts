import { logGamma } from "./distributions";

/** What betting on the sign of each difference has made of one: stakes mixed by the arcsine law (Krichevsky & Trofimov 1981). @param won of so many that differ */
export const betsWorth = (won: number, of: number): number =>
  Math.exp(of * Math.LN2 + logGamma(won + 0.5) + logGamma(of - won + 0.5) - Math.log(Math.PI) - logGamma(of + 1));

export interface BetsAnswer {
  readonly eValue: number;
  readonly estimate: number;
  readonly low: number | null;
  readonly high: number | null;
  readonly p: number;
}
/** Judged at any time: a bet that has grown to 1/alpha does so, ever, in at most alpha of trials of nothing (Ville 1939; Ramdas et al. 2023). */
export function betOn(differences: readonly number[], alpha: number): BetsAnswer {
  const sorted = differences.toSorted((one, other) => one - other);
  const told = sorted.filter((one) => one !== 0);
  const won = told.filter((one) => one > 0).length;
  const eValue = betsWorth(won, told.length);
  let losses = -1;
  while (2 * (losses + 1) < sorted.length && betsWorth(losses + 1, sorted.length) >= 1 / alpha) losses += 1;
  const half = sorted.length >> 1;
  return {
    eValue,
    estimate: sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2,
    low: losses < 0 ? null : sorted[losses]!,
    high: losses < 0 ? null : sorted[sorted.length - 1 - losses]!,
    p: Math.min(1, 1 / eValue),
  };
}
