import { judgedBy, type Evidence, type JudgedBy, type JudgeInput } from "./evidence";
import { keptOnAir } from "./keptOnAir";
import { smellAhead } from "./nextSmell";
import type { VerdictReason } from "./reasons";
import { happenings } from "./rule/happenings";
import type { VerdictState } from "./verdictState";

/** Where it stands is asked for when the places it may stand in are so far apart, K. */
const UNSURE_K = 2.5;

/** Reasons that name an instrument, or a smell, as what is off. */
const OFF_CODES: ReadonlySet<VerdictReason["code"]> = new Set(["ph-rose", "ph-at-odds", "ph-rests-near"]);
/** What a culture makes can lack it. */
const HAS_CULTURE: ReadonlySet<JudgedBy> = new Set(["bloom", "acid"]);

/** What is said besides, whatever the rule found. */
export function asides(
  { forecast, recipe, log, nowH }: JudgeInput,
  evidence: Evidence,
  state: VerdictState,
  said: readonly VerdictReason[],
): VerdictReason[] {
  const hold = keptOnAir(recipe, log, forecast.window.end.p50);
  // What is past its best is not to be waited for to smell worse.
  const smell = state === "past" ? null : smellAhead(recipe, log);
  // Where the rule has said already what is off, the model's own surprise at it is no news.
  const isSaid = said.some(({ code }) => OFF_CODES.has(code));
  const surprising = isSaid ? undefined : forecast.surprises.find((surprise) => surprise.surprising);
  return [
    ...happenings(recipe, log),
    ...(evidence.disagreeing ? [evidence.disagreeing] : []),
    ...(forecast.contradictory && !evidence.disagreeing && !isSaid ? [{ code: "contradictory" } as const] : []),
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
    ...(forecast.stuck.codes.includes("slow") && HAS_CULTURE.has(judgedBy(recipe)) ? [{ code: "slow" } as const] : []),
    ...(hold ? [{ code: "kept-on-air", untilH: hold.untilH, isOver: nowH >= hold.untilH } as const] : []),
    ...(smell ? [{ code: "smell-ahead", ...smell } as const] : []),
  ];
}
