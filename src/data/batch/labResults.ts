import "server-only";
import type { Nutrient } from "@/core/book/composition";
import { insert, places, select, type Queryable } from "../db";

export interface LabResult {
  readonly nutrient: Nutrient;
  readonly gPerL: number;
  readonly note: string;
  readonly actorName: string;
  readonly addedAt: Date;
}

/** Every figure that laboratories gave for some batches, by batch, the oldest first; the last of each nutrient counts. */
export async function listLabResultsOf(
  db: Queryable,
  batchIds: readonly number[],
): Promise<ReadonlyMap<number, readonly LabResult[]>> {
  if (batchIds.length === 0) return new Map();
  const rows = await select<{
    batch_id: number;
    nutrient: Nutrient;
    g_per_l: string;
    note: string;
    actor_name: string;
    added_at: Date;
  }>(
    db,
    `select result.batch_id, result.nutrient, result.g_per_l, result.note, actor.name as actor_name, result.added_at
     from standing_lab_result result join actor on actor.id = result.actor_id
     where result.batch_id in (${places(batchIds)}) order by result.id`,
    [...batchIds],
  );
  const results = new Map<number, LabResult[]>();
  for (const row of rows) {
    const result = {
      nutrient: row.nutrient,
      gPerL: Number(row.g_per_l),
      note: row.note,
      actorName: row.actor_name,
      addedAt: row.added_at,
    };
    const own = results.get(row.batch_id);
    if (own) own.push(result);
    else results.set(row.batch_id, [result]);
  }
  return results;
}

/** Every figure that a laboratory gave for a batch, the oldest first; the last of each nutrient counts. */
export const listLabResults = async (db: Queryable, batchId: number): Promise<readonly LabResult[]> =>
  (await listLabResultsOf(db, [batchId])).get(batchId) ?? [];

export const insertLabResult = (
  db: Queryable,
  result: Pick<LabResult, "nutrient" | "gPerL" | "note" | "addedAt"> & {
    readonly batchId: number;
    readonly actorId: number;
  },
): Promise<number> =>
  insert(
    db,
    "insert into lab_result (batch_id, nutrient, g_per_l, note, actor_id, added_at) values (?, ?, ?, ?, ?, ?)",
    [result.batchId, result.nutrient, result.gPerL, result.note, result.actorId, result.addedAt],
  );
