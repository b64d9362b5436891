/** As much of jstat as is used here; it ships no types of its own. */
declare module "jstat" {
  export const jStat: {
    readonly normal: { cdf(x: number, mean: number, sd: number): number };
    readonly studentt: { inv(p: number, df: number): number };
    readonly chisquare: { inv(p: number, df: number): number };
    readonly binomial: { cdf(k: number, n: number, p: number): number };
    readonly beta: { inv(p: number, alpha: number, beta: number): number };
    gammaln(x: number): number;
  };
}
