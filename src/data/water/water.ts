import "server-only";
import type { WaterSource, WaterTreatment } from "@/core/water/chlorine";
import { insert, places, select, type Queryable } from "../db";

/** One of the farm's waters, with what a strip last said of it. */
export interface FarmWater {
  readonly id: number;
  readonly name: string;
  readonly kind: WaterSource;
  readonly freeMgPerL: number | null;
  readonly totalMgPerL: number | null;
  readonly readAt: Date | null;
  /** What is in it by the last level that was read, less what was drawn since, L; null where none was read. */
  readonly leftL: number | null;
}

export type WaterPurpose = "brew" | "dilution";

/** Water that was set to stand or bubble, or dosed. */
export interface WaterStart {
  readonly id: number;
  readonly sourceId: number;
  readonly sourceName: string;
  readonly purpose: WaterPurpose;
  readonly volumeL: number;
  /** What no batch or application has taken yet. */
  readonly leftL: number;
  readonly treatment: WaterTreatment;
  readonly place: string;
  readonly ascorbicG: number | null;
  readonly startedAt: Date;
  readonly readyAt: Date;
}

interface WaterRow {
  id: number;
  name: string;
  kind: WaterSource;
  free_mg_per_l: string | null;
  total_mg_per_l: string | null;
  read_at: Date | null;
  left_l: string | null;
}

interface StartRow {
  id: number;
  source_id: number;
  source_name: string;
  purpose: WaterPurpose;
  volume_l: string;
  left_l: string;
  treatment: WaterTreatment;
  place: string;
  ascorbic_g: string | null;
  started_at: Date;
  ready_at: Date;
}

const SELECT_WATERS = `
  select source.id, source.name, source.kind, reading.free_mg_per_l, reading.total_mg_per_l, reading.at as read_at,
         level.volume_l
           - coalesce((select sum(volume_l) from standing_water_use where source_id = source.id and start_id is null and at > level.at), 0)
           - coalesce((select sum(volume_l) from standing_water_start where source_id = source.id and started_at > level.at), 0) as left_l
  from water_source source
  left join (select source_id, max(id) as id from standing_water_reading group by source_id) latest on latest.source_id = source.id
  left join water_reading reading on reading.id = latest.id
  left join (select source_id, max(id) as id from standing_water_level group by source_id) last_level on last_level.source_id = source.id
  left join water_level level on level.id = last_level.id`;
const SELECT_ALL = `${SELECT_WATERS} where source.state = 'in-use' order by source.id`;
const SELECT_ONE = `${SELECT_WATERS} where source.id = ?`;
const SELECT_STARTS = `
  select start.id, start.source_id, source.name as source_name, start.purpose, start.volume_l,
         start.volume_l - coalesce((select sum(volume_l) from standing_water_use where start_id = start.id), 0) as left_l,
         start.treatment, start.place, start.ascorbic_g, start.started_at, start.ready_at
  from standing_water_start start join water_source source on source.id = start.source_id`;
// Water that has stood a week is no news any more, whether it was used or tipped out.
const SELECT_OPEN = `${SELECT_STARTS} where start.started_at >= ? having left_l > 0 order by start.ready_at`;
const LOCK_START = "select id from water_start where id = ? for update";
const SELECT_START = `${SELECT_STARTS} where start.id = ?`;

const toWater = (row: WaterRow): FarmWater => ({
  id: row.id,
  name: row.name,
  kind: row.kind,
  freeMgPerL: row.free_mg_per_l === null ? null : Number(row.free_mg_per_l),
  totalMgPerL: row.total_mg_per_l === null ? null : Number(row.total_mg_per_l),
  readAt: row.read_at,
  leftL: row.left_l === null ? null : Math.max(0, Number(row.left_l)),
});

const toStart = (row: StartRow): WaterStart => ({
  id: row.id,
  sourceId: row.source_id,
  sourceName: row.source_name,
  purpose: row.purpose,
  volumeL: Number(row.volume_l),
  leftL: Number(row.left_l),
  treatment: row.treatment,
  place: row.place,
  ascorbicG: row.ascorbic_g === null ? null : Number(row.ascorbic_g),
  startedAt: row.started_at,
  readyAt: row.ready_at,
});

export const listWaters = async (db: Queryable): Promise<FarmWater[]> =>
  (await select<WaterRow>(db, SELECT_ALL)).map(toWater);

