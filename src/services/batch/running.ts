import "server-only";
import { lockBatch, type Batch } from "@/data/batch";
import type { Queryable } from "@/data/db";
import { refuse } from "../refusal";

/** A batch that still runs, locked. @throws {Refusal} `not-found`, `batch-closed` */
export async function requireRunning(db: Queryable, batchId: number): Promise<Batch> {
  const batch = await lockBatch(db, batchId);
  if (!batch) throw refuse("not-found", { thing: "batch" }, "/batchId");
  if (batch.close) throw refuse("batch-closed", { as: batch.close.kind, by: batch.close.actorName });
  return batch;
}
