import type { Evidence, JudgeInput } from "./evidence";
import { holdOnAir } from "./holdOnAir";
import { smellAhead } from "./nextSmell";
import type { VerdictReason } from "./reasons";
import { happenings } from "./rule/happenings";
import type { VerdictState } from "./verdictState";

/** Where it stands is asked for when the places it may stand in are so far apart, K. */
const UNSURE_K = 2.5;

/** What is said besides, whatever the rule found. */
export function asides(
  { forecast, recipe, log, nowH }: JudgeInput,
  evidence: Evidence,
  state: VerdictState,
): VerdictReason[] {
  const hold = holdOnAir(recipe, log, forecast.window.end.p50);
  // What is past its best is not to be waited for to smell worse.
  const smell = state === "past" ? null : smellAhead(recipe, log);
  const surprising = forecast.surprises.find((surprise) => surprise.surprising);
  return [
    ...happenings(recipe, log),
    ...(evidence.disagreeing ? [evidence.disagreeing] : []),
    ...(forecast.contradictory && !evidence.disagreeing && !evidence.phAtOdds
      ? [{ code: "contradictory" } as const]
      : []),
    ...(surprising ? [{ code: "surprising", what: surprising.type } as const] : []),
    ...(forecast.stageFromH > 0 ? [{ code: "fed-anew", hour: forecast.stageFromH } as const] : []),
    ...(forecast.liquidSdC > UNSURE_K && (state === "early" || state === "near")
      ? [
          {
            code: "place-unsaid",
            lowC: forecast.meanLiquidC24h - forecast.liquidSdC,
            highC: forecast.meanLiquidC24h + forecast.liquidSdC,
          } as const,
        ]
      : []),
    ...(forecast.placeDoubted ? [{ code: "place-doubted", meanC: forecast.meanLiquidC24h } as const] : []),
    ...(forecast.readingsStoppedH === null
      ? []
      : [{ code: "readings-stopped", hour: forecast.readingsStoppedH } as const]),
    ...(forecast.spoilage.level === "watch" ? [{ code: "watch", chance: forecast.spoilage.chance } as const] : []),
    ...(forecast.stuck.codes.includes("slow") ? [{ code: "slow" } as const] : []),
    ...(hold ? [{ code: "held-on-air", untilH: hold.untilH, isOver: nowH >= hold.untilH } as const] : []),
    ...(smell ? [{ code: "smell-ahead", ...smell } as const] : []),
  ];
}
