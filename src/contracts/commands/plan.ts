import { SEASON } from "./season";
import { list, object } from "./parts";

const SEARCH = object([], {
  seconds: { type: "number", exclusiveMinimum: 0, maximum: 600 },
  seed: { type: "integer", minimum: 0, maximum: 2_147_483_647 },
  iterations: { type: "integer", minimum: 0, maximum: 10_000_000 },
});
const LOOSE_PLAN = {
  type: "object",
  required: ["batches", "applications"],
  properties: { batches: list({ type: "object" }), applications: list({ type: "object" }, 20_000) },
} as const;

/** A season in the planner's terms, or bare with quantities and dates; what is bare is put into those terms, then held against `SEASON`. */
export const PLAN_INPUT = {
  anyOf: [
    object(["season"], { season: SEASON, search: SEARCH, check: LOOSE_PLAN }),
    {
      type: "object",
      required: ["format", "firstDay", "days"],
      properties: {
        format: { const: "ruchka-season" },
        firstDay: { type: "string", format: "date" },
        days: { type: "integer" },
        search: SEARCH,
        check: LOOSE_PLAN,
      },
      not: { required: ["season"] },
    },
  ],
} as const;
export const PLAN_OUTPUT = { type: "object" } as const;
