import "server-only";
import type { ResultSetHeader } from "mysql2/promise";
import type { Aside, AsideCode } from "@/core/probe/plausible";
import { rowsOf, select, type Queryable } from "../db";
import type { DeviceQuantity } from "./devices";

/** One figure as a device posted it. */
export interface DeviceReading {
  readonly deviceId: number;
  readonly quantity: DeviceQuantity;
  readonly at: Date;
  readonly value: number;
  /** Why it is not used; null where it is. */
  readonly setAside: Aside | null;
}

/** A reading in a vessel, where its device hung at that moment. */
export interface VesselReading {
  readonly vesselId: number;
  readonly quantity: DeviceQuantity;
  readonly at: Date;
  readonly value: number;
}

const SELECT_NEAREST_BEFORE = `
  select value, at from device_reading where device_id = ? and quantity = ? and set_aside is null and at < ? order by at desc limit 1`;
const SELECT_OF_DEVICE = `
  select quantity, at, value, set_aside, jumped_by, jumped_in_h from device_reading where device_id = ? and at >= ? order by at, quantity`;
const SELECT_ASIDE = `
  select quantity, at, value, set_aside, jumped_by, jumped_in_h from device_reading where device_id = ? and set_aside is not null order by at desc limit 20`;
const SELECT_KNOWN = "select quantity, at from device_reading where device_id = ? and at >= ? and at <= ?";
const SELECT_IN_VESSELS = `
  select placing.vessel_id, reading.quantity, reading.at, reading.value
  from device_reading reading
  join device_placing placing on placing.device_id = reading.device_id and placing.from_at <= reading.at and placing.vessel_id is not null
  left join device_placing later on later.device_id = placing.device_id and later.from_at <= reading.at
       and (later.from_at > placing.from_at or (later.from_at = placing.from_at and later.id > placing.id))
  where later.id is null and reading.set_aside is null and reading.quantity in ('liquid', 'core', 'ph') and reading.at >= ? and reading.at <= ?
  order by reading.at`;

/** Rows of one statement. */
const CHUNK = 500;

/** The last figure of a quantity before a moment. */
export async function findReadingBefore(
  db: Queryable,
  deviceId: number,
  quantity: DeviceQuantity,
  at: Date,
): Promise<{ value: number; at: Date } | null> {
  const [row] = await select<{ value: string; at: Date }>(db, SELECT_NEAREST_BEFORE, [deviceId, quantity, at]);
  return row ? { value: Number(row.value), at: row.at } : null;
}

/** Those of a locked device's figures that are not there yet, each once. */
async function freshOf(db: Queryable, readings: readonly DeviceReading[]): Promise<DeviceReading[]> {
  const [first] = readings;
  if (!first) return [];
  const times = readings.map(({ at }) => at.getTime());
  const known = await select<{ quantity: DeviceQuantity; at: Date }>(db, SELECT_KNOWN, [
    first.deviceId,
    new Date(Math.min(...times)),
    new Date(Math.max(...times)),
  ]);
  const seen = new Set(known.map(({ quantity, at }) => `${quantity}/${at.getTime()}`));
  return readings.filter(({ quantity, at }) => {
    const name = `${quantity}/${at.getTime()}`;
    const isNew = !seen.has(name);
    seen.add(name);
    return isNew;
  });
}

/**
 * Writes those of one device's figures that are not there yet; those that are stay as they were. Its row is locked by the caller.
 * @returns how many were new
 */
export async function insertReadings(
  db: Queryable,
  readings: readonly DeviceReading[],
  receivedAt: Date,
): Promise<number> {
  const fresh = await freshOf(db, readings);
  for (let from = 0; from < fresh.length; from += CHUNK) {
    const chunk = fresh.slice(from, from + CHUNK);
    await db.execute<ResultSetHeader>(
      `insert into device_reading (device_id, quantity, at, value, set_aside, jumped_by, jumped_in_h, received_at) values ${rowsOf(chunk.length, 8)}`,
      chunk.flatMap(({ deviceId, quantity, at, value, setAside }) => [
        deviceId,
        quantity,
        at,
        value.toFixed(3),
        setAside?.code ?? null,
        setAside?.code === "jumped" ? setAside.by : null,
        setAside?.code === "jumped" ? setAside.inH : null,
        receivedAt,
      ]),
    );
  }
  return fresh.length;
}

interface ReadingRow {
  quantity: DeviceQuantity;
  at: Date;
  value: string;
  set_aside: AsideCode | null;
  jumped_by: string | null;
  jumped_in_h: string | null;
}
const figureOrNull = (text: string | null): number | null => (text === null ? null : Number(text));
const asideOf = ({ set_aside: code, jumped_by, jumped_in_h }: ReadingRow): Aside | null =>
  code === "jumped" ? { code, by: figureOrNull(jumped_by), inH: figureOrNull(jumped_in_h) } : code && { code };
const toReading =
  (deviceId: number) =>
  (row: ReadingRow): DeviceReading => ({
    deviceId,
    quantity: row.quantity,
    at: row.at,
    value: Number(row.value),
    setAside: asideOf(row),
  });

export const listReadingsOf = async (db: Queryable, deviceId: number, since: Date): Promise<DeviceReading[]> =>
  (await select<ReadingRow>(db, SELECT_OF_DEVICE, [deviceId, since])).map(toReading(deviceId));

/** The latest figures that were set aside. */
export const listSetAside = async (db: Queryable, deviceId: number): Promise<DeviceReading[]> =>
  (await select<ReadingRow>(db, SELECT_ASIDE, [deviceId])).map(toReading(deviceId));

/** What probes read in vessels between two moments, each where its device hung then. */
export async function listVesselReadings(db: Queryable, from: Date, to: Date): Promise<VesselReading[]> {
  const rows = await select<{ vessel_id: number; quantity: DeviceQuantity; at: Date; value: string }>(
    db,
    SELECT_IN_VESSELS,
    [from, to],
  );
  return rows.map(({ vessel_id, quantity, at, value }) => ({
    vesselId: vessel_id,
    quantity,
    at,
    value: Number(value),
  }));
}
