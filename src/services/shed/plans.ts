import "server-only";
import { DAY, ID, NOTE, POSITIVE_AMOUNT, REQUEST_KEY, ROW_ID, VERSION_NO, object, orNull } from "@/contracts/parts";
import { act, type Asked } from "../act";
import type { IngredientId } from "@/core/book/ingredients";
import { scaleRecipe, type ScaleRequest } from "@/core/recipe/scale";
import { addDays } from "@/core/calendar";
import type { Recipe } from "@/core/book/recipe";
import { leadTime } from "@/core/choose/leadTime";
import { recipeFrom } from "@/core/recipe/document";
import { findBatch } from "@/data/batch";
import type { Queryable } from "@/data/db";
import { findFarm, type Farm } from "@/data/farm";
import { insertPlan, insertPlanEnd, listOpenPlans, lockPlan } from "@/data/shed";
import { lockVessel, type VesselState } from "@/data/vessels";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { pickRecipe } from "../recipes";
import { meanAirByDay } from "../weather";
import { atField, refuse } from "../refusal";
import { inText } from "@/formats/grammar";

/** Larger than any vessel: a plan without one is bounded by the amount that it names. */
const NO_VESSEL_L = 20_000;

/** Without a forecast a vessel is taken as busy for so long, days. */
const UNKNOWN_D = 14;

/** Days that a batch of a recipe is likely to hold its vessel in the air that is usual then. */
async function busyDays(ctx: Context, farm: Farm, recipe: Recipe): Promise<number> {
  const air = await meanAirByDay(ctx.pool, farm, ctx.now(), LOOK_D);
  const meanC = air.reduce((sum, celsius) => sum + celsius, 0) / Math.max(1, air.length);
  const { likelyH } = leadTime(recipe, meanC);
  return likelyH === null ? UNKNOWN_D : Math.max(1, Math.ceil(likelyH / 24));
}
const LOOK_D = 10;

/** One vessel, one batch at a time: what runs in it, and what else is planned for it. @throws {Refusal} with the days that it is taken */
async function requireVesselFree(
  db: Parameters<typeof lockPlan>[0],
  ctx: Context,
  farm: Farm,
  vessel: VesselState,
  recipe: Recipe,
  forDay: string,
): Promise<void> {
  const untilDay = addDays(forDay, await busyDays(ctx, farm, recipe));
  const taken = (name: string, from: string, until: string) =>
    refuse("vessel-planned", { vessel: vessel.name, method: name, from, until }, "/forDay");
  if (vessel.batchId !== null && !vessel.ended) {
    const running = await findBatch(db, vessel.batchId);
    if (running) {
      const from = isoDay(running.startedAt, farm);
      const until = addDays(from, await busyDays(ctx, farm, recipeFrom(running.recipe.document)));
      if (forDay < until) throw taken(inText(running.recipe.shortName), from, until);
    }
  }
  for (const plan of await listOpenPlans(db)) {
    if (plan.vesselId !== vessel.id) continue;
    const { recipe: other } = await pickRecipe(db, plan);
    const until = addDays(plan.forDay, await busyDays(ctx, farm, other));
    if (plan.forDay < untilDay && forDay < until) throw taken(plan.name, plan.forDay, until);
  }
}

const PLAN_BATCH = object(["requestKey", "methodId", "schoolId", "basisAmount", "forDay"], {
  requestKey: REQUEST_KEY,
  methodId: ID,
  schoolId: ID,
  versionNo: VERSION_NO,
  vesselId: orNull(ROW_ID),
  basisAmount: POSITIVE_AMOUNT,
  forDay: DAY,
  substitutes: { type: "array", maxItems: 20, items: object(["instead", "use"], { instead: ID, use: ID }) },
  stated: {
    type: "array",
    maxItems: 20,
    items: object(["ingredient", "amount"], { ingredient: ID, amount: POSITIVE_AMOUNT }),
  },
  include: { type: "array", maxItems: 20, items: ID },
  note: NOTE,
});

/**
 * Means a batch for a day, within a transaction.
 * @param seasonBatch the batch of the season's plan that it stands for: that plan knows which vessel is free when @throws {Refusal}
 */
export async function planWith(
  db: Queryable,
  ctx: Context,
  request: Omit<Asked<typeof PLAN_BATCH>, "requestKey">,
  seasonBatch: string | null = null,
): Promise<{ planId: number }> {
  const { recipe, versionNo } = await pickRecipe(db, request);
  const farm = await findFarm(db);
  const today = isoDay(ctx.now(), { timeZone: farm?.timeZone ?? "UTC" });
  if (request.forDay < today) throw refuse("day-over", {}, "/forDay");
  const vessel = request.vesselId ? await lockVessel(db, request.vesselId) : null;
  if (request.vesselId && !vessel) throw refuse("not-found", { thing: "vessel" }, "/vesselId");
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
  if (vessel && farm && seasonBatch === null) await requireVesselFree(db, ctx, farm, vessel, recipe, request.forDay);
  return {
    planId: await insertPlan(db, {
      methodId: recipe.id,
      schoolId: recipe.school.id,
      versionNo,
      vesselId: vessel?.id ?? null,
      name: vessel ? `${recipe.shortName} in ${vessel.name}` : recipe.shortName,
      basisAmount: request.basisAmount,
      choice: {
        include: request.include ?? [],
        stated: request.stated ?? [],
        substitutes: request.substitutes ?? [],
      },
      forDay: request.forDay,
      note: request.note ?? "",
      seasonBatch,
      lines: scaled.lines
        .filter(({ amount }) => amount > 0)
        .map(({ ingredient, part, amount, onDay }) => ({ ingredientId: ingredient, part, amount, onDay })),
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    }),
  };
}

/** Means a batch for a day, so that what it will take is kept for it and shopped for. @throws {Refusal} */
export const planBatch = act(
  { name: "planBatch", schema: PLAN_BATCH, may: "grower" },
  (db, { requestKey: _key, ...request }, ctx) => planWith(db, ctx, request),
);

const DROP_PLAN = object(["requestKey", "planId"], { requestKey: REQUEST_KEY, planId: ROW_ID, note: NOTE });

/** Gives a plan up; what it kept is free again. @throws {Refusal} for one that ended */
export const dropPlan = act(
  { name: "dropPlan", schema: DROP_PLAN, may: "grower" },
  async (db, request, ctx): Promise<{ planId: number }> => {
    await endPlan(db, ctx, request.planId, null, request.note ?? "");
    return { planId: request.planId };
  },
);

/** A plan ends once: as a batch, or given up. @throws {Refusal} */
export async function endPlan(
  db: Parameters<typeof lockPlan>[0],
  ctx: Context,
  planId: number,
  batchId: number | null,
  note = "",
): Promise<void> {
  const plan = await lockPlan(db, planId);
  if (!plan) throw refuse("not-found", { thing: "plan" }, "/planId");
  if (!plan.open) throw refuse("plan-ended", {}, "/planId");
  await insertPlanEnd(db, { planId, batchId, note, at: ctx.now(), actorId: ctx.actor.id });
}
