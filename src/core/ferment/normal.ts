/**
 * Standard normal distribution function. Abramowitz and Stegun 1964, 26.2.17; error below 7.5e-8.
 * @example normalCdf(0); // 0.5
 */
export function normalCdf(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const poly = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * poly;
  return z >= 0 ? 1 - tail : tail;
}

/** Standard normal density. */
export const normalPdf = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
