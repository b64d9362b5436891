import type { Recipe } from "../book/recipe";
import { leadTime, type LeadTime } from "./leadTime";

export type StartAnswer =
  | { readonly fits: true; readonly startAtMs: number; readonly lead: LeadTime; readonly liquidC: number }
  | {
      readonly fits: false;
      readonly because: "too-late" | "too-cold" | "too-hot";
      readonly lead: LeadTime;
      readonly liquidC: number;
    };

const HOUR_MS = 3_600_000;

/**
 * When to start an input that is wanted at a moment, or why it can't be. A living brew is timed to its best hour, anything else
 * to be ready nine times in ten.
 * @param meanC mean air temperature of the farm between two moments, °C
 */
export function startFor(
  recipe: Recipe,
  nowMs: number,
  wantedMs: number,
  meanC: (fromMs: number, toMs: number) => number,
): StartAnswer {
  const liquidC = meanC(nowMs, Math.max(nowMs, wantedMs));
  const lead = leadTime(recipe, liquidC);
  const needH = recipe.keeping.living ? lead.bestH : (lead.latestH ?? null);
  if (needH === null || lead.likelyH === null)
    return { fits: false, because: liquidC > recipe.comfortC.high ? "too-hot" : "too-cold", lead, liquidC };
  const startAtMs = wantedMs - needH * HOUR_MS;
  return startAtMs < nowMs - HOUR_MS
    ? { fits: false, because: "too-late", lead, liquidC }
    : { fits: true, startAtMs, lead, liquidC };
}
