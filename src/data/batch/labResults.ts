import "server-only";
import type { Nutrient } from "@/core/book/composition";
import { insert, select, type Queryable } from "../db";

export interface LabResult {
  readonly nutrient: Nutrient;
  readonly gPerL: number;
  readonly note: string;
  readonly actorName: string;
  readonly addedAt: Date;
}

const SELECT_OF_BATCH = `
  select result.nutrient, result.g_per_l, result.note, actor.name as actor_name, result.added_at
  from lab_result result join actor on actor.id = result.actor_id
  where result.batch_id = ? order by result.id`;

/** Every figure that a laboratory gave for a batch, the oldest first; the last of each nutrient counts. */
export const listLabResults = async (db: Queryable, batchId: number): Promise<LabResult[]> =>
  (
    await select<{ nutrient: Nutrient; g_per_l: string; note: string; actor_name: string; added_at: Date }>(
      db,
      SELECT_OF_BATCH,
      [batchId],
    )
  ).map((row) => ({
    nutrient: row.nutrient,
    gPerL: Number(row.g_per_l),
    note: row.note,
    actorName: row.actor_name,
    addedAt: row.added_at,
  }));

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
