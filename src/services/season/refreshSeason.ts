import "server-only";
import { planSeason } from "@/core/plan/planSeason";
import { verifyPlan } from "@/core/plan/verify";
import { inTransaction } from "@/data/db";
import { findFarm } from "@/data/farm";
import { forgetProposals, insertSeasonProposal } from "@/data/season";
import { sinceThen } from "@/core/plan/farm";
import type { Context } from "../context";
import { readSeasonNow, standingPlan } from "./readSeason";
import { documentOf, meanSoon } from "./takePlan";

/** Proposals older than this are let go of, ms. */
const KEPT_MS = 14 * 86_400_000;

/**
 * What the farm's own machine does for the season by itself, at night: where the plan in use still fits, its batches of the next weeks are meant for their days; where
 * the farm has changed, the rest is planned anew and laid before whoever opens the season next. Nobody's plan is changed.
 * @param ms how long to plan, @returns what was done
 */
export async function refreshSeason(ctx: Context, ms: number): Promise<"no-plan" | "fits" | "proposed"> {
  const farm = await findFarm(ctx.pool);
  if (!farm) return "no-plan";
  const now = await readSeasonNow(ctx, farm);
  const { season, kept, whole, basisPerL } = now;
  const standing = standingPlan(now);
  if (!kept || !whole || !standing) return "no-plan";
  const alone = { ...season, previous: null };
  const fits = verifyPlan(alone, standing).feasible && sinceThen(season, whole, kept.document.unmet ?? []).length === 0;
  if (fits) {
    await inTransaction(ctx.pool, (db) => meanSoon(db, ctx, season, standing, basisPerL));
    return "fits";
  }
  const plan = planSeason(season, { ms, seed: 1 }, () => performance.now());
  const madeAt = ctx.now();
  await inTransaction(ctx.pool, async (db) => {
    await forgetProposals(db, new Date(madeAt.getTime() - KEPT_MS));
    await insertSeasonProposal(db, { firstDay: season.firstDay, document: documentOf(season, plan), madeAt });
  });
  return "proposed";
}
