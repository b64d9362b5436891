import "server-only";
import type { ResultSetHeader } from "mysql2/promise";
import { rowsOf, select, type Queryable } from "../db";

export interface StationHour {
  readonly at: Date;
  readonly airC: number;
  /** Null where the station does not expect it. */
  readonly rainMm: number | null;
  readonly windMPerS: number | null;
}

const SELECT_STATION = "select id from device where kind = 'station' and retired_at is null order by id limit 1";
const SELECT_STATION_HOURS = `
  select quantity, at, value from device_reading
  where device_id = ? and set_aside is null and quantity in ('air', 'rain', 'wind') and at >= ? and at <= ? order by at`;
const SELECT_FORECAST =
  "select at, air_c, rain_mm, wind_m_per_s from air_forecast where device_id = ? and at > ? and at <= ? order by at";

/** Rows of one statement. */
const CHUNK = 500;

/**
 * Takes a station's newest forecast; an older one that comes late changes nothing, unless what stands says that it was issued after
 * `latest`, which no forecast can be.
 */
export async function putForecast(
  db: Queryable,
  deviceId: number,
  hours: readonly StationHour[],
  issuedAt: Date,
  latest: Date,
): Promise<void> {
  for (let from = 0; from < hours.length; from += CHUNK) {
    const chunk = hours.slice(from, from + CHUNK);
    await db.execute<ResultSetHeader>(
      `insert into air_forecast (device_id, at, air_c, rain_mm, wind_m_per_s, issued_at) values ${rowsOf(chunk.length, 6)}
       on duplicate key update
         air_c = if(values(issued_at) >= issued_at or issued_at > ?, values(air_c), air_c),
         rain_mm = if(values(issued_at) >= issued_at or issued_at > ?, values(rain_mm), rain_mm),
         wind_m_per_s = if(values(issued_at) >= issued_at or issued_at > ?, values(wind_m_per_s), wind_m_per_s),
         issued_at = if(issued_at > ?, values(issued_at), greatest(values(issued_at), issued_at))`,
      [
        ...chunk.flatMap(({ at, airC, rainMm, windMPerS }) => [
          deviceId,
          at,
          airC.toFixed(2),
          rainMm?.toFixed(2) ?? null,
          windMPerS?.toFixed(2) ?? null,
          issuedAt,
        ]),
        latest,
        latest,
        latest,
        latest,
      ],
    );
  }
}

/** The farm's weather station; null where none posts. */
export const findStation = async (db: Queryable): Promise<number | null> =>
  (await select<{ id: number }>(db, SELECT_STATION))[0]?.id ?? null;

export async function listStationReadings(
  db: Queryable,
  deviceId: number,
  from: Date,
  to: Date,
): Promise<{ quantity: "air" | "rain" | "wind"; at: Date; value: number }[]> {
  const rows = await select<{ quantity: "air" | "rain" | "wind"; at: Date; value: string }>(db, SELECT_STATION_HOURS, [
    deviceId,
    from,
    to,
  ]);
  return rows.map((row) => ({ ...row, value: Number(row.value) }));
}

export async function listAirForecast(db: Queryable, deviceId: number, after: Date, to: Date): Promise<StationHour[]> {
  const rows = await select<{ at: Date; air_c: string; rain_mm: string | null; wind_m_per_s: string | null }>(
    db,
    SELECT_FORECAST,
    [deviceId, after, to],
  );
  return rows.map((row) => ({
    at: row.at,
    airC: Number(row.air_c),
    rainMm: row.rain_mm === null ? null : Number(row.rain_mm),
    windMPerS: row.wind_m_per_s === null ? null : Number(row.wind_m_per_s),
  }));
}
