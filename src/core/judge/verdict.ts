import type { AcidReadiness, DaysReadiness, FreshReadiness } from "../book/types";
import { countedPh } from "../ferment/observations";
import {
  isNear,
  readyWords,
  signReason,
  soon,
  warmthReason,
  weighSigns,
  type Evidence,
  type JudgeInput,
} from "./evidence";
import { failures, latestAirOff, type VerdictReason } from "./reasons";

/** Too early, nearly, ready, best now, past, stuck, failed. */
export type VerdictState = "early" | "near" | "ready" | "peak" | "past" | "stuck" | "spoiled";

export type NextAct =
  "read-ph" | "smell" | "look" | "warm" | "strain" | "use-now" | "compost" | "wait" | "repeat-ph" | "feed";

export interface Verdict {
  readonly state: VerdictState;
  readonly reasons: readonly VerdictReason[];
  /** The one thing to do or to look at next, and at which hour of the batch. */
  readonly next: { readonly act: NextAct; readonly hour: number };
}

const PH_HOLDS_H = 168;
const PEAK_SPAN_H = { bloom: 3, acid: 0, days: 12, fresh: 0 } as const;
/** Slower than a quarter of its usual pace a brew is stuck in the cold. */
const COLD_RATE = 0.25;
/** A pH that still stands so far above its target after two weeks in the warm is stuck. */
const STUCK_PH = { aboveTarget: 0.5, afterH: 14 * 24, warmerThanC: 18 } as const;

function readyOrPeak({ forecast, nowH, recipe }: JudgeInput): VerdictState {
  const peak = forecast.window.peak.p50;
  return peak !== null && Math.abs(peak - nowH) <= PEAK_SPAN_H[recipe.readiness.type] ? "peak" : "ready";
}

function judgeBloom(evidence: Evidence): Verdict {
  const { input, latestSign } = evidence;
  const { nowH, forecast } = input;
  const { aerated, keeping } = input.recipe;
  const airOffH = aerated ? latestAirOff(input.observations) : null;
  const limits = keeping.afterH;
  const reasons: VerdictReason[] = [...signReason(evidence), warmthReason(input)];
  const airReason: VerdictReason[] =
    airOffH === null || limits === null
      ? []
      : [{ code: "air-off", sinceH: nowH - airOffH, leavesH: limits.leaves, soilH: limits.soil }];
  if (airOffH !== null && limits !== null && nowH - airOffH > limits.soil)
    return { state: "past", reasons: [...airReason, ...reasons], next: { act: "compost", hour: nowH } };
  if (latestSign?.says === "past" || forecast.probabilityPast > 0.5) {
    return {
      state: "past",
      reasons: [{ code: "window-closed", hour: forecast.window.end.p50 }, ...reasons],
      next: { act: "compost", hour: nowH },
    };
  }
  const open = forecast.probabilityReady >= 0.5;
  if (open && latestSign?.says === "not-yet")
    return { state: "near", reasons: [...airReason, ...reasons], next: { act: "smell", hour: nowH + 2 } };
  if (open && latestSign?.says === "ready")
    return { state: readyOrPeak(input), reasons: [...airReason, ...reasons], next: { act: "use-now", hour: nowH } };
  if (open)
    return {
      state: "near",
      reasons: [{ code: "sign-missing", words: readyWords(input) }, ...airReason, ...reasons],
      next: { act: "smell", hour: nowH },
    };
  return {
    state: isNear(input) ? "near" : "early",
    reasons: [...airReason, ...reasons],
    next: { act: "smell", hour: soon(input, 3) },
  };
}

function phReasons(input: JudgeInput): VerdictReason[] {
  const readings = countedPh(input.observations);
  const last = readings.at(-1);
  const aside = input.observations.findLast((item) => item.kind === "ph" && !readings.includes(item));
  const asideReason: VerdictReason[] =
    aside?.kind === "ph" ? [{ code: "ph-not-counted", ph: aside.value, spot: aside.spot }] : [];
  const { readiness } = input.recipe;
  if (!last || readiness.type !== "acid") return asideReason;
  const before = readings.at(-2);
  const spanD = before ? (last.hour - before.hour) / 24 : 0;
  const perDay = before && spanD >= 0.5 ? (before.value - last.value) / spanD : null;
  return [
    {
      code: "ph",
      ph: last.value,
      target: readiness.targetPh,
      perDay,
      ageH: input.nowH - last.hour,
      instrument: last.instrument,
    },
    ...asideReason,
  ];
}

function isPhStuck(input: JudgeInput, readiness: AcidReadiness): boolean {
  const readings = countedPh(input.observations);
  const last = readings.at(-1);
  if (!last) return false;
  const warm = input.forecast.meanLiquidC24h > STUCK_PH.warmerThanC;
  return last.value > readiness.targetPh + STUCK_PH.aboveTarget && last.hour >= STUCK_PH.afterH && warm;
}

