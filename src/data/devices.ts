import "server-only";
import type { Aside, AsideCode } from "@/core/probe/plausible";
import type { ResultSetHeader } from "mysql2/promise";
import { insert, select, type Queryable } from "./db";

export type DeviceKind = "station" | "probe" | "logger";
export type DeviceQuantity = "air" | "liquid" | "core" | "ph" | "rain" | "wind";

export interface Device {
  readonly id: number;
  readonly name: string;
  readonly kind: DeviceKind;
  readonly addedAt: Date;
  readonly retiredAt: Date | null;
  /** Where it hangs now; null in the air. */
  readonly vesselId: number | null;
  readonly vesselName: string | null;
  readonly lastAt: Date | null;
  readonly setAside: number;
}

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

export interface StationHour {
  readonly at: Date;
  readonly airC: number;
  /** Null where the station does not expect it. */
  readonly rainMm: number | null;
  readonly windMPerS: number | null;
}

interface DeviceRow {
  id: number;
  name: string;
  kind: DeviceKind;
  added_at: Date;
  retired_at: Date | null;
  vessel_id: number | null;
  vessel_name: string | null;
  last_at: Date | null;
  aside: string | number;
}

/** Where each device hangs now. */
const PLACED = `
  select placing.device_id, placing.vessel_id
  from device_placing placing
  left join device_placing later on later.device_id = placing.device_id and (later.from_at > placing.from_at or (later.from_at = placing.from_at and later.id > placing.id))
  where later.id is null`;
const SELECT_DEVICES = `
  select device.id, device.name, device.kind, device.added_at, device.retired_at, placed.vessel_id, vessel.name as vessel_name,
         (select max(at) from device_reading reading where reading.device_id = device.id and reading.set_aside is null) as last_at,
         (select count(*) from device_reading reading where reading.device_id = device.id and reading.set_aside is not null) as aside
  from device
  left join (${PLACED}) placed on placed.device_id = device.id
  left join vessel on vessel.id = placed.vessel_id
  order by device.kind, device.name`;
const SELECT_BY_TOKEN = "select id, name, kind from device where token_hash = ? and retired_at is null";
const INSERT_DEVICE = "insert into device (name, kind, token_hash, actor_id, added_at) values (?, ?, ?, ?, ?)";
const INSERT_PLACING = "insert into device_placing (device_id, vessel_id, from_at, actor_id) values (?, ?, ?, ?)";
const RETIRE = "update device set retired_at = ? where id = ? and retired_at is null";
const LOCK_DEVICE = "select id, name, kind from device where id = ? for update";
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
const SELECT_STATION = "select id from device where kind = 'station' and retired_at is null order by id limit 1";
const SELECT_STATION_HOURS = `
  select quantity, at, value from device_reading
  where device_id = ? and set_aside is null and quantity in ('air', 'rain', 'wind') and at >= ? and at <= ? order by at`;
const SELECT_FORECAST =
  "select at, air_c, rain_mm, wind_m_per_s from air_forecast where device_id = ? and at > ? and at <= ? order by at";
const SELECT_STATE = `
  select database() as name, (select coalesce(max(id), 0) from device_reading) as readings, (select coalesce(max(issued_at), '1970-01-01') from air_forecast) as issued,
         (select coalesce(max(id), 0) from device_placing) as placings, (select count(*) from device where retired_at is null) as devices`;

const CHUNK = 500;

export async function listDevices(db: Queryable): Promise<Device[]> {
  const rows = await select<DeviceRow>(db, SELECT_DEVICES);
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    kind: row.kind,
    addedAt: row.added_at,
    retiredAt: row.retired_at,
    vesselId: row.vessel_id,
    vesselName: row.vessel_name,
    lastAt: row.last_at,
    setAside: Number(row.aside),
  }));
}

export type DeviceHead = Pick<Device, "id" | "name" | "kind">;

/** The device whose token this is; null for none, or one that was taken out of use. */
export const findDeviceByToken = async (db: Queryable, tokenHash: string): Promise<DeviceHead | null> =>
  (await select<DeviceHead>(db, SELECT_BY_TOKEN, [tokenHash]))[0] ?? null;

export const lockDevice = async (db: Queryable, id: number): Promise<DeviceHead | null> =>
  (await select<DeviceHead>(db, LOCK_DEVICE, [id]))[0] ?? null;

export const insertDevice = (
  db: Queryable,
  device: {
    readonly name: string;
    readonly kind: DeviceKind;
    readonly tokenHash: string | null;
    readonly actorId: number;
    readonly addedAt: Date;
  },
): Promise<number> =>
  insert(db, INSERT_DEVICE, [device.name, device.kind, device.tokenHash, device.actorId, device.addedAt]);

export const insertPlacing = (
  db: Queryable,
  deviceId: number,
  vesselId: number | null,
  fromAt: Date,
  actorId: number,
): Promise<number> => insert(db, INSERT_PLACING, [deviceId, vesselId, fromAt, actorId]);

export const retireDevice = (db: Queryable, id: number, at: Date): Promise<unknown> => db.execute(RETIRE, [at, id]);

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
    const rows = chunk.map(() => "(?, ?, ?, ?, ?, ?, ?, ?)").join(", ");
    await db.execute<ResultSetHeader>(
      `insert into device_reading (device_id, quantity, at, value, set_aside, jumped_by, jumped_in_h, received_at) values ${rows}`,
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
      `insert into air_forecast (device_id, at, air_c, rain_mm, wind_m_per_s, issued_at) values ${chunk.map(() => "(?, ?, ?, ?, ?, ?)").join(", ")}
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

/** Changes whenever a device posts, is hung elsewhere, comes or goes. */
export async function deviceVersion(db: Queryable): Promise<string> {
  const [row] = await select<{ name: string; readings: string; issued: string; placings: string; devices: string }>(
    db,
    SELECT_STATE,
  );
  return row ? `${row.name}/${row.readings}/${new Date(row.issued).getTime()}/${row.placings}/${row.devices}` : "";
}
