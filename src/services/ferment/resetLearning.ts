import "server-only";
import { REQUEST_KEY, object } from "@/contracts/parts";
import { act } from "../act";
import { findModel } from "@/core/ferment/models";
import { insertLearningReset } from "@/data/batch";
import { METHODS } from "@/core/book";
import { refuse } from "../refusal";

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
  { name: "resetLearning", schema: RESET_LEARNING, may: "steward" },
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
