import "server-only";
import { REQUEST_KEY, object } from "@/contracts/parts";
import { CARRIED } from "@/core/safety/carried";
import { act } from "../act";
import { insertHarvestRule } from "@/data/field";

const SET_HARVEST_RULE = object(["requestKey", "hazard", "touchingD", "clearD", "source"], {
  requestKey: REQUEST_KEY,
  hazard: { enum: CARRIED },
  touchingD: { type: "integer", minimum: 0, maximum: 730 },
  clearD: { type: "integer", minimum: 0, maximum: 730 },
  /** Whose rule it is. */
  source: { type: "string", minLength: 2, maxLength: 160 },
});

/** The farm's own days before harvest, with whose rule they are; the latest counts, earlier ones stay readable. @throws {Refusal} */
export const setHarvestRule = act(
  { name: "setHarvestRule", schema: SET_HARVEST_RULE, may: "steward" },
  async (db, request, ctx): Promise<{ ruleId: number }> => ({
    ruleId: await insertHarvestRule(db, {
      hazard: request.hazard,
      touchingD: request.touchingD,
      clearD: request.clearD,
      source: request.source.trim(),
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    }),
  }),
);
