import "server-only";
import { fitHours, type FitBand } from "@/core/apply/fitHours";
import type { Farm } from "@/data/farm";
import { sunDays } from "@/sim/sun";
import { weather, type Climate, type HourOfWeather } from "@/sim/weatherStation";

const HOUR_MS = 3_600_000;
/** How far ahead the forecast reaches. */
export const WEATHER_AHEAD_H = 10 * 24 + 12;

const climateOf = (farm: Farm): Climate => ({
  latitudeDeg: farm.latitudeDeg,
  longitudeDeg: farm.longitudeDeg,
  meanC: farm.climateMeanC,
  swingC: farm.climateSwingC,
});

/** The farm's air from a moment on, measured up to now and forecast for ten days ahead. */
export const airSince = (farm: Farm, from: Date, now: Date): HourOfWeather[] =>
  weather(climateOf(farm), from, new Date(now.getTime() + WEATHER_AHEAD_H * HOUR_MS), now);

/** The part of a series that begins with the hour of a moment. The series is hourly and without gaps. */
export function airFrom(series: readonly HourOfWeather[], from: Date): readonly HourOfWeather[] {
  const first = series[0];
  return first ? series.slice(Math.max(0, Math.floor((from.getTime() - first.at.getTime()) / HOUR_MS))) : series;
}

/** Hours fit for applying, from now over the forecast. */
export function fitBands(farm: Farm, hours: readonly HourOfWeather[], now: Date, aheadH = WEATHER_AHEAD_H): FitBand[] {
  const to = new Date(now.getTime() + aheadH * HOUR_MS);
  const suns = sunDays(farm.latitudeDeg, farm.longitudeDeg, now, to).map(({ rise, set }) => ({
    riseMs: rise.getTime(),
    setMs: set.getTime(),
  }));
  return fitHours(
    hours.map(({ at, airC, rainMm, windMPerS }) => ({ atMs: at.getTime(), airC, rainMm, windMPerS })),
    suns,
    now.getTime(),
    to.getTime(),
  );
}

/** Mean air of each day from a moment on: the forecast while it reaches, then what the climate makes likely, °C. */
export function meanAirByDay(farm: Farm, from: Date, days: number): number[] {
  const hours = weather(climateOf(farm), from, new Date(from.getTime() + days * 24 * HOUR_MS), from);
  return Array.from({ length: days }, (_, day) => {
    const slice = hours.slice(day * 24, day * 24 + 24);
    return slice.reduce((sum, { airC }) => sum + airC, 0) / slice.length;
  });
}
