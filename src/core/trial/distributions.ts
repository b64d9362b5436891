import { jStat } from "jstat";

/** Normal distribution function. */
export const normalCdf = (z: number): number => jStat.normal.cdf(z, 0, 1);
/** Quantile of Student's t. */
export const tQuantile = (p: number, df: number): number => jStat.studentt.inv(p, df);
/** Quantile of the chi-square distribution. */
export const chiSquareQuantile = (p: number, df: number): number => jStat.chisquare.inv(p, df);
/** Distribution function of the binomial. */
export const binomialCdf = (k: number, n: number, p: number): number => (k < 0 ? 0 : jStat.binomial.cdf(k, n, p));

/** Exact interval of a share (Clopper & Pearson 1934). @param level total chance outside, both sides alike */
export function shareInterval(won: number, of: number, level: number): { readonly low: number; readonly high: number } {
  return {
    low: won === 0 ? 0 : jStat.beta.inv(level / 2, won, of - won + 1),
    high: won === of ? 1 : jStat.beta.inv(1 - level / 2, won + 1, of - won),
  };
}

/** Chance that Student's two-sided test of n normal differences sees a true one. @param shift true difference in spreads, @param level two-sided */
export function studentPower(n: number, shift: number, level: number): number {
  const df = n - 1;
  const t = tQuantile(1 - level / 2, df);
  const centre = shift * Math.sqrt(n);
  // The t statistic given the sample's own spread: integrated over the chi distribution of it.
  const steps = 400;
  const [from, to] = [chiSquareQuantile(1e-7, df), chiSquareQuantile(1 - 1e-7, df)].map(Math.sqrt) as [number, number];
  const width = (to - from) / steps;
  let [sum, weights] = [0, 0];
  for (let step = 0; step <= steps; step += 1) {
    const chi = from + step * width;
    const weight =
      (step === 0 || step === steps ? 1 : step % 2 === 1 ? 4 : 2) * Math.exp((df - 1) * Math.log(chi) - chi ** 2 / 2);
    const edge = (t * chi) / Math.sqrt(df);
    sum += weight * (normalCdf(centre - edge) + normalCdf(-centre - edge));
    weights += weight;
  }
  return sum / weights;
}

/** Natural logarithm of the gamma function. */
export const logGamma = (x: number): number => jStat.gammaln(x);
