import "server-only";
import { insertHarvestRule } from "@/data/harvestRules";
import type { Context } from "../context";
import { write } from "../write";

/** The farm's own days before harvest, with whose rule they are; the latest counts, earlier ones stay readable. @throws {Refusal} */
export const setHarvestRule = (ctx: Context, input: unknown): Promise<{ ruleId: number }> =>
  write(ctx, "setHarvestRule", input, async (db, request) => ({
    ruleId: await insertHarvestRule(db, {
      hazard: request.hazard,
      touchingD: request.touchingD,
      clearD: request.clearD,
      source: request.source.trim(),
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    }),
  }));
