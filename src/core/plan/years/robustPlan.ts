import { planSeason, type Budget } from "../planSeason";
import type { DurationRow, PlanBody, Season, SeasonPlan } from "../season";
import { heldFrom, overYears, SLOW_SHARES, slowSeason, type YearsOfPlan } from ".";

export interface RobustPlan {
  readonly plan: SeasonPlan;
  readonly fares: YearsOfPlan;
}
export interface YearsTold {
  readonly now: YearsOfPlan;
  /** A plan with room for slow years; null where none of those tried fares better. */
  readonly robust: RobustPlan | null;
}

/**
 * How a plan fares over years, and a plan that fares better: made for slow years, then held where it is and planned on for a usual one. The first half of the years is
 * what it is made for, the other half what both are judged by: a plan that was fitted to its own judge would always look good.
 */
export function robustPlan(
  season: Season,
  plan: PlanBody,
  years: readonly (readonly DurationRow[])[],
  budget: Budget,
  clockMs: () => number,
): YearsTold {
  const half = Math.floor(years.length / 2);
  const [known, judged] = [years.slice(0, half), years.slice(half)];
  const now = overYears(season, plan, judged);
  const alone: Season = { ...season, previous: null };
  let robust: RobustPlan | null = null;
  for (const share of SLOW_SHARES) {
    const slow = planSeason(slowSeason(alone, known, share), budget, clockMs);
    const tried = planSeason(heldFrom(alone, slow), budget, clockMs);
    const fares = overYears(season, tried, judged);
    if (fares.meanUnmet < (robust?.fares ?? now).meanUnmet - 1e-9) robust = { plan: tried, fares };
  }
  return { now, robust };
}
