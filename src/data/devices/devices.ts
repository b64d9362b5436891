import "server-only";
import { insert, select, type Queryable } from "../db";

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
const SELECT_STATE = `
  select database() as name, (select coalesce(max(id), 0) from device_reading) as readings, (select coalesce(max(issued_at), '1970-01-01') from air_forecast) as issued,
         (select coalesce(max(id), 0) from device_placing) as placings, (select count(*) from device where retired_at is null) as devices`;

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

export const bringBackDevice = (db: Queryable, id: number): Promise<unknown> =>
  db.execute("update device set retired_at = null where id = ?", [id]);

/** Changes whenever a device posts, is hung elsewhere, comes or goes. */
export async function deviceVersion(db: Queryable): Promise<string> {
  const [row] = await select<{ name: string; readings: string; issued: string; placings: string; devices: string }>(
    db,
    SELECT_STATE,
  );
  return row ? `${row.name}/${row.readings}/${new Date(row.issued).getTime()}/${row.placings}/${row.devices}` : "";
}