export async function findWater(db: Queryable, id: number): Promise<FarmWater | null> {
  const [row] = await select<WaterRow>(db, SELECT_ONE, [id]);
  return row ? toWater(row) : null;
}

/** Water that was started since a moment and is not used up, the soonest ready first. */
export const listOpenStarts = async (db: Queryable, since: Date): Promise<WaterStart[]> =>
  (await select<StartRow>(db, SELECT_OPEN, [since])).map(toStart);

/** Locks a start and tells what is left of it now. */
export async function lockWaterStart(db: Queryable, id: number): Promise<WaterStart | null> {
  await select(db, LOCK_START, [id]);
  const [row] = await select<StartRow>(db, SELECT_START, [id]);
  return row ? toStart(row) : null;
}

interface Entered {
  readonly actorId: number;
  readonly addedAt: Date;
}

export const insertWaterSource = (db: Queryable, source: Pick<FarmWater, "name" | "kind"> & Entered): Promise<number> =>
  insert(db, "insert into water_source (name, kind, actor_id, added_at) values (?, ?, ?, ?)", [
    source.name,
    source.kind,
    source.actorId,
    source.addedAt,
  ]);

export const insertWaterReading = (
  db: Queryable,
  reading: Pick<FarmWater, "freeMgPerL" | "totalMgPerL"> & Entered & { readonly sourceId: number; readonly at: Date },
): Promise<number> =>
  insert(
    db,
    "insert into water_reading (source_id, free_mg_per_l, total_mg_per_l, at, actor_id, added_at) values (?, ?, ?, ?, ?, ?)",
    [reading.sourceId, reading.freeMgPerL, reading.totalMgPerL, reading.at, reading.actorId, reading.addedAt],
  );

export const insertWaterLevel = (
  db: Queryable,
  level: Entered & { readonly sourceId: number; readonly volumeL: number; readonly at: Date },
): Promise<number> =>
  insert(db, "insert into water_level (source_id, volume_l, at, actor_id, added_at) values (?, ?, ?, ?, ?)", [
    level.sourceId,
    level.volumeL.toFixed(3),
    level.at,
    level.actorId,
    level.addedAt,
  ]);

export const insertWaterStart = (
  db: Queryable,
  start: Omit<WaterStart, "id" | "sourceName" | "leftL"> &
    Entered & { readonly celsius: number | null; readonly covered: boolean },
): Promise<number> =>
  insert(
    db,
    `insert into water_start (source_id, purpose, volume_l, treatment, celsius, covered, place, ascorbic_g, started_at, ready_at, actor_id, added_at)
     values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      start.sourceId,
      start.purpose,
      start.volumeL,
      start.treatment,
      start.celsius,
      start.covered,
      start.place,
      start.ascorbicG,
      start.startedAt,
      start.readyAt,
      start.actorId,
      start.addedAt,
    ],
  );

export interface WaterUse {
  readonly sourceId: number;
  readonly startId: number | null;
  readonly batchId: number | null;
  readonly applicationId: number | null;
  readonly volumeL: number;
  readonly overrideReason: string | null;
  readonly at: Date;
}

export const insertWaterUse = (db: Queryable, use: WaterUse): Promise<number> =>
  insert(
    db,
    "insert into water_use (source_id, start_id, batch_id, application_id, volume_l, override_reason, at) values (?, ?, ?, ?, ?, ?, ?)",
    [use.sourceId, use.startId, use.batchId, use.applicationId, use.volumeL.toFixed(3), use.overrideReason, use.at],
  );

/** The water that a batch was made with, by the source's name. */
export async function findWaterOfBatch(
  db: Queryable,
  batchId: number,
): Promise<{ sourceName: string; overrideReason: string | null } | null> {
  const [row] = await select<{ name: string; override_reason: string | null }>(
    db,
    "select source.name, used.override_reason from standing_water_use used join water_source source on source.id = used.source_id where used.batch_id = ?",
    [batchId],
  );
  return row ? { sourceName: row.name, overrideReason: row.override_reason } : null;
}

/** Which of these batches were filled with water from a river or stream. */
export async function listRiverBatches(db: Queryable, batchIds: readonly number[]): Promise<ReadonlySet<number>> {
  if (batchIds.length === 0) return new Set();
  const rows = await select<{ batch_id: number }>(
    db,
    `select distinct used.batch_id from standing_water_use used join water_source source on source.id = used.source_id
     where source.kind = 'river' and used.batch_id in (${places(batchIds)})`,
    [...batchIds],
  );
  return new Set(rows.map((row) => row.batch_id));
}