function judgeAcid(evidence: Evidence, readiness: AcidReadiness): Verdict {
  const { input, latestSign } = evidence;
  const { nowH, forecast } = input;
  const last = countedPh(input.observations).at(-1);
  const reasons = [...phReasons(input), ...signReason(evidence), warmthReason(input)];
  if (isPhStuck(input, readiness))
    return {
      state: "stuck",
      reasons: [
        { code: "ph-stuck", ph: last!.value, days: last!.hour / 24, meanC: forecast.meanLiquidC24h },
        ...reasons,
      ],
      next: { act: "feed", hour: nowH },
    };
  if (last && last.value <= readiness.targetPh && nowH - last.hour <= PH_HOLDS_H) {
    if (nowH < readiness.minimumAgeD * 24) {
      return {
        state: "near",
        reasons: [{ code: "too-young", days: nowH / 24, minimumDays: readiness.minimumAgeD }, ...reasons],
        next: { act: "repeat-ph", hour: readiness.minimumAgeD * 24 },
      };
    }
    if (latestSign?.says === "ready")
      return { state: forecast.probabilityPast > 0.5 ? "past" : "ready", reasons, next: { act: "strain", hour: nowH } };
    return {
      state: "near",
      reasons: [{ code: "sign-missing", words: readyWords(input) }, ...reasons],
      next: { act: "smell", hour: nowH },
    };
  }
  const missing: VerdictReason[] = last ? [] : [{ code: "ph-missing" }];
  const state = isNear(input) ? "near" : "early";
  const gapH = state === "near" ? 12 : 24;
  return {
    state,
    reasons: [...missing, ...reasons],
    next: {
      act: "read-ph",
      hour: last ? Math.max(nowH, Math.min(soon(input, gapH), last.hour + 96)) : Math.max(nowH, 96),
    },
  };
}

function judgeDays(evidence: Evidence, { minimumAgeD = 0 }: DaysReadiness): Verdict {
  const { input, latestSign } = evidence;
  const { nowH, forecast } = input;
  const reasons = [...signReason(evidence), warmthReason(input)];
  if (latestSign?.says === "past" || forecast.probabilityPast > 0.6)
    return {
      state: "past",
      reasons: [{ code: "window-closed", hour: forecast.window.end.p50 }, ...reasons],
      next: { act: "strain", hour: nowH },
    };
  const open = forecast.probabilityReady >= 0.5;
  if (open && nowH < minimumAgeD * 24)
    return {
      state: "near",
      reasons: [{ code: "too-young", days: nowH / 24, minimumDays: minimumAgeD }, ...reasons],
      next: { act: "smell", hour: minimumAgeD * 24 },
    };
  if (open && latestSign?.says === "ready")
    return { state: readyOrPeak(input), reasons, next: { act: "strain", hour: nowH } };
  if (open && latestSign?.says !== "not-yet")
    return {
      state: "near",
      reasons: [{ code: "sign-missing", words: readyWords(input) }, ...reasons],
      next: { act: "smell", hour: nowH },
    };
  return { state: open || isNear(input) ? "near" : "early", reasons, next: { act: "smell", hour: soon(input, 12) } };
}

/** Made and used: done when its steps are, stale when it has stood too long. */
function judgeFresh(evidence: Evidence, { readyH, freshH }: FreshReadiness): Verdict {
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

/** A brew that hardly moves: its pace over the last day is under a quarter of the usual, and more of the same won't bring it in. */
function coldVerdict(input: JudgeInput): Verdict | null {
  const { forecast, nowH, recipe } = input;
  if (
    nowH < 12 ||
    forecast.meanRate24h >= COLD_RATE ||
    forecast.probabilityReady >= 0.25 ||
    forecast.probabilityPast >= 0.25
  )
    return null;
  const tooHot = forecast.meanLiquidC24h > recipe.comfortC.high;
  return {
    state: "stuck",
    reasons: [
      {
        code: tooHot ? "too-hot" : "cold",
        meanC: forecast.meanLiquidC24h,
        rate: forecast.meanRate24h,
        comfortLowC: recipe.comfortC.low,
        comfortHighC: recipe.comfortC.high,
      },
      ...phReasons(input),
    ],
    next: { act: "warm", hour: nowH },
  };
}

/** Each kind of method has its own rule. */
function byRule(evidence: Evidence): Verdict {
  const { readiness } = evidence.input.recipe;
  switch (readiness.type) {
    case "bloom":
      return judgeBloom(evidence);
    case "acid":
      return judgeAcid(evidence, readiness);
    case "days":
      return judgeDays(evidence, readiness);
    case "fresh":
      return judgeFresh(evidence, readiness);
  }
}

/**
 * One verdict with its reasons. Failure signs come first and stay, whatever is smelt later; then cold; then the method's own rule:
 * hours and smell for a bloom, pH and smell for an acid ferment, days and signs for a sugar-drawn juice. Days alone never make it ready where signs decide.
 */
export function judge(input: JudgeInput): Verdict {
  const failed = failures(input.recipe, input.observations);
  if (failed.length > 0) return { state: "spoiled", reasons: failed, next: { act: "compost", hour: input.nowH } };
  const cold = coldVerdict(input);
  if (cold) return cold;
  const evidence = weighSigns(input);
  const verdict = byRule(evidence);
  return evidence.disagreeing ? { ...verdict, reasons: [...verdict.reasons, evidence.disagreeing] } : verdict;
}
