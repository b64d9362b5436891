import "server-only";
import { UNITS } from "@/core/quantity/units";
import { readUnit } from "@/core/quantity/typed/unitWords";
import { findIngredient } from "@/core/book/ingredients";
import { insertLabResult } from "@/data/labResults";
import { findBatch } from "@/data/batches";
import { insertTakenBack, insertWeighing, listMeasures, lockLastWeighing, type FarmMeasure } from "@/data/measures";
import type { Context } from "./context";
import { atField, refuseAt } from "./refusal";
import { write } from "./write";

/** What the farm's own measures came to. */
export const readMeasures = (ctx: Context): Promise<FarmMeasure[]> => listMeasures(ctx.pool);

/** One weighing of the farm's own measure; several make its spread. @throws {Refusal} */
export const weighMeasure = (ctx: Context, input: unknown): Promise<{ weighingId: number }> =>
  write(ctx, "weighMeasure", input, async (db, request) => {
    const item = atField("/ingredientId", () => findIngredient(request.ingredientId));
    const measure = request.measure.trim().toLowerCase();
    if (Object.hasOwn(UNITS, measure) || readUnit(measure, "metric", []).length > 0)
      throw refuseAt(
        "name-taken",
        "/measure",
        `"${measure}" is a unit already. Call ours something else: big ${measure}, tin ${measure}.`,
      );
    return {
      weighingId: await insertWeighing(db, {
        measure,
        ingredientId: item.id,
        amount: request.amount,
        actorId: ctx.actor.id,
        addedAt: ctx.now(),
      }),
    };
  });

/** The last weighing of a measure was a slip: it counts no more. @throws {Refusal} where none is left */
export const takeBackWeighing = (ctx: Context, input: unknown): Promise<{ weighingId: number }> =>
  write(ctx, "takeBackWeighing", input, async (db, request) => {
    const weighingId = await lockLastWeighing(db, request.measure, request.ingredientId);
    if (weighingId === null) throw refuseAt("not-found", "/measure", `No weighing of ${request.measure} is left.`);
    await insertTakenBack(db, { weighingId, actorId: ctx.actor.id, addedAt: ctx.now() });
    return { weighingId };
  });

/** A laboratory's figure for a batch, in place of what is worked out. @throws {Refusal} */
export const addLabResult = (ctx: Context, input: unknown): Promise<{ resultId: number }> =>
  write(ctx, "addLabResult", input, async (db, request) => {
    if (!(await findBatch(db, request.batchId))) throw refuseAt("not-found", "/batchId", "There is no such batch.");
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
  });
