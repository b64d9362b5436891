import "server-only";
import type { VerdictState } from "@/core/judge/verdictState";
import { bookDocument, type RecipeDocument } from "@/core/recipe/document";
import { insert, select, type Queryable } from "../db";
import type { RinseTo } from "@/core/recipe/level";
import { TOPPED_UP_L } from "./entries";
import type { VesselKind } from "../vessels";

/** The recipe as it was when the batch began; kept whole, so that a later change of the book does not rewrite the past. */
export interface FrozenRecipe {
  readonly methodName: string;
  readonly shortName: string;
  readonly schoolName: string;
  readonly limitedBy: string;
  /** Number of the farm's own version; null for the book's. */
  readonly versionNo: number | null;
  readonly document: RecipeDocument;
}

export interface Batch {
  readonly id: number;
  readonly vesselId: number;
  readonly vesselName: string;
  readonly vesselKind: VesselKind;
  readonly vesselL: number;
  readonly methodId: string;
  readonly schoolId: string;
  readonly recipe: FrozenRecipe;
  /** Level when it was filled; what was topped up since; and what was drawn off into the shed while it ran. */
  readonly filledL: number;
  readonly toppedUpL: number;
  readonly takenOutL: number;
  readonly basisAmount: number;
  readonly startedAt: Date;
  readonly statedC: number | null;
  readonly labourMin: number;
  readonly powerW: number;
  readonly actorName: string;
  readonly close: BatchClose | null;
}

/** How a batch is over; `taken-back` was started by a slip and never was. */
export type CloseKind = "strained" | "discarded" | "taken-back";

export interface BatchClose {
  readonly kind: CloseKind;
  readonly at: Date;
  readonly yieldL: number;
  /** What is weighed rather than measured: castings, mash, shell. */
  readonly yieldKg: number | null;
  readonly residue: string;
  readonly residueKg: number | null;
  /** What solids and vessel were rinsed with, and where it went; null where they were not. */
  readonly rinse: { readonly litres: number; readonly to: RinseTo } | null;
  readonly labourMin: number;
  readonly verdict: VerdictState;
  readonly overrideReason: string | null;
  readonly actorName: string;
}

export interface NewBatch {
  readonly vesselId: number;
  readonly methodId: string;
  readonly schoolId: string;
  readonly recipe: FrozenRecipe;
  readonly filledL: number;
  readonly basisAmount: number;
  readonly startedAt: Date;
  readonly statedC: number | null;
  readonly labourMin: number;
  readonly powerW: number;
  readonly addedAt: Date;
  readonly actorId: number;
}

interface BatchRow {
  id: number;
  vessel_id: number;
  vessel_name: string;
  vessel_kind: VesselKind;
  vessel_l: string;
  method_id: string;
  school_id: string;
  /** Batches from before recipes were kept whole went by the book. */
  recipe: Omit<FrozenRecipe, "versionNo" | "document"> & Partial<Pick<FrozenRecipe, "versionNo" | "document">>;
  filled_l: string;
  topped_up_l: string;
  taken_out_l: string;
  basis_amount: string;
  started_at: Date;
  stated_c: string | null;
  labour_min: string;
  power_w: string;
  actor_name: string;
  closed_as: CloseKind | null;
  closed_at: Date;
  yield_l: string;
  yield_kg: string | null;
  residue: string;
  residue_kg: string | null;
  rinse_l: string | null;
  rinse_to: RinseTo | null;
  close_labour_min: string;
  verdict: VerdictState;
  override_reason: string | null;
  closed_by: string;
}

const SELECT = `
  select batch.id, batch.vessel_id, vessel.name as vessel_name, vessel.kind as vessel_kind, vessel.volume_l as vessel_l, batch.method_id, batch.school_id,
         batch.recipe, batch.filled_l, batch.basis_amount, batch.started_at, batch.stated_c, batch.labour_min, batch.power_w, actor.name as actor_name,
         done.kind as closed_as, done.at as closed_at, done.yield_l, done.yield_kg, done.residue, done.residue_kg, done.rinse_l, done.rinse_to, done.labour_min as close_labour_min,
         done.verdict, done.override_reason, closer.name as closed_by,
         ${TOPPED_UP_L} as topped_up_l,
         coalesce((select sum(move.change_by) from lot join stock_movement move on move.lot_id = lot.id
                   where lot.from_batch_id = batch.id and move.kind in ('received', 'corrected')
                     and (done.at is null or lot.added_at < done.at)), 0) as taken_out_l
  from batch
  join vessel on vessel.id = batch.vessel_id
  join actor on actor.id = batch.actor_id
  left join standing_close done on done.batch_id = batch.id
  left join actor closer on closer.id = done.actor_id`;
