import "server-only";
import { bookDocument, type RecipeDocument } from "@/core/recipe/document";
import { strengthLeft, unrinsedShare } from "@/core/recipe/level";
import { insert, places, select, type Queryable } from "../db";
import { TOPPED_UP_L } from "../batch";

export type StoreContainer = "breathable" | "sealed" | "vented";

/** A finished input on the shelf, or in the can on its way. */
export interface Store {
  readonly id: number;
  readonly batchId: number;
  readonly label: string;
  readonly atOnce: boolean;
  readonly place: string;
  /** What it stands in, which decides whether gas can leave. */
  readonly container: StoreContainer;
  /** The store it was poured from, and which part of the batch it is; null where the batch was not split. */
  readonly parentId: number | null;
  readonly partNo: number | null;
  readonly shelfFrom: Date;
  readonly expiresAt: Date;
  readonly onHandL: number;
  /** Share of its first strength that topping up and rinsing left its batch. */
  readonly strength: number;
  /** As the batch was made by. */
  readonly recipe: RecipeDocument;
}

export type NewStore = Omit<Store, "id" | "onHandL" | "strength" | "recipe">;

export interface StoreMovement {
  readonly storeId: number;
  readonly changeByL: number;
  readonly kind:
    "strained" | "applied" | "wasted" | "corrected" | "moved" | "composted" | "bare-ground" | "poured" | "counted";
  readonly applicationId: number | null;
  readonly at: Date;
  readonly actorId: number;
  readonly note: string;
}

interface StoreRow {
  id: number;
  batch_id: number;
  label: string;
  at_once: number;
  place: string;
  container: StoreContainer;
  parent_id: number | null;
  part_no: number | null;
  shelf_from: Date;
  expires_at: Date;
  on_hand_l: string;
  filled_l: string;
  topped_up_l: string;
  rinsed_l: string | null;
  yield_l: string;
  /** null for batches from before recipes were kept whole: they went by the book. */
  recipe: RecipeDocument | null;
  method_id: string;
  school_id: string;
}

const COLUMNS = `store.id, store.batch_id, store.label, store.at_once, store.place, store.container, store.parent_id, store.part_no, store.shelf_from, coalesce((select later.expires_at from standing_store_expiry later where later.store_id = store.id order by later.id desc limit 1), store.expires_at) as expires_at, batch.filled_l, ${TOPPED_UP_L} as topped_up_l, (select done.rinse_l from standing_close done where done.batch_id = batch.id and done.rinse_to = 'in') as rinsed_l, (select done.yield_l from standing_close done where done.batch_id = batch.id) as yield_l, batch.method_id, batch.school_id, json_extract(batch.recipe, '$.document') as recipe`;
const SELECT_ON_HAND = `
  select ${COLUMNS}, store.on_hand_l
  from store_on_hand store join batch on batch.id = store.batch_id
  where store.on_hand_l > 0 order by expires_at, store.id`;
const SELECT_ONE = `
  select ${COLUMNS}, coalesce((select sum(change_by_l) from store_movement where store_id = store.id), 0) as on_hand_l
  from store join batch on batch.id = store.batch_id where store.id = ?`;
// What an end gave that was taken back never was: it is empty, and nothing became of it.
const SELECT_OF_BATCH = `
  select ${COLUMNS}, store.on_hand_l
  from store_on_hand store join batch on batch.id = store.batch_id
  where store.batch_id = ? and (store.on_hand_l > 0 or exists (
    select 1 from store_movement move where move.store_id = store.id and move.kind not in ('strained', 'corrected')))
  order by store.id`;
const INSERT_STORE =
  "insert into store (batch_id, parent_id, part_no, label, at_once, place, container, shelf_from, expires_at) values (?, ?, ?, ?, ?, ?, ?, ?, ?)";
const INSERT_MOVEMENT =
  "insert into store_movement (store_id, change_by_l, kind, application_id, at, actor_id, note) values (?, ?, ?, ?, ?, ?, ?)";

const toStore = (row: StoreRow): Store => ({
  id: row.id,
  batchId: row.batch_id,
  label: row.label,
  atOnce: row.at_once === 1,
  place: row.place,
  container: row.container,
  parentId: row.parent_id,
  partNo: row.part_no,
  shelfFrom: row.shelf_from,
  expiresAt: row.expires_at,
  onHandL: Number(row.on_hand_l),
  strength:
    strengthLeft({ filledL: Number(row.filled_l), toppedUpL: Number(row.topped_up_l) }) *
    unrinsedShare(Number(row.yield_l), Number(row.rinsed_l ?? 0)),
  recipe: row.recipe ?? bookDocument(row.method_id, row.school_id),
});

