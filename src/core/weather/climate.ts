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
