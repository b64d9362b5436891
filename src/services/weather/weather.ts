import "server-only";
import { fitHours, type FitBand } from "@/core/apply/fitHours";
import type { HourCase } from "@/core/apply/hourCautions";
import { usualAir, usualAirAt, type Climate } from "@/core/weather/climate";
import type { Queryable } from "@/data/db";
import { deviceVersion, findStation, listAirForecast, listStationReadings } from "@/data/devices";
import type { Farm } from "@/data/farm";
import { sunDays } from "@/sim/sun";
import { keepingNewest } from "../kept";

const HOUR_MS = 3_600_000;
/** How far ahead the forecast reaches. */
export const WEATHER_AHEAD_H = 10 * 24 + 12;

export const climateOf = (farm: Farm): Climate => ({
  latitudeDeg: farm.latitudeDeg,
  longitudeDeg: farm.longitudeDeg,
  meanC: farm.climateMeanC,
  swingC: farm.climateSwingC,
});

/** An hour of the farm's air; rain and wind are null where nobody tells them. */
export interface AirHour {
  readonly at: Date;
  readonly airC: number;
  readonly rainMm: number | null;
  readonly windMPerS: number | null;
  /** Measured by a station, expected by its forecast, or what the air usually is where neither tells. */
  readonly source: "measured" | "expected" | "usual";
}

/** Air of a farm, hour by hour, as a station told it: measured up to now, expected after. What nobody told is not there. */
export interface FarmAir {
  readonly hours: readonly AirHour[];
  /** Changes whenever a device has posted. */
  readonly version: string;
}

// The air changes once an hour and is read with every page; the last few series are kept.
const kept = keepingNewest<FarmAir>("air", 24);

async function stationAir(db: Queryable, stationId: number, from: Date, now: Date): Promise<AirHour[]> {
  const ahead = new Date(now.getTime() + WEATHER_AHEAD_H * HOUR_MS);
  const [readings, expected] = await Promise.all([
    listStationReadings(db, stationId, new Date(from.getTime() - HOUR_MS), now),
    listAirForecast(db, stationId, now, ahead),
  ]);
  const byHour = new Map<number, { airC: number | null; rainMm: number | null; windMPerS: number | null }>();
  for (const { quantity, at, value } of readings) {
    const hour = Math.round(at.getTime() / HOUR_MS);
    const known = byHour.get(hour) ?? { airC: null, rainMm: null, windMPerS: null };
    if (quantity === "air") known.airC = value;
    else if (quantity === "rain") known.rainMm = value;
    else known.windMPerS = value;
    byHour.set(hour, known);
  }
  const measured = [...byHour.entries()].flatMap(([hour, { airC, rainMm, windMPerS }]): AirHour[] =>
    airC === null ? [] : [{ at: new Date(hour * HOUR_MS), airC, rainMm, windMPerS, source: "measured" }],
  );
  return [...measured, ...expected.map((hour) => ({ ...hour, source: "expected" as const }))].toSorted(
    (a, b) => a.at.getTime() - b.at.getTime(),
  );
}

/** The farm's air from a moment on, as its station measured and expects it; empty without one: nobody makes weather up. */
export async function airSince(db: Queryable, from: Date, now: Date): Promise<FarmAir> {
  const [version, stationId] = await Promise.all([deviceVersion(db), findStation(db)]);
  const fromMs = Math.floor(from.getTime() / HOUR_MS) * HOUR_MS;
  const slot = [stationId, fromMs].join("/");
  const restsOn = [version, Math.floor(now.getTime() / HOUR_MS)].join("/");
  const known = kept.get(slot, restsOn);
  if (known) return known;
  const hours = stationId === null ? [] : await stationAir(db, stationId, new Date(fromMs), now);
  return kept.set(slot, restsOn, { hours, version });
}

/** The part of a series that begins with the hour of a moment. */
export function airFrom(series: readonly AirHour[], from: Date): readonly AirHour[] {
  const firstMs = Math.floor(from.getTime() / HOUR_MS) * HOUR_MS;
  const first = series.findIndex(({ at }) => at.getTime() >= firstMs);
  return first <= 0 ? (first === 0 ? series : []) : series.slice(first);
}