export const listStoresOnHand = async (db: Queryable): Promise<Store[]> =>
  (await select<StoreRow>(db, SELECT_ON_HAND)).map(toStore);
export const listStoresOfBatch = async (db: Queryable, batchId: number): Promise<Store[]> =>
  (await select<StoreRow>(db, SELECT_OF_BATCH, [batchId])).map(toStore);

/** Locks a store and tells what is in it now. */
export async function lockStore(db: Queryable, id: number): Promise<Store | null> {
  await select(db, "select id from store where id = ? for update", [id]);
  const [row] = await select<StoreRow>(db, SELECT_ONE, [id]);
  return row ? toStore(row) : null;
}

export const insertStore = (db: Queryable, store: NewStore): Promise<number> =>
  insert(db, INSERT_STORE, [
    store.batchId,
    store.parentId,
    store.partNo,
    store.label,
    store.atOnce ? 1 : 0,
    store.place,
    store.container,
    store.shelfFrom,
    store.expiresAt,
  ]);

export const insertStoreMovement = (db: Queryable, move: StoreMovement): Promise<number> =>
  insert(db, INSERT_MOVEMENT, [
    move.storeId,
    move.changeByL.toFixed(3),
    move.kind,
    move.applicationId,
    move.at,
    move.actorId,
    move.note,
  ]);

interface StoreLineRow {
  id: number;
  storeId: number;
  changeByL: string;
  kind: StoreMovement["kind"];
}
/** One thing that happened to what a container holds. */
export type StoreLine = Omit<StoreLineRow, "changeByL"> & { readonly changeByL: number };

const STORE_LINES = "select id, store_id as storeId, change_by_l as changeByL, kind from store_movement";
const toStoreLine = (row: StoreLineRow): StoreLine => ({ ...row, changeByL: Number(row.changeByL) });

/** All that happened to what a container holds, oldest first. */
export const listStoreLines = async (db: Queryable, storeId: number): Promise<StoreLine[]> =>
  (await select<StoreLineRow>(db, `${STORE_LINES} where store_id = ? order by id`, [storeId])).map(toStoreLine);

export async function findStoreLine(db: Queryable, id: number): Promise<StoreLine | null> {
  const [row] = await select<StoreLineRow>(db, `${STORE_LINES} where id = ?`, [id]);
  return row ? toStoreLine(row) : null;
}

/** How many parts a batch has been poured into so far. */
export async function countParts(db: Queryable, batchId: number): Promise<number> {
  const [row] = await select<{ n: number }>(db, "select coalesce(max(part_no), 1) as n from store where batch_id = ?", [
    batchId,
  ]);
  return Number(row?.n ?? 1);
}

export const insertStoreExpiry = (
  db: Queryable,
  expiry: {
    readonly storeId: number;
    readonly expiresAt: Date;
    readonly reason: string;
    readonly actorId: number;
    readonly addedAt: Date;
  },
): Promise<number> =>
  insert(db, "insert into store_expiry (store_id, expires_at, reason, actor_id, added_at) values (?, ?, ?, ?, ?)", [
    expiry.storeId,
    expiry.expiresAt,
    expiry.reason,
    expiry.actorId,
    expiry.addedAt,
  ]);

/** What was poured away out of stores, by batch, with what was said of it; what was taken back is not. */
export async function listStoreWaste(
  db: Queryable,
  batchIds: readonly number[] | null = null,
): Promise<{ readonly batchId: number; readonly litres: number; readonly cause: string; readonly at: Date }[]> {
  if (batchIds?.length === 0) return [];
  const rows = await select<{ batch_id: number; litres: string; note: string; at: Date }>(
    db,
    `select store.batch_id, -move.change_by_l as litres, move.note, move.at
     from store_movement move join store on store.id = move.store_id
     left join taken_back slip on slip.kind = 'container-move' and slip.row_id = move.id
     where move.kind in ('wasted', 'composted', 'bare-ground') and move.change_by_l < 0 and slip.row_id is null
     ${batchIds ? `and store.batch_id in (${places(batchIds)})` : ""} order by move.at, move.id`,
    [...(batchIds ?? [])],
  );
  return rows.map(({ batch_id, litres, note, at }) => ({ batchId: batch_id, litres: Number(litres), cause: note, at }));
}
