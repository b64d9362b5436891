import "server-only";
import { REQUEST_KEY, ROW_ID, object } from "@/contracts/parts";
import { act } from "../act";
import { findModel } from "@/core/ferment/models";
import { insertLearningReset } from "@/data/forecasts";
import { insertTaskShare } from "@/data/taskShares";
import { listActors } from "@/data/farm";
import { METHODS } from "@/core/book";
import { refuse } from "../refusal";
import { requireRunning } from "../batch/running";

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

const RESET_LEARNING = object(["requestKey", "modelId", "reason"], {
  requestKey: REQUEST_KEY,
  modelId: { type: "string", pattern: "^[A-Za-z0-9_]{1,40}$" },
  reason: { type: "string", minLength: 1, maxLength: 200 },
});

/** From now on the farm's earlier batches of a model teach nothing. They stay in the record. @throws {Refusal} */
export const resetLearning = act(
  { name: "resetLearning", schema: RESET_LEARNING, may: "everybody" },
  async (db, request, ctx): Promise<{ resetId: number }> => {
    if (!isKnownModel(request.modelId)) throw refuse("not-found", { thing: "method" }, "/modelId");
    if (request.reason.trim() === "") throw refuse("what-has-changed", {}, "/reason");
    const resetId = await insertLearningReset(db, {
      modelId: request.modelId,
      reason: request.reason.trim(),
      at: ctx.now(),
      actorId: ctx.actor.id,
    });
    return { resetId };
  },
);

const SHARE_TASK = object(["requestKey", "batchId", "act", "personId", "slot"], {
  requestKey: REQUEST_KEY,
  batchId: ROW_ID,
  act: { type: "string", pattern: "^[a-z-]{1,20}$" },
  personId: { anyOf: [ROW_ID, { type: "null" }] },
  slot: { enum: ["morning", "midday", "evening", null] },
});

/** Says who does a task of a batch, and in which part of the day. @throws {Refusal} */
export const shareTask = act(
  { name: "shareTask", schema: SHARE_TASK, may: "everybody" },
  async (db, request, ctx): Promise<{ shareId: number }> => {
    const batch = await requireRunning(db, request.batchId);
    if (request.personId !== null && !(await listActors(db)).some(({ id }) => id === request.personId))
      throw refuse("not-found", { thing: "person" }, "/personId");
    const shareId = await insertTaskShare(db, {
      batchId: batch.id,
      act: request.act,
      personId: request.personId,
      slot: request.slot,
      at: ctx.now(),
      actorId: ctx.actor.id,
    });
    return { shareId };
  },
);
