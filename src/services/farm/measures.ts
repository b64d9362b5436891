import "server-only";
import { ID, NOTE, REQUEST_KEY, ROW_ID, object, NAME } from "@/contracts/parts";
import { NUTRIENT_IDS } from "@/core/book/composition";
import { act } from "../act";
import { UNITS } from "@/core/quantity/units";
import { readUnit } from "@/core/quantity/typed/unitWords";
import { findIngredient } from "@/core/book/ingredients";
import { insertLabResult, findBatch } from "@/data/batch";
import { insertTakenBack, insertWeighing, listMeasures, lockLastWeighing, type FarmMeasure } from "@/data/farm";
import type { Context } from "../context";
import { atField, refuse } from "../refusal";

/** What the farm's own measures came to. */
export const readMeasures = (ctx: Context): Promise<FarmMeasure[]> => listMeasures(ctx.pool);

const WEIGH_MEASURE = object(["requestKey", "measure", "ingredientId", "amount"], {
  requestKey: REQUEST_KEY,
  measure: { ...NAME, maxLength: 40 },
  ingredientId: ID,
  amount: { type: "number", minimum: 0.0001, maximum: 1000 },
});

/** One weighing of the farm's own measure; several make its spread. @throws {Refusal} */
export const weighMeasure = act(
  { name: "weighMeasure", schema: WEIGH_MEASURE, may: "helper" },
  async (db, request, ctx): Promise<{ weighingId: number }> => {
    const item = atField("/ingredientId", () => findIngredient(request.ingredientId));
    const measure = request.measure.trim().toLowerCase();
    if (Object.hasOwn(UNITS, measure) || readUnit(measure, "metric", []).length > 0)
      throw refuse("name-of-unit", { name: measure }, "/measure");
    return {
      weighingId: await insertWeighing(db, {
        measure,
        ingredientId: item.id,
        amount: request.amount,
        actorId: ctx.actor.id,
        addedAt: ctx.now(),
      }),
    };
  },
);

const TAKE_BACK_WEIGHING = object(["requestKey", "measure", "ingredientId"], {
  requestKey: REQUEST_KEY,
  measure: { ...NAME, maxLength: 40 },
  ingredientId: ID,
});

/** The last weighing of a measure was a slip: it counts no more. @throws {Refusal} where none is left */
export const takeBackWeighing = act(
  { name: "takeBackWeighing", schema: TAKE_BACK_WEIGHING, may: "helper" },
  async (db, request, ctx): Promise<{ weighingId: number }> => {
    const weighingId = await lockLastWeighing(db, request.measure, request.ingredientId);
    if (weighingId === null) throw refuse("no-weighing", { measure: request.measure }, "/measure");
    await insertTakenBack(db, { weighingId, actorId: ctx.actor.id, addedAt: ctx.now() });
    return { weighingId };
  },
);

const ADD_LAB_RESULT = object(["requestKey", "batchId", "nutrient", "gPerL"], {
  requestKey: REQUEST_KEY,
  batchId: ROW_ID,
  nutrient: { enum: NUTRIENT_IDS },
  gPerL: { type: "number", minimum: 0, maximum: 1500 },
  note: NOTE,
});

/** A laboratory's figure for a batch, in place of what is worked out. @throws {Refusal} */
export const addLabResult = act(
  { name: "addLabResult", schema: ADD_LAB_RESULT, may: "grower" },
  async (db, request, ctx): Promise<{ resultId: number }> => {
    if (!(await findBatch(db, request.batchId))) throw refuse("not-found", { thing: "batch" }, "/batchId");
    return {
      resultId: await insertLabResult(db, {
        batchId: request.batchId,
        nutrient: request.nutrient,
        gPerL: request.gPerL,
        note: request.note?.trim() ?? "",
        actorId: ctx.actor.id,
        addedAt: ctx.now(),
      }),
    };
  },
);
