import type { Recipe } from "../book/recipe";
import { judgedBy } from "./evidence";
import { countedPh, type LogItem } from "./log";
import { latestAirOff, longestAirGap } from "./reasons";
import type { Verdict } from "./judged";
import { isUsable } from "./verdictState";

/** What may still be done with a batch, best first. */
export type Remaining =
  "wait" | "use-now" | "use-weaker" | "soil-only" | "bare-or-compost" | "hot-compost" | "nothing-yet";

export interface RemainingUse {
  readonly may: Remaining;
  readonly because:
    | "not-ready"
    | "ready"
    | "very-sour"
    | "air-off"
    | "air-off-long"
    | "air-was-off"
    | "past-living"
    | "over"
    | "past-kept"
    | "held"
    | "spoilt"
    | "mould";
}

const VERY_SOUR_PH = 3;

/** What may still be done, so that a batch past its best is not simply thrown away, and a spoilt one never goes on a crop. */
export function remainingUse(recipe: Recipe, verdict: Verdict, log: readonly LogItem[], nowH: number): RemainingUse {
  if (verdict.spoilt === "hold") return { may: "nothing-yet", because: "held" };
  if (verdict.spoilt === "discard") {
    const mould = log.some((item) => item.kind === "film" && item.word === "coloured mould");
    return { may: "hot-compost", because: mould ? "mould" : "spoilt" };
  }
  const airOffH = recipe.aerated ? latestAirOff(log) : null;
  const limits = recipe.keeping.afterH;
  if (airOffH !== null && limits && verdict.state !== "early") {
    const sinceH = nowH - airOffH;
    if (sinceH > limits.soil) return { may: "bare-or-compost", because: "air-off-long" };
    if (sinceH > limits.leaves) return { may: "soil-only", because: "air-off" };
  }
  if (verdict.reasons.some(({ code }) => code === "half-day-over")) return { may: "hot-compost", because: "over" };
  if (verdict.state === "past")
    return judgedBy(recipe) === "bloom"
      ? { may: "bare-or-compost", because: "past-living" }
      : { may: "use-weaker", because: "past-kept" };
  if (!isUsable(verdict.state)) return { may: "wait", because: "not-ready" };
  const ph = countedPh(log).at(-1);
  const gap = recipe.aerated ? longestAirGap(log) : null;
  if (gap !== null && limits && gap.hours > limits.leaves) return { may: "soil-only", because: "air-was-off" };
  if (ph && ph.value < VERY_SOUR_PH) return { may: "use-weaker", because: "very-sour" };
  return { may: "use-now", because: "ready" };
}
