import type { Progress } from "@/core/plan/planSeason";
import type { ReasonFacts } from "@/core/plan/reasons/facts";
import type { Mend } from "@/core/plan/reasons/mend";
import type { DurationRow, PlanBody, Season, SeasonPlan, Unmet } from "@/core/plan/season";
import type { YearsTold } from "@/core/plan/years/robustPlan";

/** What a screen asks of a planner beside it. */
export type ToPlanner =
  | { readonly type: "plan"; readonly id: number; readonly season: Season; readonly ms: number; readonly seed: number }
  | { readonly type: "explain"; readonly id: number; readonly season: Season; readonly plan: SeasonPlan }
  | {
      readonly type: "years";
      readonly id: number;
      readonly season: Season;
      readonly plan: PlanBody;
      readonly years: readonly (readonly DurationRow[])[];
      readonly ms: number;
    }
  | { readonly type: "stop" };

/** An unmet need with the figures of its reasons, and what could mend it. */
export type UnmetTold = Unmet & { readonly facts: readonly ReasonFacts[]; readonly mend: Mend | null };

/** What a planner tells: how far it is, better plans as they come, its last one, and what was found about one. */
export type FromPlanner =
  | { readonly type: "progress"; readonly id: number; readonly progress: Progress }
  | { readonly type: "plan" | "ended"; readonly id: number; readonly plan: SeasonPlan }
  | { readonly type: "found"; readonly id: number; readonly found: Found }
  | { readonly type: "years"; readonly id: number; readonly told: YearsTold };

/** What somebody comes to who goes by a habit. */
export interface HabitTold {
  readonly unmetNeeds: number;
  readonly cost: number;
  readonly starts: number;
}
/** What is found once the search is over: why things go unmet, and what growers would come to who fill a drum whenever one has run out, or make more in time. */
export interface Found {
  readonly unmet: readonly UnmetTold[];
  readonly fullDrum: HabitTold;
  readonly reorder: HabitTold;
}
