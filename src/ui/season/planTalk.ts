import type { Progress } from "@/core/plan/planSeason";
import type { ReasonFacts } from "@/core/plan/reasons/facts";
import type { Mend } from "@/core/plan/reasons/mend";
import type { Season, SeasonPlan, Unmet } from "@/core/plan/season";

/** What a screen asks of the planner beside it. */
export type ToPlanner =
  | { readonly type: "plan"; readonly id: number; readonly season: Season; readonly ms: number; readonly seed: number }
  | { readonly type: "stop" };

/** An unmet need with the figures of its reasons, and what could mend it. */
export type UnmetTold = Unmet & { readonly facts: readonly ReasonFacts[]; readonly mend: Mend | null };

/** What the planner tells. */
export type FromPlanner =
  | { readonly type: "progress"; readonly id: number; readonly progress: Progress }
  | { readonly type: "plan"; readonly id: number; readonly plan: SeasonPlan }
  | { readonly type: "done"; readonly id: number; readonly plan: SeasonPlan; readonly found: Found };

/** What is found once the search is over: why things go unmet, and what a grower would come to who fills a drum whenever one has run out. */
export interface Found {
  readonly unmet: readonly UnmetTold[];
  readonly habit: { readonly unmetNeeds: number; readonly cost: number; readonly starts: number };
}
