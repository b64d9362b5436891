import "server-only";
import { places, select, type Queryable } from "../db";

/** The last pH that was read of each of these batches; those that nobody read are left out. */
export async function listLastPh(db: Queryable, batchIds: readonly number[]): Promise<ReadonlyMap<number, number>> {
  if (batchIds.length === 0) return new Map();
  const rows = await select<{ batch_id: number; number_value: string }>(
    db,
    `select batch_id, number_value from standing_entry where batch_id in (${places(batchIds)}) and kind = 'ph' order by at, id`,
    [...batchIds],
  );
  return new Map(rows.map((row) => [row.batch_id, Number(row.number_value)]));
}
