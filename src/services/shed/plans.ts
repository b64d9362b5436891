import "server-only";
import type { IngredientId } from "@/core/book/ingredients";
import { scaleRecipe, type ScaleRequest } from "@/core/recipe/scale";
import { findFarm } from "@/data/farm";
import { insertPlan, insertPlanEnd, lockPlan } from "@/data/plans";
import { lockVessel } from "@/data/vessels";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { pickRecipe } from "../recipes";
import { atField, refuseAt } from "../refusal";
import { write } from "../write";

/** Larger than any vessel: a plan without one is bounded by the amount that it names. */
const NO_VESSEL_L = 20_000;

/** Means a batch for a day, so that what it will take is kept for it and shopped for. @throws {Refusal} */
export const planBatch = (ctx: Context, input: unknown): Promise<{ planId: number }> =>
  write(ctx, "planBatch", input, async (db, request) => {
    const { recipe, versionNo } = await pickRecipe(db, request);
    const farm = await findFarm(db);
    const today = isoDay(ctx.now(), { timeZone: farm?.timeZone ?? "UTC" });
    if (request.forDay < today) throw refuseAt("time", "/forDay", "That day is over.");
    const vessel = request.vesselId ? await lockVessel(db, request.vesselId) : null;
    if (request.vesselId && !vessel) throw refuseAt("not-found", "/vesselId", "There is no such vessel.");
    const scaled = atField("/basisAmount", () =>
      scaleRecipe({
        recipe,
        vesselL: vessel?.volumeL ?? NO_VESSEL_L,
        diameterM: vessel?.diameterM ?? null,
        targetBasis: request.basisAmount,
        include: (request.include ?? []) as IngredientId[],
        stated: (request.stated ?? []) as ScaleRequest["stated"] & object,
        substitutes: (request.substitutes ?? []) as ScaleRequest["substitutes"] & object,
      }),
    );
    return {
      planId: await insertPlan(db, {
        methodId: recipe.id,
        schoolId: recipe.school.id,
        versionNo,
        vesselId: vessel?.id ?? null,
        name: vessel ? `${recipe.shortName} in ${vessel.name}` : recipe.shortName,
        basisAmount: request.basisAmount,
        forDay: request.forDay,
        note: request.note ?? "",
        lines: scaled.lines
          .filter(({ amount }) => amount > 0)
          .map(({ ingredient, amount, onDay }) => ({ ingredientId: ingredient, amount, onDay })),
        actorId: ctx.actor.id,
        addedAt: ctx.now(),
      }),
    };
  });

/** Gives a plan up; what it kept is free again. @throws {Refusal} for one that ended */
export const dropPlan = (ctx: Context, input: unknown): Promise<{ planId: number }> =>
  write(ctx, "dropPlan", input, async (db, request) => {
    await endPlan(db, ctx, request.planId, null, request.note ?? "");
    return { planId: request.planId };
  });

/** A plan ends once: as a batch, or given up. @throws {Refusal} */
export async function endPlan(
  db: Parameters<typeof lockPlan>[0],
  ctx: Context,
  planId: number,
  batchId: number | null,
  note = "",
): Promise<void> {
  const plan = await lockPlan(db, planId);
  if (!plan) throw refuseAt("not-found", "/planId", "There is no such plan.");
  if (!plan.open) throw refuseAt("unfit", "/planId", "This plan has ended already.");
  await insertPlanEnd(db, { planId, batchId, note, at: ctx.now(), actorId: ctx.actor.id });
}
