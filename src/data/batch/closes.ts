import "server-only";
import { insert, select, type Queryable } from "../db";
import type { CloseKind } from "./batches";

/** What a batch left as it ended, as far as taking that back asks of it. */
export interface LeftByEnd {
  readonly id: number;
  readonly label: string;
  /** How its amount came about, the first first. */
  readonly moves: readonly string[];
  readonly onHand: number;
}

interface LeftRow {
  id: number;
  label: string;
  moves: string;
  on_hand: string;
}
const toLeft = ({ id, label, moves, on_hand }: LeftRow): LeftByEnd => ({
  id,
  label,
  moves: moves.split(","),
  onHand: Number(on_hand),
});

/** The containers of a batch, with all that happened to each. */
export const listStoresLeft = async (db: Queryable, batchId: number): Promise<LeftByEnd[]> =>
  (
    await select<LeftRow>(
      db,
      `select store.id, store.label, group_concat(move.kind order by move.id) as moves, sum(move.change_by_l) as on_hand
       from store join store_movement move on move.store_id = store.id where store.batch_id = ? group by store.id, store.label`,
      [batchId],
    )
  ).map(toLeft);

/** The lots that a batch was made into as it ended, with all that happened to each. @param since when it ended: what was taken before stays */
export const listLotsLeft = async (db: Queryable, batchId: number, since: Date): Promise<LeftByEnd[]> =>
  (
    await select<LeftRow>(
      db,
      `select lot.id, lot.note as label, group_concat(move.kind order by move.id) as moves, sum(move.change_by) as on_hand
       from lot join stock_movement move on move.lot_id = lot.id where lot.from_batch_id = ? and lot.added_at >= ? group by lot.id, lot.note`,
      [batchId, since],
    )
  ).map(toLeft);

/** Whether anything hangs on a batch since its start: a line of its log, a picture, a figure, residue, something drawn off, a patch. */
export async function isWrittenOf(db: Queryable, batchId: number): Promise<boolean> {
  const [row] = await select<{ written: number }>(
    db,
    `select exists (select 1 from standing_entry where batch_id = ?)
       or exists (select 1 from batch_photo where batch_id = ?)
       or exists (select 1 from standing_lab_result where batch_id = ?)
       or exists (select 1 from batch_residue where batch_id = ?)
       or exists (select 1 from patch_test where batch_id = ?)
       or exists (select 1 from lot_on_hand where from_batch_id = ? and on_hand > 0) as written`,
    [batchId, batchId, batchId, batchId, batchId, batchId],
  );
  return row?.written === 1;
}

/** The end of a batch that stands; null where it has none. */
export async function findStandingClose(
  db: Queryable,
  batchId: number,
): Promise<{ readonly id: number; readonly kind: CloseKind; readonly addedAt: Date } | null> {
  const [row] = await select<{ id: number; kind: CloseKind; added_at: Date }>(
    db,
    "select id, kind, added_at from standing_close where batch_id = ?",
    [batchId],
  );
  return row ? { id: row.id, kind: row.kind, addedAt: row.added_at } : null;
}

export const insertCloseTakenBack = (db: Queryable, closeId: number, at: Date, actorId: number): Promise<number> =>
  insert(db, "insert into close_taken_back (close_id, at, actor_id) values (?, ?, ?)", [closeId, at, actorId]);