const SELECT_RUNNING = `${SELECT} where done.batch_id is null order by batch.id`;
const SELECT_ONE = `${SELECT} where batch.id = ?`;
const WAS_MADE = "coalesce(done.kind, '') <> 'taken-back'";
const SELECT_ALL = `${SELECT} where ${WAS_MADE} order by batch.started_at desc, batch.id desc limit ?`;
const SELECT_OF_METHOD = `${SELECT} where batch.method_id = ? and ${WAS_MADE} order by batch.started_at desc, batch.id desc limit ?`;
const SELECT_METHODS_MADE =
  "select distinct batch.method_id from batch join standing_close done on done.batch_id = batch.id where done.kind = 'strained'";
const SELECT_METHODS_OF_VESSEL = "select distinct method_id from standing_batch where vessel_id = ?";
const LOCK_BATCH = "select id from batch where id = ? for update";
const INSERT_BATCH = `
  insert into batch (vessel_id, method_id, school_id, recipe, filled_l, basis_amount, started_at, stated_c, labour_min, power_w, added_at, actor_id)
  values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`;
const SELECT_FINISHED = `${SELECT} where done.kind = 'strained' order by done.at desc, batch.id desc limit ?`;
const SELECT_CLOSE_STATE =
  "select database() as name, count(*) as closed, coalesce(max(id), 0) as newest, coalesce(max(at), '1970-01-01') as latest from standing_close";
const INSERT_CLOSE = `
  insert into batch_close (batch_id, kind, at, yield_l, yield_kg, residue, residue_kg, rinse_l, rinse_to, labour_min, verdict, override_reason, note, actor_id, added_at)
  values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`;

function toClose(row: BatchRow): BatchClose | null {
  if (row.closed_as === null) return null;
  return {
    kind: row.closed_as,
    at: row.closed_at,
    yieldL: Number(row.yield_l),
    yieldKg: row.yield_kg === null ? null : Number(row.yield_kg),
    residue: row.residue,
    residueKg: row.residue_kg === null ? null : Number(row.residue_kg),
    rinse: row.rinse_to === null ? null : { litres: Number(row.rinse_l), to: row.rinse_to },
    labourMin: Number(row.close_labour_min),
    verdict: row.verdict,
    overrideReason: row.override_reason,
    actorName: row.closed_by,
  };
}

const toBatch = (row: BatchRow): Batch => ({
  id: row.id,
  vesselId: row.vessel_id,
  vesselName: row.vessel_name,
  vesselKind: row.vessel_kind,
  vesselL: Number(row.vessel_l),
  methodId: row.method_id,
  schoolId: row.school_id,
  recipe: {
    ...row.recipe,
    versionNo: row.recipe.versionNo ?? null,
    document: row.recipe.document ?? bookDocument(row.method_id, row.school_id),
  },
  filledL: Number(row.filled_l),
  toppedUpL: Number(row.topped_up_l),
  takenOutL: Number(row.taken_out_l),
  basisAmount: Number(row.basis_amount),
  startedAt: row.started_at,
  statedC: row.stated_c === null ? null : Number(row.stated_c),
  labourMin: Number(row.labour_min),
  powerW: Number(row.power_w),
  actorName: row.actor_name,
  close: toClose(row),
});

export const listRunningBatches = async (db: Queryable): Promise<Batch[]> =>
  (await select<BatchRow>(db, SELECT_RUNNING)).map(toBatch);
export const listBatches = async (db: Queryable, limit: number): Promise<Batch[]> =>
  (await select<BatchRow>(db, SELECT_ALL, [String(limit)])).map(toBatch);

/** The latest batches of a method, newest first. */
export const listBatchesOfMethod = async (db: Queryable, methodId: string, limit: number): Promise<Batch[]> =>
  (await select<BatchRow>(db, SELECT_OF_METHOD, [methodId, String(limit)])).map(toBatch);

