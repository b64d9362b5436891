import { minimumAgeD, phTarget } from "../book/recipe";
import type { FreshReadiness } from "../book/types";
import {
  isNear,
  judgedBy,
  readyWords,
  signReason,
  warmthReason,
  weighSigns,
  type Evidence,
  type JudgeInput,
} from "./evidence";
import { countedPh } from "./log";
import { asides } from "./asides";
import { phReasons } from "./phEvidence";
import { latestAirOff, longestAirGap, type VerdictReason } from "./reasons";
import { spoiltOf } from "./spoilt";
import { undoneOf } from "../tend/dueTasks";
import { isUsable, type VerdictState } from "./verdictState";
import type { Act } from "../book/words";

export type NextAct =
  "read-ph" | "smell" | "look" | "warm" | "strain" | "use-now" | "compost" | "wait" | "repeat-ph" | "feed" | "catch-up";

export interface Verdict {
  readonly state: VerdictState;
  readonly reasons: readonly VerdictReason[];
  /** The one thing to do or to look at next, and at which hour of the batch. */
  readonly next: { readonly act: NextAct; readonly hour: number };
  /** Where it must not be used: until it was looked at again, or for good. */
  readonly spoilt: "hold" | "discard" | null;
}

type Judged = Omit<Verdict, "spoilt">;

const PH_HOLDS_H = 168;
const PEAK_SPAN_H = { bloom: 3, acid: 0, days: 12, fresh: 0 } as const;
/** From this chance on a sign that says ready is believed, and without one a look is worth it now. */
const OPEN = 0.25;
const OPEN_BY_FOAM = 0.1;
/** Slower than a quarter of its usual pace a brew is stuck in the cold. */
const COLD_RATE = 0.25;
/** A pH that still stands so far above its target after two weeks in the warm is stuck. */
const STUCK_PH = { aboveTarget: 0.5, afterH: 14 * 24, warmerThanC: 18 } as const;
/** After one bad sign it is smelt again in so many hours. */
const SMELL_AGAIN_H = 6;

function readyOrPeak({ forecast, nowH, recipe }: JudgeInput): VerdictState {
  const peak = forecast.window.peak.p50;
  return peak !== null && Math.abs(peak - nowH) <= PEAK_SPAN_H[judgedBy(recipe)] ? "peak" : "ready";
}

function judgeBloom(evidence: Evidence): Judged {
  const { input, latestSign } = evidence;
  const { nowH, forecast } = input;
  const { aerated, keeping } = input.recipe;
  const airOffH = aerated ? latestAirOff(input.log) : null;
  const limits = keeping.afterH;
  // What makes its own foam is looked at; where air is blown in only the nose tells.
  const look: NextAct = aerated ? "smell" : "look";
  const reasons: VerdictReason[] = [...signReason(evidence), warmthReason(input)];
  const gap = aerated ? longestAirGap(input.log) : null;
  // A cut that is over is not forgotten: what it left out stays so, and a long one wants a nose before anything else.
  const wasOff = gap !== null && limits !== null && gap.hours > limits.leaves ? gap : null;
  const airReason: VerdictReason[] =
    airOffH === null || limits === null
      ? wasOff
        ? [{ code: "air-was-off", hours: wasOff.hours, untilH: wasOff.untilH, soilH: limits!.soil }]
        : []
      : [{ code: "air-off", sinceH: nowH - airOffH, leavesH: limits.leaves, soilH: limits.soil }];
  if (airOffH !== null && limits !== null && nowH - airOffH > limits.soil)
    return { state: "past", reasons: [...airReason, ...reasons], next: { act: "compost", hour: nowH } };
  const crashed = latestSign?.says === "past" && forecast.probabilityPast >= OPEN / 2;
  if (crashed || forecast.probabilityPast > 0.5) {
    return {
      state: "past",
      reasons: [{ code: "window-closed", hour: forecast.window.end.p50 }, ...reasons],
      next: { act: "compost", hour: nowH },
    };
  }
  // Where nothing stirs it but its own gas, the foam is the main sign; blown air makes foam of its own.
  const byFoam = !aerated && latestSign?.sign.kind === "surface";
  const open = forecast.probabilityReady >= (byFoam ? OPEN_BY_FOAM : OPEN);
  const smeltSince = input.log.some(({ kind, hour }) => kind === "smell" && wasOff !== null && hour >= wasOff.untilH);
  if (open && wasOff && wasOff.hours > limits!.soil && !smeltSince)
    return { state: "near", reasons: [...airReason, ...reasons], next: { act: "smell", hour: nowH } };
  if (open && latestSign?.says === "not-yet")
    return { state: "near", reasons: [...airReason, ...reasons], next: { act: look, hour: nowH + 2 } };
  if (open && latestSign?.says === "ready")
    return { state: readyOrPeak(input), reasons: [...airReason, ...reasons], next: { act: "use-now", hour: nowH } };
  if (open)
    return {
      state: "near",
      reasons: [{ code: "sign-missing", words: readyWords(input) }, ...airReason, ...reasons],
      next: { act: look, hour: nowH },
    };
  return {
    state: isNear(input) ? "near" : "early",
    reasons: [...airReason, ...reasons],
    next: { act: look, hour: forecast.nextCheckH },
  };
}