/** The hours ahead: as expected where a station tells, else the air as it usually is, with no word on rain and wind. */
export function airAhead(farm: Farm, { hours }: FarmAir, now: Date): AirHour[] {
  const climate = climateOf(farm);
  const told = new Map(airFrom(hours, now).map((hour) => [Math.round(hour.at.getTime() / HOUR_MS), hour]));
  const first = Math.floor(now.getTime() / HOUR_MS);
  return Array.from({ length: Math.ceil(WEATHER_AHEAD_H) + 1 }, (_, ahead) => {
    const at = new Date((first + ahead) * HOUR_MS);
    return (
      told.get(first + ahead) ?? {
        at,
        airC: usualAirAt(at, climate),
        rainMm: null,
        windMPerS: null,
        source: "usual" as const,
      }
    );
  });
}

/** The weather of an hour, for what was done in it; null before the farm is set up. */
export async function weatherAt(
  db: Queryable,
  farm: Farm | null,
  at: Date,
): Promise<Pick<AirHour, "airC" | "rainMm" | "windMPerS" | "source"> | null> {
  if (!farm) return null;
  const [hour] = airAhead(farm, await airSince(db, at, at), at);
  const { airC, rainMm, windMPerS, source } = hour!;
  return { airC: Number(airC.toFixed(1)), rainMm, windMPerS, source };
}

/** So far back and ahead the weather bears on what goes on now, h. */
const HOUR_REACH = { back: 3, ahead: 6 } as const;

/** What is known of the hours about a moment, and of the sun of its days. */
export async function hourAt(db: Queryable, farm: Farm, at: Date, now: Date): Promise<Omit<HourCase, "atMs">> {
  const atMs = at.getTime();
  const from = new Date(atMs - HOUR_REACH.back * HOUR_MS);
  const { hours } = await airSince(db, from, now);
  const suns = sunDays(
    farm.latitudeDeg,
    farm.longitudeDeg,
    new Date(atMs - 24 * HOUR_MS),
    new Date(atMs + 24 * HOUR_MS),
  );
  return {
    hours: hours
      .map(({ at: hour, airC, rainMm, windMPerS }) => ({ atMs: hour.getTime(), airC, rainMm, windMPerS }))
      .filter((hour) => hour.atMs >= from.getTime() && hour.atMs <= atMs + HOUR_REACH.ahead * HOUR_MS),
    suns: suns.map(({ rise, set }) => ({ riseMs: rise.getTime(), setMs: set.getTime() })),
  };
}

/** Hours fit for applying, from now on, by the hours ahead. */
export function fitBands(farm: Farm, ahead: readonly AirHour[], now: Date, aheadH = WEATHER_AHEAD_H): FitBand[] {
  const to = new Date(now.getTime() + aheadH * HOUR_MS);
  const suns = sunDays(farm.latitudeDeg, farm.longitudeDeg, now, to).map(({ rise, set }) => ({
    riseMs: rise.getTime(),
    setMs: set.getTime(),
  }));
  return fitHours(
    ahead.map(({ at, airC, rainMm, windMPerS }) => ({ atMs: at.getTime(), airC, rainMm, windMPerS })),
    suns,
    now.getTime(),
    to.getTime(),
  );
}

/** How far the mean air of each of the last days lay from the usual, K; null for a day that nobody measured. */
export async function apartFromUsual(db: Queryable, farm: Farm, now: Date, days: number): Promise<(number | null)[]> {
  const from = new Date(now.getTime() - days * 24 * HOUR_MS);
  const { hours } = await airSince(db, from, now);
  const measured = hours.filter(({ source }) => source === "measured");
  return dailyMeans(measured, from, days).map((meanC, day) =>
    meanC === null ? null : meanC - usualAir(dayMiddle(from, day), climateOf(farm)).meanC,
  );
}
const dayMiddle = (from: Date, day: number): Date => new Date(from.getTime() + (day + 0.5) * 24 * HOUR_MS);
/** Half a day's hours make a mean. */
const ENOUGH_H = 12;
function dailyMeans(hours: readonly Pick<AirHour, "at" | "airC">[], from: Date, days: number): (number | null)[] {
  const sums = Array.from({ length: days }, () => ({ sum: 0, count: 0 }));
  for (const { at, airC } of hours) {
    const day = sums[Math.floor((at.getTime() - from.getTime()) / (24 * HOUR_MS))];
    if (!day) continue;
    day.sum += airC;
    day.count += 1;
  }
  return sums.map(({ sum, count }) => (count >= ENOUGH_H ? sum / count : null));
}

/** Mean air of each day from a moment on: the forecast while it reaches, then what the climate makes likely, °C. */
export async function meanAirByDay(db: Queryable, farm: Farm, from: Date, days: number): Promise<number[]> {
  const { hours } = await airSince(db, from, from);
  return dailyMeans(hours, from, days).map(
    (meanC, day) => meanC ?? usualAir(dayMiddle(from, day), climateOf(farm)).meanC,
  );
}
