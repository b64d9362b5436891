/** One hour of weather, as the judge of hours needs it; times in ms since the epoch. Rain and wind are null where nobody tells them. */
export interface WeatherHour {
  readonly atMs: number;
  readonly airC: number;
  readonly rainMm: number | null;
  readonly windMPerS: number | null;
}

export interface SunTimes {
  readonly riseMs: number;
  readonly setMs: number;
}

/** The sun is low for so long after it rises and before it sets. */
export const LOW_SUN = { afterRiseH: 2.5, beforeSetH: 2 } as const;
/** Rain within this washes it off leaves. */
export const DRY_AFTER_H = 4;
/** Spray drifts above this (light breeze, Beaufort 3 begins at 3.4 m/s). */
export const CALM_M_PER_S = 3.4;
/** Plants under stress take harm outside of these, °C. */
export const LEAF_C = { min: 6, max: 26 } as const;
export const SOIL_C = { min: 3, max: 30 } as const;
/** Less rain than this wets nothing, mm. */
export const RAIN_MM = 0.2;