function isPhStuck(input: JudgeInput, target: number): boolean {
  const { forecast } = input;
  const last = countedPh(input.log).at(-1);
  if (!last || last.value <= target || last.hour < forecast.stageFromH) return false;
  if (forecast.stuck.codes.includes("high_asymptote") && forecast.probabilityNever > 0.5) return true;
  const standsH = last.hour - forecast.stageFromH;
  const warm = forecast.meanLiquidC24h > STUCK_PH.warmerThanC;
  return last.value > target + STUCK_PH.aboveTarget && standsH >= STUCK_PH.afterH && warm;
}

function judgeAcid(evidence: Evidence, target: number): Judged {
  const { input, latestSign } = evidence;
  const { nowH, forecast, recipe } = input;
  const last = countedPh(input.log).at(-1);
  const { phAtOdds } = evidence;
  const reasons = [...(phAtOdds ? [phAtOdds] : phReasons(input, target)), ...signReason(evidence), warmthReason(input)];
  if (isPhStuck(input, target))
    return {
      state: "stuck",
      reasons: [
        { code: "ph-stuck", ph: last!.value, days: last!.hour / 24, meanC: forecast.meanLiquidC24h },
        ...reasons.filter(({ code }) => code !== "warmth"),
      ],
      next: { act: "feed", hour: nowH },
    };
  const youngD = minimumAgeD(recipe);
  if (last && last.value <= target && nowH - last.hour <= PH_HOLDS_H) {
    if (nowH < youngD * 24) {
      return {
        state: "near",
        reasons: [{ code: "too-young", days: nowH / 24, minimumDays: youngD, byPh: true }, ...reasons],
        next: { act: "repeat-ph", hour: youngD * 24 },
      };
    }
    if (phAtOdds) return { state: "near", reasons, next: { act: "repeat-ph", hour: nowH } };
    if (latestSign?.says === "ready")
      return { state: forecast.probabilityPast > 0.5 ? "past" : "ready", reasons, next: { act: "strain", hour: nowH } };
    return {
      state: "near",
      reasons: [{ code: "sign-missing", words: readyWords(input) }, ...reasons],
      next: { act: "smell", hour: nowH },
    };
  }
  const missing: VerdictReason[] = last ? [] : [{ code: "ph-missing" }];
  return {
    state: isNear(input) || forecast.probabilityReady >= 0.5 ? "near" : "early",
    reasons: [...missing, ...reasons],
    next: {
      act: "read-ph",
      hour: last
        ? Math.max(nowH, Math.min(forecast.nextCheckH, last.hour + 96))
        : Math.max(nowH, Math.min(96, forecast.nextCheckH)),
    },
  };
}

function judgeDays(evidence: Evidence): Judged {
  const { input, latestSign } = evidence;
  const { nowH, forecast, recipe } = input;
  const reasons = [...signReason(evidence), warmthReason(input)];
  const youngD = minimumAgeD(recipe);
  if ((latestSign?.says === "past" && forecast.probabilityPast > 0.1) || forecast.probabilityPast > 0.6)
    return {
      state: "past",
      reasons: [{ code: "window-closed", hour: forecast.window.end.p50 }, ...reasons],
      next: { act: "strain", hour: nowH },
    };
  const open = forecast.probabilityReady >= OPEN;
  if (open && nowH < youngD * 24)
    return {
      state: "near",
      reasons: [{ code: "too-young", days: nowH / 24, minimumDays: youngD, byPh: false }, ...reasons],
      next: { act: "smell", hour: youngD * 24 },
    };
  if (open && latestSign?.says === "ready")
    return { state: readyOrPeak(input), reasons, next: { act: "strain", hour: nowH } };
  if (open && latestSign?.says !== "not-yet")
    return {
      state: "near",
      reasons: [{ code: "sign-missing", words: readyWords(input) }, ...reasons],
      next: { act: "smell", hour: nowH },
    };
  return {
    state: open || isNear(input) ? "near" : "early",
    reasons,
    next: { act: "smell", hour: forecast.nextCheckH },
  };
}

