import "server-only";
import type { ResultSetHeader } from "mysql2/promise";
import { rowsOf, select, type Queryable } from "../db";
import { LOT_COLUMNS, lotValues, type NewLot } from "./lots";
import { type StockMovement } from "./movements";

/** Rows of one insert: large enough to be quick, small enough to tell how far it is. */
const CHUNK = 500;

/** Writes many lots with the lines that bring them in. */
export async function insertLots(
  db: Queryable,
  lots: readonly NewLot[],
  onProgress: (done: number) => void,
): Promise<void> {
  for (let from = 0; from < lots.length; from += CHUNK) {
    const chunk = lots.slice(from, from + CHUNK);
    const ids = await select<{ id: number }>(
      db,
      `insert into lot (${LOT_COLUMNS.join(", ")}) values ${rowsOf(chunk.length, LOT_COLUMNS.length)} returning id`,
      chunk.flatMap(lotValues),
    );
    await insertMovements(
      db,
      chunk.map((lot, index) => ({
        lotId: ids[index]!.id,
        changeBy: lot.received,
        kind: "received",
        batchId: null,
        at: lot.addedAt,
        actorId: lot.actorId,
        note: "",
      })),
    );
    onProgress(from + chunk.length);
  }
}

/** Writes many lines of the ledger; the guard looks at each. */
export async function insertMovements(
  db: Queryable,
  moves: readonly StockMovement[],
  onProgress: (done: number) => void = () => undefined,
): Promise<void> {
  for (let from = 0; from < moves.length; from += CHUNK) {
    const chunk = moves.slice(from, from + CHUNK);
    await db.execute<ResultSetHeader>(
      `insert into stock_movement (lot_id, change_by, kind, batch_id, at, actor_id, note) values ${rowsOf(chunk.length, 7)}`,
      chunk.flatMap(({ lotId, changeBy, kind, batchId, at, actorId, note }) => [
        lotId,
        changeBy.toFixed(3),
        kind,
        batchId,
        at,
        actorId,
        note,
      ]),
    );
    onProgress(from + chunk.length);
  }
}
