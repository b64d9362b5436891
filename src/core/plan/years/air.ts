import { chanceFrom } from "../../chance";

/** How days differ from what is usual at their date. */
export interface AirSpread {
  /** Of a day about the usual, K. */
  readonly sdC: number;
  /** How much of it stays until the next day, 0 to 1. */
  readonly lag: number;
  /** Of whole years about each other, K. */
  readonly yearSdC: number;
}
/** Judged, for a temperate climate; where the farm's station has measured long enough, its own days stand in. */
export const USUAL_SPREAD: AirSpread = { sdC: 2.8, lag: 0.72, yearSdC: 0.8 };
/** Fewer days than these say little of a spread. */
const ENOUGH_D = 60;
/** So far the forecast knows the days, growing less sure. */
const KNOWN_D = 10;

/** Spread of measured days about the usual; null where there are too few. @param apartC measured less usual by day, K; null where nobody measured */
export function spreadOf(apartC: readonly (number | null)[]): AirSpread | null {
  const there = apartC.filter((one): one is number => one !== null);
  if (there.length < ENOUGH_D) return null;
  const mean = there.reduce((sum, one) => sum + one, 0) / there.length;
  const variance = there.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (there.length - 1);
  let [product, pairs] = [0, 0];
  for (const [day, one] of apartC.entries()) {
    const next = apartC[day + 1];
    if (one === null || next == null) continue;
    product += (one - mean) * (next - mean);
    pairs += 1;
  }
  const lag = variance > 0 && pairs > 0 ? Math.min(0.95, Math.max(0, product / pairs / variance)) : 0;
  // How years differ takes years to know.
  return { sdC: Math.sqrt(variance), lag, yearSdC: USUAL_SPREAD.yearSdC };
}

/**
 * Mean air by day of a year that might be: the usual, with the year's own lean and days that take after the day before, as daily temperatures do (first-order
 * autoregression of residuals: Richardson 1981). What the forecast knows of the first days stays nearly so.
 * @param usualC mean air by day from day 0, °C, @param seed the same gives the same year
 */
export function simulatedAir(usualC: readonly number[], nowDay: number, spread: AirSpread, seed: number): number[] {
  const chance = chanceFrom(seed);
  const leanC = spread.yearSdC * chance.normal();
  const fresh = spread.sdC * Math.sqrt(1 - spread.lag ** 2);
  let apartC = spread.sdC * chance.normal();
  return usualC.map((celsius, day) => {
    apartC = spread.lag * apartC + fresh * chance.normal();
    const unknown = Math.min(1, Math.max(0, (day - nowDay) / KNOWN_D));
    return celsius + unknown * (leanC + apartC);
  });
}
