import "server-only";
import { insert, places, select, type Queryable } from "../db";

export type MovementKind = "received" | "used" | "wasted" | "corrected" | "counted";

export interface StockMovement {
  readonly lotId: number;
  readonly changeBy: number;
  readonly kind: MovementKind;
  readonly batchId: number | null;
  /** The line of a log that it belongs to: an addition, something drawn off. */
  readonly entryId?: number | null;
  /** The line that this one puts right. */
  readonly correctsId?: number | null;
  readonly at: Date;
  readonly actorId: number;
  readonly note: string;
}

/** One line of the shed's ledger, with who wrote it. */
export interface LedgerLine {
  readonly id: number;
  readonly lotId: number;
  readonly changeBy: number;
  readonly kind: MovementKind;
  readonly batchId: number | null;
  readonly entryId: number | null;
  readonly correctsId: number | null;
  readonly at: Date;
  readonly note: string;
  readonly actorName: string;
  /** Whether a later line put it right. */
  readonly corrected: boolean;
}

interface LineRow {
  id: number;
  lot_id: number;
  change_by: string;
  kind: MovementKind;
  batch_id: number | null;
  entry_id: number | null;
  corrects_id: number | null;
  at: Date;
  note: string;
  actor_name: string;
  corrected: number;
}

const LINES = `
  select movement.id, movement.lot_id, movement.change_by, movement.kind, movement.batch_id, movement.entry_id, movement.corrects_id, movement.at, movement.note,
         actor.name as actor_name, exists (select 1 from stock_movement fix where fix.corrects_id = movement.id) as corrected
  from stock_movement movement join actor on actor.id = movement.actor_id`;
/** The newest lines of lots that still hold something, or did lately. */
const OF_INGREDIENT = `
  ${LINES} join lot on lot.id = movement.lot_id where lot.ingredient_id = ? order by movement.id desc limit 200`;
const ONE = `${LINES} where movement.id = ?`;

const toLine = (row: LineRow): LedgerLine => ({
  id: row.id,
  lotId: row.lot_id,
  changeBy: Number(row.change_by),
  kind: row.kind,
  batchId: row.batch_id,
  entryId: row.entry_id,
  correctsId: row.corrects_id,
  at: row.at,
  note: row.note,
  actorName: row.actor_name,
  corrected: row.corrected === 1,
});

export const listLedgerOf = async (db: Queryable, ingredientId: string): Promise<LedgerLine[]> =>
  (await select<LineRow>(db, OF_INGREDIENT, [ingredientId])).map(toLine);

export async function findLedgerLine(db: Queryable, id: number): Promise<LedgerLine | null> {
  const [row] = await select<LineRow>(db, ONE, [id]);
  return row ? toLine(row) : null;
}

const listLines = async (db: Queryable, where: string, id: number): Promise<LedgerLine[]> =>
  (
    await select<LineRow>(
      db,
      `${LINES} where movement.kind in ('received', 'used') and ${where} order by movement.id`,
      [id],
    )
  ).map(toLine);

/** What a batch drew, line by line, oldest first. */
export const listDrawLines = (db: Queryable, batchId: number): Promise<LedgerLine[]> =>
  listLines(db, "movement.batch_id = ?", batchId);

/** What belongs to a line of a batch's log, oldest first. */
export const listLinesOfEntry = (db: Queryable, entryId: number): Promise<LedgerLine[]> =>
  listLines(db, "movement.entry_id = ?", entryId);

/** What brought in the lots that came with a batch. */
export const listLinesCameWith = (db: Queryable, batchId: number): Promise<LedgerLine[]> =>
  listLines(
    db,
    "movement.kind = 'received' and movement.lot_id in (select id from lot where came_with_batch_id = ?)",
    batchId,
  );

/** All that ever came of a lot or went, oldest first. */
export const listLinesOfLot = async (db: Queryable, lotId: number): Promise<LedgerLine[]> =>
  (await select<LineRow>(db, `${LINES} where movement.lot_id = ? order by movement.id`, [lotId])).map(toLine);

/** What was used of each ingredient in a day, or came in. */
export interface DayFlow {
  readonly ingredientId: string;
  readonly ownId: number | null;
  readonly day: string;
  readonly kind: MovementKind;
  readonly changeBy: number;
}

const SELECT_USE = `
  select lot.ingredient_id, lot.own_ingredient_id, date(movement.at) as day, movement.kind, sum(movement.change_by) as change_by
  from stock_movement movement join lot on lot.id = movement.lot_id
  where movement.at >= ? and movement.kind = 'used'
  group by lot.ingredient_id, lot.own_ingredient_id, date(movement.at)`;

interface FlowRow {
  ingredient_id: string;
  own_ingredient_id: number | null;
  day: string;
  kind: MovementKind;
  change_by: string;
}
const toFlow = (row: FlowRow): DayFlow => ({
  ingredientId: row.ingredient_id,
  ownId: row.own_ingredient_id,
  day: row.day,
  kind: row.kind,
  changeBy: Number(row.change_by),
});

/** What was used since a moment, by ingredient and day. */
export const listUse = async (db: Queryable, since: Date): Promise<DayFlow[]> =>
  (await select<FlowRow>(db, SELECT_USE, [since])).map(toFlow);

/** What came in since a day of these ingredients of the book, by day; as it was received, corrections left out. */
export async function listReceipts(
  db: Queryable,
  sinceDay: string,
  ingredientIds: readonly string[],
): Promise<DayFlow[]> {
  if (ingredientIds.length === 0) return [];
  return (
    await select<FlowRow>(
      db,
      `select ingredient_id, own_ingredient_id, received_on as day, 'received' as kind, sum(received) as change_by
       from lot where ingredient_id in (${places(ingredientIds)}) and received_on >= ? group by ingredient_id, own_ingredient_id, received_on`,
      [...ingredientIds, sinceDay],
    )
  ).map(toFlow);
}

const DRAWN_SINCE = `
  select movement.batch_id, lot.ingredient_id, -sum(movement.change_by) as amount, coalesce(max(line.used), 0) as at_start
  from stock_movement movement join lot on lot.id = movement.lot_id
  left join standing_close on standing_close.batch_id = movement.batch_id
  left join batch_line line on line.batch_id = movement.batch_id and line.ingredient_id = lot.ingredient_id
  where movement.batch_id is not null and standing_close.batch_id is null
  group by movement.batch_id, lot.ingredient_id`;

/** What a running batch got of an ingredient after its start. */
export interface DrawnSince {
  readonly batchId: number;
  readonly ingredientId: string;
  readonly since: number;
}

/** What running batches were given since they were filled. */
export async function listDrawnSince(db: Queryable): Promise<DrawnSince[]> {
  const rows = await select<{ batch_id: number; ingredient_id: string; amount: string; at_start: string }>(
    db,
    DRAWN_SINCE,
  );
  return rows.map((row) => ({
    batchId: row.batch_id,
    ingredientId: row.ingredient_id,
    since: Number(row.amount) - Number(row.at_start),
  }));
}

const INSERT_MOVEMENT =
  "insert into stock_movement (lot_id, change_by, kind, batch_id, entry_id, corrects_id, at, actor_id, note) values (?, ?, ?, ?, ?, ?, ?, ?, ?)";

export const insertStockMovement = (db: Queryable, move: StockMovement): Promise<number> =>
  insert(db, INSERT_MOVEMENT, [
    move.lotId,
    move.changeBy.toFixed(3),
    move.kind,
    move.batchId,
    move.entryId ?? null,
    move.correctsId ?? null,
    move.at,
    move.actorId,
    move.note,
  ]);
