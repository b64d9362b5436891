import "server-only";
import type { MeasureKind, PhInstrument, PhSpot, SignKind } from "@/core/book/words";
import { insert, places, select, type Queryable } from "../db";

export type EntryKind = "ph" | "temperature" | SignKind | MeasureKind | "act" | "note" | "withdrawn";

/** An ingredient that went in, in its stock unit, or litres of the batch itself that were drawn off. */
export interface Moved {
  readonly itemId: string | null;
  readonly amount: number;
}

/** One line of a batch's log. */
export interface Entry {
  readonly id: number;
  readonly batchId: number;
  readonly kind: EntryKind;
  readonly numberValue: number | null;
  readonly word: string | null;
  readonly instrument: PhInstrument | null;
  readonly spot: PhSpot | null;
  /** Whether a pH had come to rest; null where nobody was asked. */
  readonly settled: boolean | null;
  readonly note: string;
  /** What went in or was drawn off. */
  readonly moved?: Moved | null;
  readonly at: Date;
  readonly correctsId: number | null;
  readonly actorName: string;
}

/** An entry of the whole log, struck through where a later one corrects it. */
export interface LoggedEntry extends Entry {
  readonly correctedById: number | null;
}

export type NewEntry = Omit<Entry, "id" | "actorName"> & { readonly actorId: number; readonly addedAt: Date };

/** What a batch was topped up with by what stands of its log, L; for a query that has `batch`. */
export const TOPPED_UP_L = `coalesce((select sum(added.number_value) from standing_entry added
  where added.batch_id = batch.id and added.kind = 'act' and added.word = 'topped-up'), 0)`;

interface EntryRow {
  id: number;
  batch_id: number;
  kind: EntryKind;
  number_value: string | null;
  word: string | null;
  instrument: PhInstrument | null;
  spot: PhSpot | null;
  settled: number | null;
  note: string;
  moved_item_id: string | null;
  moved_amount: string | null;
  at: Date;
  corrects_id: number | null;
  actor_name: string;
  corrected_by_id: number | null;
}

const COLUMNS =
  "entry.id, entry.batch_id, entry.kind, entry.number_value, entry.word, entry.instrument, entry.spot, entry.settled, entry.note, entry.moved_item_id, entry.moved_amount, entry.at, entry.corrects_id, actor.name as actor_name";
const SELECT_STANDING_OF_RUNNING = `
  select ${COLUMNS}, null as corrected_by_id
  from standing_entry entry
  join actor on actor.id = entry.actor_id
  left join standing_close done on done.batch_id = entry.batch_id
  where done.batch_id is null order by entry.at, entry.id`;
const SELECT_STANDING = `
  select ${COLUMNS}, null as corrected_by_id
  from standing_entry entry join actor on actor.id = entry.actor_id
  where entry.batch_id = ? order by entry.at, entry.id`;
const SELECT_STANDING_OF = (count: number) => `
  select ${COLUMNS}, null as corrected_by_id
  from standing_entry entry join actor on actor.id = entry.actor_id
  where entry.batch_id in (${places(Array.from({ length: count }))}) order by entry.at, entry.id`;
const SELECT_LOG = `
  select ${COLUMNS}, later.id as corrected_by_id
  from batch_entry entry
  join actor on actor.id = entry.actor_id
  left join batch_entry later on later.corrects_id = entry.id
  where entry.batch_id = ? order by entry.at desc, entry.id desc`;
const SELECT_ONE = `
  select ${COLUMNS}, later.id as corrected_by_id
  from batch_entry entry
  join actor on actor.id = entry.actor_id
  left join batch_entry later on later.corrects_id = entry.id
  where entry.id = ?`;
const INSERT_ENTRY = `
  insert into batch_entry (batch_id, kind, number_value, word, instrument, spot, settled, note, moved_item_id, moved_amount, at, corrects_id, actor_id, added_at)
  values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`;

const toEntry = (row: EntryRow): LoggedEntry => ({
  id: row.id,
  batchId: row.batch_id,
  kind: row.kind,
  numberValue: row.number_value === null ? null : Number(row.number_value),
  word: row.word,
  instrument: row.instrument,
  spot: row.spot,
  settled: row.settled === null ? null : row.settled === 1,
  note: row.note,
  moved: row.moved_amount === null ? null : { itemId: row.moved_item_id, amount: Number(row.moved_amount) },
  at: row.at,
  correctsId: row.corrects_id,
  actorName: row.actor_name,
  correctedById: row.corrected_by_id,
});

/** Entries that stand, of every running batch, oldest first. */
export const listStandingOfRunning = async (db: Queryable): Promise<Entry[]> =>
  (await select<EntryRow>(db, SELECT_STANDING_OF_RUNNING)).map(toEntry);
export const listStanding = async (db: Queryable, batchId: number): Promise<Entry[]> =>
  (await select<EntryRow>(db, SELECT_STANDING, [batchId])).map(toEntry);
/** Entries that stand, of several batches, oldest first. */
export const listStandingOf = async (db: Queryable, batchIds: readonly number[]): Promise<Entry[]> =>
  batchIds.length === 0
    ? []
    : (await select<EntryRow>(db, SELECT_STANDING_OF(batchIds.length), [...batchIds])).map(toEntry);
/** The whole log of a batch with what was corrected, newest first. */
export const listLog = async (db: Queryable, batchId: number): Promise<LoggedEntry[]> =>
  (await select<EntryRow>(db, SELECT_LOG, [batchId])).map(toEntry);

/** Whether an act was ever logged of any batch. */
export const isActLogged = async (db: Queryable, act: string): Promise<boolean> =>
  (await select(db, "select id from batch_entry where kind = 'act' and word = ? limit 1", [act])).length > 0;

export async function findEntry(db: Queryable, id: number): Promise<LoggedEntry | null> {
  const [row] = await select<EntryRow>(db, SELECT_ONE, [id]);
  return row ? toEntry(row) : null;
}

export const insertEntry = (db: Queryable, entry: NewEntry): Promise<number> =>
  insert(db, INSERT_ENTRY, [
    entry.batchId,
    entry.kind,
    entry.numberValue,
    entry.word,
    entry.instrument,
    entry.spot,
    entry.settled,
    entry.note,
    entry.moved?.itemId ?? null,
    entry.moved?.amount ?? null,
    entry.at,
    entry.correctsId,
    entry.actorId,
    entry.addedAt,
  ]);
