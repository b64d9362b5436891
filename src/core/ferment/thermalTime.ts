import type { RateTemperatures } from "../book/types";
import { rateAt } from "./rate";

/** Hours at the reference temperature that have passed by each clock hour; index is the hour of the batch. */
export type ThermalTime = readonly number[];

/** Adds up the rate over the hours by the trapezoid rule; the hourly grid is far finer than a vessel's own lag. */
export function thermalTime(hourlyC: readonly number[], temperatures: RateTemperatures): ThermalTime {
  const rates = hourlyC.map((celsius) => rateAt(celsius, temperatures));
  const sums = [0];
  for (let hour = 1; hour < rates.length; hour += 1) sums.push(sums[hour - 1]! + (rates[hour - 1]! + rates[hour]!) / 2);
  return sums;
}

/** Thermal hours at any clock hour, linear between grid hours; held flat past either end. */
export function thermalAt(theta: ThermalTime, hour: number): number {
  const low = Math.min(theta.length - 1, Math.max(0, Math.floor(hour)));
  const high = Math.min(theta.length - 1, low + 1);
  return theta[low]! + (theta[high]! - theta[low]!) * (Math.min(hour, theta.length - 1) - low);
}

/** The clock hour at which so many thermal hours have passed; Infinity if not within the grid. */
export function hourAtThermal(theta: ThermalTime, thermalH: number): number {
  if (thermalH <= 0) return 0;
  if (thermalH > theta[theta.length - 1]!) return Infinity;
  let low = 0;
  let high = theta.length - 1;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (theta[middle]! < thermalH) low = middle;
    else high = middle;
  }
  const step = theta[high]! - theta[low]!;
  return step === 0 ? high : low + (thermalH - theta[low]!) / step;
}
