import "server-only";
import { APPLICATION, DISCARD, FORAGED, PLAN_BATCH, PURCHASE } from "@/contracts/commands/season";
import { DAY, REQUEST_KEY, object } from "@/contracts/parts";
import { addDays } from "@/core/calendar";
import type { PlanBatch, PlanBody, Season } from "@/core/plan/season";
import { verifyPlan } from "@/core/plan/verify";
import { chosenKey } from "@/core/recipe/pick";
import type { Queryable } from "@/data/db";
import { findFarm } from "@/data/farm";
import { listRecipeChoices } from "@/data/recipes";
import { insertSeasonPlan, type SeasonDocument } from "@/data/season";
import { listOpenPlans } from "@/data/shed";
import { act } from "../act";
import type { Context } from "../context";
import { refuse } from "../refusal";
import { endPlan, planWith } from "../shed";
import { readSeasonNow, shifted } from "./readSeason";

const TAKE_PLAN = object(["requestKey", "firstDay", "batches", "applications", "purchases", "forage", "discards"], {
  requestKey: REQUEST_KEY,
  firstDay: DAY,
  batches: { type: "array", maxItems: 2000, items: PLAN_BATCH },
  applications: { type: "array", maxItems: 20_000, items: APPLICATION },
  purchases: { type: "array", maxItems: 5000, items: PURCHASE },
  forage: { type: "array", maxItems: 5000, items: FORAGED },
  discards: { type: "array", maxItems: 1000, items: DISCARD },
});
/** Batches of the next weeks are meant for their day, so that what goes in is kept for them and shopped for. */
const MEANT_D = 21;

/** The batches of the next weeks as plans of their own; what the plan before meant and this one does not is given up. */
async function meanBatches(
  db: Queryable,
  ctx: Context,
  firstDay: string,
  batches: readonly PlanBatch[],
  basisPerL: Readonly<Record<string, number>>,
): Promise<void> {
  const choices = await listRecipeChoices(db);
  const open = (await listOpenPlans(db)).filter(({ seasonBatch }) => seasonBatch !== null);
  const keyOf = (methodId: string, vesselId: number | null, day: string): string => `${methodId}|${vesselId}|${day}`;
  const wanted = new Map(
    batches.map((batch) => [keyOf(batch.input, Number(batch.vessel), addDays(firstDay, batch.startDay)), batch]),
  );
  const amountOf = ({ input, fillL }: PlanBatch): number => Math.round(basisPerL[input]! * fillL * 1000) / 1000;
  for (const plan of open) {
    const key = keyOf(plan.methodId, plan.vesselId, plan.forDay);
    const batch = wanted.get(key);
    if (batch && Math.abs(amountOf(batch) - plan.basisAmount) < 0.01 * plan.basisAmount) wanted.delete(key);
    else await endPlan(db, ctx, plan.id, null, "");
  }
  for (const batch of wanted.values()) {
    const { schoolId, versionNo } = chosenKey(batch.input, choices);
    await planWith(
      db,
      ctx,
      {
        methodId: batch.input,
        schoolId,
        versionNo,
        vesselId: Number(batch.vessel),
        basisAmount: amountOf(batch),
        forDay: addDays(firstDay, batch.startDay),
      },
      batch.id.slice(0, 60),
    );
  }
}

/** Means the batches of the next weeks for their days. */
export const meanSoon = (
  db: Queryable,
  ctx: Context,
  season: Season,
  { batches }: PlanBody,
  basisPerL: Readonly<Record<string, number>>,
): Promise<void> =>
  meanBatches(
    db,
    ctx,
    season.firstDay,
    batches.filter(
      ({ running, startDay }) => !running && startDay >= season.nowDay && startDay < season.nowDay + MEANT_D,
    ),
    basisPerL,
  );
/** A plan as it is kept: with what it is worth, and what it knowingly leaves out. */
export function documentOf(season: Season, plan: PlanBody): SeasonDocument {
  const { score } = verifyPlan({ ...season, previous: null }, plan);
  const met = new Set(plan.applications.map(({ need }) => need));
  const unmet = season.needs.filter(({ id }) => !met.has(id)).map(({ id }) => id);
  const { batches, applications, purchases, forage, discards } = plan;
  return { batches, applications, purchases, forage, discards, unmet, score: { unmet: score.unmet, cost: score.cost } };
}

/** Takes a plan of the season: it has to hold as the farm stands now. @throws {Refusal} `season-moved` where it does not */
export const takeSeasonPlan = act(
  { name: "takeSeasonPlan", schema: TAKE_PLAN, may: "grower" },
  async (db, request, ctx): Promise<{ seasonPlanId: number }> => {
    const farm = await findFarm(db);
    if (!farm) throw refuse("no-farm", {});
    const { season, basisPerL } = await readSeasonNow(ctx, farm);
    const { firstDay, requestKey: _key, ...body } = request;
    const plan = shifted({ firstDay, body: body as PlanBody }, season);
    const { broken } = verifyPlan({ ...season, previous: null }, plan);
    if (broken.length > 0) throw refuse("season-moved", { rules: broken.length });
    const seasonPlanId = await insertSeasonPlan(db, {
      firstDay: season.firstDay,
      document: documentOf(season, plan),
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    await meanSoon(db, ctx, season, plan, basisPerL);
    return { seasonPlanId };
  },
);
