/** What one finished batch says of the farm: its log rate without the prior that it was judged with. */
export interface BatchEstimate {
  readonly u: number;
  readonly se: number;
}

export interface Posterior {
  readonly mean: number;
  readonly sd: number;
  readonly priorMean: number;
  readonly priorSd: number;
}

/** Takes the prior out of a batch's posterior; null where the batch taught next to nothing. Minka 2001 (cavity). */
export function batchEstimate({ mean, sd, priorMean, priorSd }: Posterior): BatchEstimate | null {
  const learned = 1 / sd ** 2 - 1 / priorSd ** 2;
  if (!(learned > 0.1 / priorSd ** 2)) return null;
  return { u: (mean / sd ** 2 - priorMean / priorSd ** 2) / learned, se: 1 / Math.sqrt(learned) };
}

/**
 * The farm's own prior of a method's log rate, from its finished batches (normal-normal, Gelman et al. 2013). From four batches on the
 * spread between them is learned as well, once.
 * @param farmSd spread between farms; batchSd spread between one farm's batches
 */
export function farmPrior(
  estimates: readonly BatchEstimate[],
  farmSd: number,
  batchSd: number,
): { readonly mean: number; readonly sd: number } {
  const solve = (sd: number) => {
    const weights = estimates.map(({ se }) => 1 / (sd ** 2 + se ** 2));
    const precision = 1 / farmSd ** 2 + weights.reduce((sum, weight) => sum + weight, 0);
    const mean = estimates.reduce((sum, { u }, index) => sum + u * weights[index]!, 0) / precision;
    return { mean, sd: Math.sqrt(1 / precision + sd ** 2) };
  };
  const first = solve(batchSd);
  if (estimates.length < 4) return first;
  const share = estimates.map(({ se }) => (batchSd ** 2 / (batchSd ** 2 + se ** 2)) ** 2);
  const sum = estimates.reduce(
    (total, { u, se }, index) => total + share[index]! * ((u - first.mean) ** 2 - se ** 2),
    0,
  );
  const count = share.reduce((total, value) => total + value, 0);
  return solve(Math.sqrt(Math.max(0.25 * batchSd ** 2, (8 * batchSd ** 2 + sum) / (8 + count))));
}
