import "server-only";
import { findModel } from "@/core/ferment/models";
import { lockBatch } from "@/data/batches";
import { insertLearningReset } from "@/data/forecasts";
import { insertTaskShare } from "@/data/taskShares";
import { listActors } from "@/data/farm";
import { METHODS } from "@/core/book";
import type { Context } from "../context";
import { Refusal, refuseAt } from "../refusal";
import { write } from "../write";

/** Models that the book names besides the usual ones. */
const isKnownModel = (id: string): boolean => {
  const inBook = METHODS.some(({ schools }) =>
    schools.some(({ readiness }) => readiness.type === "ripens" && readiness.model.id === id),
  );
  if (inBook) return true;
  try {
    findModel(id);
    return true;
  } catch {
    return false;
  }
};

/** From now on the farm's earlier batches of a model teach nothing. They stay in the record. @throws {Refusal} */
export const resetLearning = (ctx: Context, input: unknown): Promise<{ resetId: number }> =>
  write(ctx, "resetLearning", input, async (db, request) => {
    if (!isKnownModel(request.modelId)) throw refuseAt("not-found", "/modelId", "There is no such method.");
    if (request.reason.trim() === "")
      throw refuseAt("bad-request", "/reason", "What has changed? It is kept with the record.");
    const resetId = await insertLearningReset(db, {
      modelId: request.modelId,
      reason: request.reason.trim(),
      at: ctx.now(),
      actorId: ctx.actor.id,
    });
    return { resetId };
  });

/** Says who does a task of a batch, and in which part of the day. @throws {Refusal} */
export const shareTask = (ctx: Context, input: unknown): Promise<{ shareId: number }> =>
  write(ctx, "shareTask", input, async (db, request) => {
    const batch = await lockBatch(db, request.batchId);
    if (!batch) throw refuseAt("not-found", "/batchId", "There is no such batch.");
    if (batch.close) throw new Refusal("batch-closed", `This batch was ${batch.close.kind} already.`);
    if (request.personId !== null && !(await listActors(db)).some(({ id }) => id === request.personId))
      throw refuseAt("not-found", "/personId", "There is no such person.");
    const shareId = await insertTaskShare(db, {
      batchId: batch.id,
      act: request.act,
      personId: request.personId,
      slot: request.slot,
      at: ctx.now(),
      actorId: ctx.actor.id,
    });
    return { shareId };
  });
