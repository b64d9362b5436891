import type { FromSchema } from "json-schema-to-ts";
import validators from "@/contracts/generated/tasks.cjs";
import { PLAN_INPUT, PLAN_OUTPUT } from "@/contracts/commands/plan";
import type { SEASON } from "@/contracts/commands/season";
import { fieldErrors } from "@/contracts/fieldErrors";
import { addDays } from "@/core/calendar";
import { DomainError } from "@/core/errors";
import { expandNeeds } from "@/core/plan/expand";
import { seasonFaults } from "@/core/plan/faults";
import { planSeason } from "@/core/plan/planSeason";
import { factsOf } from "@/core/plan/reasons/facts";
import { Mender } from "@/core/plan/reasons/mend";
import { WEIGHTS, type Season, type SeasonPlan } from "@/core/plan/season";
import { verifyPlan } from "@/core/plan/verify";
import { sayMend, sayPlanRule, saySeasonReason, type SeasonSpeech } from "@/words/said";
import type { Task } from "../task";
import { fromBare, toBare } from "./bare";
import { EXAMPLE } from "./example";

interface Search {
  readonly seconds?: number;
  readonly seed?: number;
  readonly iterations?: number;
}
interface Input {
  readonly season?: FromSchema<typeof SEASON>;
  readonly search?: Search;
  readonly check?: SeasonPlan;
  readonly firstDay?: string;
}
const SECONDS = 10;

/** Whole, with needs from its plantings and the usual weights where it has none. @throws {DomainError} `season-fault` */
function completed(told: FromSchema<typeof SEASON>): { season: Season; assumed: string[] } {
  const season = {
    ...told,
    weights: told.weights ?? WEIGHTS,
    previous: told.previous ?? null,
    needs: told.needs ?? [],
  } as unknown as Season;
  const [fault] = seasonFaults(season);
  if (fault) throw new DomainError("season-fault", { fault: fault.code, name: fault.name }, fault.path);
  const assumed = told.weights ? [] : ["The usual weights: 9, 3, 1 by priority."];
  if (told.needs) return { season, assumed };
  return {
    season: { ...season, needs: expandNeeds(season).needs },
    assumed: [...assumed, "Needs come of plantings and programmes."],
  };
}

const speechFor = ({ firstDay }: Season): SeasonSpeech => ({
  day: (day) => addDays(firstDay, day),
  week: (week) => `in the week of ${addDays(firstDay, week * 7)}`,
  volume: (litres) => `${litres} L`,
  minutes: (minutes) => `${minutes} min`,
  batch: (id) => id,
  ingredient: (id) => id,
  need: (id) => id,
});
/** What goes unmet with words and figures, and for some the smallest change that would mend it. */
function explained(season: Season, plan: SeasonPlan): object {
  const say = speechFor(season);
  // Each change that is tried wants the whole season anew: on a large one a few have to do.
  const mender = new Mender(season, plan, season.needs.length > 2000 ? 4 : 24);
  return {
    ...plan,
    unmet: plan.unmet.map((one) => {
      const detail = one.reasons
        .map((reason) => saySeasonReason(factsOf(season, plan, one.need, reason), say))
        .join(" ");
      const mend = one.level === "competition" ? mender.mendOf(one) : null;
      return { ...one, detail, ...(mend ? { mend: { ...mend, text: sayMend(mend, say) } } : {}) };
    }),
  };
}

/** The season of an input, in the planner's terms; whether it came bare. */
function seasonOf(input: Input): { told: FromSchema<typeof SEASON>; isBare: boolean; rest: Input } {
  if (input.season) return { told: input.season, isBare: false, rest: input };
  const { search, check, ...bare } = input;
  const firstDay = input.firstDay!;
  const season = fromBare(bare, firstDay) as FromSchema<typeof SEASON>;
  const errors = fieldErrors(validators.plan!, { season });
  if (errors) {
    const [path, message] = Object.entries(errors)[0]!;
    throw new DomainError("season-unreadable", { message }, path.replace(/^\/season/, ""));
  }
  return {
    told: season,
    isBare: true,
    rest: { search: search ?? {}, ...(check ? { check: fromBare(check, firstDay) as SeasonPlan } : {}) },
  };
}

function run(input: Input): object {
  const { told, isBare, rest } = seasonOf(input);
  const { season, assumed } = completed(told);
  if (rest.check) {
    const { feasible, broken, score } = verifyPlan(season, rest.check);
    return { feasible, broken: broken.map((one) => ({ ...one, say: sayPlanRule(one) })), score };
  }
  const { seconds, seed = 1, iterations } = rest.search ?? {};
  const budget = iterations === undefined ? { ms: (seconds ?? SECONDS) * 1000, seed } : { iterations, seed };
  const plan = explained(
    season,
    planSeason(season, budget, () => performance.now()),
  );
  if (!isBare) return plan;
  const { score } = plan as SeasonPlan;
  return {
    ...(toBare(plan, season.firstDay) as object),
    text: `${season.needs.length - (plan as SeasonPlan).unmet.length} of ${season.needs.length} applications planned; unmet ${score.unmet}, cost ${score.cost}.`,
    assumed,
  };
}

export const planTask: Task<object> = {
  name: "plan",
  summary: "a season: what to start in which vessel on which day, from what plots want; or check a plan",
  input: PLAN_INPUT,
  output: PLAN_OUTPUT,
  example: EXAMPLE,
  run,
};
