import "server-only";
import type { HeldBefore } from "@/core/choose/firstDrum";
import { insert, select, type Queryable } from "../db";
import type { ThingState } from "../things";

export type VesselKind = "drum" | "tote" | "pail" | "jar";

export interface Vessel {
  readonly id: number;
  readonly name: string;
  readonly kind: VesselKind;
  readonly volumeL: number;
  readonly diameterM: number | null;
  readonly site: string;
  readonly airW: number;
  /** What it was used for before it came here. */
  readonly heldBefore: HeldBefore;
  readonly state: ThingState;
}

/** A vessel with its newest batch; `cleaned` tells whether it was washed since. */
export interface VesselState extends Vessel {
  readonly batchId: number | null;
  /** Whether its newest batch is over. */
  readonly ended: boolean;
  readonly cleaned: boolean;
}

export type NewVessel = Omit<Vessel, "id" | "state"> & { readonly addedAt: Date; readonly actorId: number };

interface VesselRow {
  id: number;
  name: string;
  kind: VesselKind;
  volume_l: string;
  diameter_m: string | null;
  site: string;
  air_w: string;
  held_before: HeldBefore;
  state: ThingState;
}
interface StateRow extends VesselRow {
  batch_id: number | null;
  ended: number;
  cleaned: number;
}

const COLUMNS =
  "vessel.id, vessel.name, vessel.kind, vessel.volume_l, vessel.diameter_m, vessel.site, vessel.air_w, vessel.held_before, vessel.state";
const LATEST_BATCH = `
  left join batch on batch.id = (select max(newest.id) from standing_batch newest where newest.vessel_id = vessel.id)
  left join standing_close on standing_close.batch_id = batch.id
  left join standing_cleaning on standing_cleaning.batch_id = batch.id`;
const STATE = `${COLUMNS}, batch.id as batch_id, standing_close.batch_id is not null as ended, standing_cleaning.batch_id is not null as cleaned`;
const SELECT_STATES = `select ${STATE} from vessel ${LATEST_BATCH} order by vessel.sort_order, vessel.id`;
const SELECT_STATE = `select ${STATE} from vessel ${LATEST_BATCH} where vessel.id = ?`;
const LOCK_VESSEL = "select id from vessel where id = ? for update";
const INSERT_VESSEL = `
  insert into vessel (name, kind, volume_l, diameter_m, site, air_w, held_before, sort_order, added_at, actor_id)
  select ?, ?, ?, ?, ?, ?, ?, coalesce(max(sort_order), 0) + 1, ?, ? from vessel`;

const toVessel = (row: VesselRow): Vessel => ({
  id: row.id,
  name: row.name,
  kind: row.kind,
  volumeL: Number(row.volume_l),
  diameterM: row.diameter_m === null ? null : Number(row.diameter_m),
  site: row.site,
  airW: Number(row.air_w),
  heldBefore: row.held_before,
  state: row.state,
});
const toState = (row: StateRow): VesselState => ({
  ...toVessel(row),
  batchId: row.batch_id,
  ended: row.ended === 1,
  cleaned: row.cleaned === 1,
});

export const listVesselStates = async (db: Queryable): Promise<VesselState[]> =>
  (await select<StateRow>(db, SELECT_STATES)).map(toState);

/** Locks the vessel, its own row alone, so that two people can't fill it at once, and tells how it stands. */
export async function lockVessel(db: Queryable, id: number): Promise<VesselState | null> {
  await select(db, LOCK_VESSEL, [id]);
  const [row] = await select<StateRow>(db, SELECT_STATE, [id]);
  return row ? toState(row) : null;
}

export const insertVessel = (db: Queryable, vessel: NewVessel): Promise<number> =>
  insert(db, INSERT_VESSEL, [
    vessel.name,
    vessel.kind,
    vessel.volumeL,
    vessel.diameterM,
    vessel.site,
    vessel.airW,
    vessel.heldBefore,
    vessel.addedAt,
    vessel.actorId,
  ]);

export const insertCleaning = (db: Queryable, batchId: number, at: Date, actorId: number): Promise<number> =>
  insert(db, "insert into vessel_cleaning (batch_id, at, actor_id) values (?, ?, ?)", [batchId, at, actorId]);

/** The washing that stands since a batch never was. */
export const takeBackCleaning = (db: Queryable, batchId: number, at: Date, actorId: number): Promise<number> =>
  insert(
    db,
    "insert into cleaning_taken_back (cleaning_id, at, actor_id) select id, ?, ? from standing_cleaning where batch_id = ?",
    [at, actorId, batchId],
  );
