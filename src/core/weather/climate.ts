/** What the air usually is at a farm, as its keeper stated it when it was set up. */
export interface Climate {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  /** Mean of the year, and how far the warmest month stands above it. */
  readonly meanC: number;
  readonly swingC: number;
}

const HOUR_MS = 3_600_000;
const DAY_H = 24;
const YEAR_D = 365.2425;
/** Day of the year on which the air is warmest, north of the equator; half a year later south of it. */
const WARMEST_DAY_NORTH = 201;
/** Judged: half the range between day and night of an ordinary day. */
export const DAY_NIGHT_HALF_C = 4.5;
const WARMEST_SOLAR_HOUR = 15;

/** What the air usually is on a date in a climate: its mean, and half the range between day and night, °C and K. */
export function usualAir(at: Date, climate: Climate): { readonly meanC: number; readonly swingC: number } {
  const dayOfYear = (at.getTime() / HOUR_MS / DAY_H) % YEAR_D;
  const warmest = climate.latitudeDeg >= 0 ? WARMEST_DAY_NORTH : WARMEST_DAY_NORTH - YEAR_D / 2;
  const season = climate.swingC * Math.cos((2 * Math.PI * (dayOfYear - warmest)) / YEAR_D);
  return { meanC: climate.meanC + season, swingC: DAY_NIGHT_HALF_C };
}

/** How far an hour of the day stands between the coolest (-1) and the warmest (1), by the sun. */
export function dayWave(at: Date, { longitudeDeg }: Pick<Climate, "longitudeDeg">): number {
  const solarHour = at.getTime() / HOUR_MS + longitudeDeg / 15;
  return Math.cos((2 * Math.PI * (solarHour - WARMEST_SOLAR_HOUR)) / DAY_H);
}

/** What the air usually is at an hour of the year and of the day, °C. */
export function usualAirAt(at: Date, climate: Climate): number {
  const { meanC, swingC } = usualAir(at, climate);
  return meanC + swingC * dayWave(at, climate);
}

const SEASON_STEP_D = 10;

/** How the usual mean of the day goes from one moment to another, a point every ten days. */
export function seasonBetween(from: Date, to: Date, climate: Climate): { readonly at: Date; readonly meanC: number }[] {
  const stepMs = SEASON_STEP_D * DAY_H * HOUR_MS;
  const count = Math.ceil(Math.max(0, to.getTime() - from.getTime()) / stepMs) + 1;
  return Array.from({ length: count }, (_, index) => {
    const at = new Date(from.getTime() + index * stepMs);
    return { at, meanC: usualAir(at, climate).meanC };
  });
}

/** A climate as a grower knows it: a warm afternoon in the warmest month, a night in the coldest, °C. */
export interface WarmAndCold {
  readonly warmAfternoonC: number;
  readonly coldNightC: number;
}

/**
 * Mean of the year and swing of the seasons from two temperatures that a grower knows. An afternoon stands half a day's range above its month's
 * mean, a night as far below it. Two that lie closer than a day's range leave no seasons.
 */
export function climateFrom({ warmAfternoonC, coldNightC }: WarmAndCold): Pick<Climate, "meanC" | "swingC"> {
  return {
    meanC: (warmAfternoonC + coldNightC) / 2,
    swingC: Math.max(0, (warmAfternoonC - coldNightC) / 2 - DAY_NIGHT_HALF_C),
  };
}

/** The same two temperatures of a climate. Inverse of `climateFrom`. */
export const warmAndCold = ({ meanC, swingC }: Pick<Climate, "meanC" | "swingC">): WarmAndCold => ({
  warmAfternoonC: meanC + swingC + DAY_NIGHT_HALF_C,
  coldNightC: meanC - swingC - DAY_NIGHT_HALF_C,
});

/**
 * What the climate of a latitude is at large, where nobody has said it yet: zonal means of the year and of its first harmonic over land and sea
 * (North, Cahalan & Coakley 1981). Coasts and heights differ by many degrees.
 * @param latitudeDeg between −66 and 66
 */
export function climateAtLarge(latitudeDeg: number): Pick<Climate, "meanC" | "swingC"> {
  const sine = Math.sin((latitudeDeg * Math.PI) / 180);
  return { meanC: 14.97 - 28 * ((3 * sine ** 2 - 1) / 2), swingC: 15.5 * Math.abs(sine) };
}