/** Made and used: done when its steps are, stale when it has stood too long. */
function judgeFresh(evidence: Evidence, { readyH, freshH }: FreshReadiness): Judged {
  const { input, latestSign } = evidence;
  const { nowH } = input;
  const reasons = signReason(evidence);
  if (nowH >= freshH || latestSign?.says === "past")
    return {
      state: "past",
      reasons: [{ code: "window-closed", hour: freshH }, ...reasons],
      next: { act: "compost", hour: nowH },
    };
  if (nowH < readyH || latestSign?.says === "not-yet")
    return { state: "near", reasons, next: { act: "look", hour: Math.max(nowH, readyH) } };
  return { state: "ready", reasons, next: { act: "use-now", hour: nowH } };
}

/** A brew that hardly moves, is too hot, or will not bloom as it stands. */
function standingStill(input: JudgeInput): Judged | null {
  const { forecast, nowH, recipe } = input;
  const { codes, chanceNever } = forecast.stuck;
  if (recipe.readiness.type === "fresh" || nowH < 12) return null;
  if (forecast.probabilityReady >= OPEN || forecast.probabilityPast >= OPEN) return null;
  const tooHot = codes.includes("too_hot_now") || codes.includes("overheated");
  const cold = forecast.meanRate24h < COLD_RATE && !tooHot;
  const noBloom = codes.includes("cold_no_bloom") && chanceNever > 0.5;
  if (!tooHot && !cold && !noBloom) return null;
  const figures = {
    meanC: forecast.meanLiquidC24h,
    rate: forecast.meanRate24h,
    comfortLowC: recipe.comfortC.low,
    comfortHighC: recipe.comfortC.high,
  };
  const target = phTarget(recipe);
  return {
    state: "stuck",
    reasons: [
      { code: tooHot ? "too-hot" : noBloom ? "no-bloom" : "cold", ...figures },
      ...(codes.includes("overheated") ? [{ code: "overheated" } as const] : []),
      ...(target === null ? [] : phReasons(input, target)),
    ],
    next: { act: "warm", hour: nowH },
  };
}

/** Each kind of method has its own rule. */
function byRule(evidence: Evidence): Judged {
  const { recipe } = evidence.input;
  const { readiness } = recipe;
  if (readiness.type === "fresh") return judgeFresh(evidence, readiness);
  switch (judgedBy(recipe)) {
    case "bloom":
      return judgeBloom(evidence);
    case "acid":
      return judgeAcid(evidence, phTarget(recipe)!);
    default:
      return judgeDays(evidence);
  }
}

/** What its recipe does once on a later day must be done before it counts as ready: without its sugar a serum is another thing. */
function withWhatIsUndone(input: JudgeInput, verdict: Judged): Judged {
  const [undone] = undoneOf(input.recipe, input.log, input.nowH);
  if (!undone) return verdict;
  const reason: VerdictReason = {
    code: "not-done",
    act: undone.act as Act,
    text: undone.text,
    dueH: undone.fromH,
    untilH: undone.untilH ?? null,
  };
  return {
    state: isUsable(verdict.state) ? "near" : verdict.state,
    reasons: [reason, ...verdict.reasons],
    next: isUsable(verdict.state) ? { act: "catch-up", hour: input.nowH } : verdict.next,
  };
}

/**
 * One verdict with its reasons. Failure signs come first and stay, whatever is smelt later; then cold; then the method's own rule:
 * hours and smell for a bloom, pH and smell for an acid ferment, days and signs for a sugar-drawn juice. Days alone never make it ready
 * where signs decide, nor does pH alone.
 */
export function judge(input: JudgeInput): Verdict {
  const spoilt = spoiltOf(input);
  if (spoilt) {
    const isGone = spoilt.level === "discard";
    return {
      state: "spoiled",
      reasons: spoilt.reasons,
      next: isGone
        ? { act: "compost", hour: input.nowH }
        : { act: "smell", hour: Math.max(input.nowH, lastLookH(input) + SMELL_AGAIN_H) },
      spoilt: spoilt.level,
    };
  }
  const evidence = weighSigns(input);
  const verdict = withWhatIsUndone(input, standingStill(input) ?? byRule(evidence));
  return { ...verdict, reasons: [...verdict.reasons, ...asides(input, evidence, verdict.state)], spoilt: null };
}

const lastLookH = ({ log }: JudgeInput): number =>
  log.reduce(
    (latest, item) => (item.kind === "smell" || item.kind === "film" ? Math.max(latest, item.hour) : latest),
    0,
  );