/** Several batches at once, in no order; those that are not there are left out. */
export async function listBatchesById(db: Queryable, ids: readonly number[]): Promise<Batch[]> {
  if (ids.length === 0) return [];
  const rows = await select<BatchRow>(db, `${SELECT} where batch.id in (${ids.map(() => "?").join(", ")})`, [...ids]);
  return rows.map(toBatch);
}

/** Batches that began from one moment to another, and those of which something was put on between them; the earliest first. */
export async function listBatchesOfSpan(db: Queryable, from: Date, to: Date): Promise<Batch[]> {
  const rows = await select<BatchRow>(
    db,
    `${SELECT} where ${WAS_MADE} and (batch.started_at between ? and ? or batch.id in (
       select store.batch_id from application join store on store.id = application.store_id where application.at between ? and ?))
     order by batch.started_at, batch.id`,
    [from, to, from, to],
  );
  return rows.map(toBatch);
}

/** Methods that came off well here at least once. */
export const listMethodsMade = async (db: Queryable): Promise<string[]> =>
  (await select<{ method_id: string }>(db, SELECT_METHODS_MADE)).map(({ method_id }) => method_id);

/** Methods that a vessel has ever held. */
export const listMethodsOfVessel = async (db: Queryable, vesselId: number): Promise<string[]> =>
  (await select<{ method_id: string }>(db, SELECT_METHODS_OF_VESSEL, [vesselId])).map(({ method_id }) => method_id);

export async function findBatch(db: Queryable, id: number): Promise<Batch | null> {
  const [row] = await select<BatchRow>(db, SELECT_ONE, [id]);
  return row ? toBatch(row) : null;
}

/** Locks a batch, its own row alone, and reads it as it now stands. */
export async function lockBatch(db: Queryable, id: number): Promise<Batch | null> {
  await select(db, LOCK_BATCH, [id]);
  return findBatch(db, id);
}

export const insertBatch = (db: Queryable, batch: NewBatch): Promise<number> =>
  insert(db, INSERT_BATCH, [
    batch.vesselId,
    batch.methodId,
    batch.schoolId,
    JSON.stringify(batch.recipe),
    batch.filledL,
    batch.basisAmount,
    batch.startedAt,
    batch.statedC,
    batch.labourMin,
    batch.powerW,
    batch.addedAt,
    batch.actorId,
  ]);

/** Batches that were strained for use, newest first. */
export const listFinished = async (db: Queryable, limit: number): Promise<Batch[]> =>
  (await select<BatchRow>(db, SELECT_FINISHED, [String(limit)])).map(toBatch);

/** Changes whenever a batch is closed. */
export async function closeVersion(db: Queryable): Promise<string> {
  const [row] = await select<{ name: string; closed: string | number; newest: string | number; latest: string }>(
    db,
    SELECT_CLOSE_STATE,
  );
  return row ? `${row.name}/${row.closed}/${row.newest}/${new Date(row.latest).getTime()}` : "";
}

export type NewClose = Omit<BatchClose, "actorName"> & {
  readonly batchId: number;
  readonly note: string;
  readonly actorId: number;
  readonly addedAt: Date;
};

/** Closes a batch; a second close fails as a duplicate. */
export const insertClose = (db: Queryable, close: NewClose): Promise<number> =>
  insert(db, INSERT_CLOSE, [
    close.batchId,
    close.kind,
    close.at,
    close.yieldL,
    close.yieldKg,
    close.residue,
    close.residueKg,
    close.rinse?.litres.toFixed(3) ?? null,
    close.rinse?.to ?? null,
    close.labourMin,
    close.verdict,
    close.overrideReason,
    close.note,
    close.actorId,
    close.addedAt,
  ]);

/** Batches by name, the newest first. */
export const listNamedBatches = (
  db: Queryable,
  most: number,
): Promise<{ readonly id: number; readonly name: string; readonly vesselName: string }[]> =>
  select(
    db,
    `select batch.id, json_value(batch.recipe, '$.shortName') as name, vessel.name as vesselName
     from standing_batch made join batch on batch.id = made.id join vessel on vessel.id = batch.vessel_id order by batch.id desc limit ?`,
    [String(Math.floor(most))],
  );
