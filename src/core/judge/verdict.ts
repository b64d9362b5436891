import { phTarget } from "../book/recipe";
import type { FreshReadiness } from "../book/types";
import type { Act } from "../book/words";
import { undoneOf } from "../tend/dueTasks";
import { asides } from "./asides";
import { judgedBy, signReason, weighSigns, type Evidence, type JudgeInput } from "./evidence";
import type { Judged, Verdict } from "./judged";
import { phReasons } from "./phEvidence";
import type { VerdictReason } from "./reasons";
import { judgeAcid } from "./rule/acid";
import { judgeBloom } from "./rule/bloom";
import { looksOf } from "./rule/looks";
import { judgeSigns } from "./rule/signs";
import { soundnessOf } from "./rule/soundness";
import { isUsable } from "./verdictState";

/** What hardly moves in the cold is told so only where hardly a place that it may stand in is warmer. */
const SURE = 0.8;
/** Where nobody said or read where it stands, nearly all of them must be cold; else it is asked where it stands. */
const SURE_UNSAID = 0.93;
const PLACED_K = 3;
/** Where the liquid is known this well, K, as likely as not will do for a bloom that does not come. */
const KNOWN_K = 2;
const LIKELY = 0.55;
const LEAST_AGE_H = 12;
/** Further off than so many times the days that growers give it. */
const FAR_TIMES = 2.5;
/** From this chance on a window is taken to be open, or to have been. */
const OPEN = 0.25;
/** A pH that fell by so much, or came so near its target, says that a ferment moves; more than a meter errs. */
const MOVED_PH = { fell: 0.4, near: 0.3 } as const;
/** After one bad look it is smelt again in so many hours. */
const SMELL_AGAIN_H = { bloom: 2, acid: 6, days: 6, fresh: 1 } as const;

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
  if (latestSign?.says === "warns")
    return {
      state: "near",
      reasons,
      next: { act: "smell", hour: Math.max(nowH, readyH, latestSign.sign.hour + SMELL_AGAIN_H.fresh) },
    };
  if (nowH < readyH || latestSign?.says === "not-yet")
    return { state: "near", reasons, next: { act: "look", hour: Math.max(nowH, readyH) } };
  return { state: "ready", reasons, next: { act: "use-now", hour: nowH } };
}

/** Whether anything that was seen or read says that a batch is on its way, whatever its warmth is taken to be. */
function isMoving({ input }: Evidence): boolean {
  const { recipe, log, forecast } = input;
  const looks = looksOf(recipe, log).filter(({ hour }) => hour >= forecast.stageFromH);
  const shows = looks.slice(-3).some(({ signs }) => signs.some(({ says }) => says === "ready" || says === "past"));
  const phs = looks.flatMap(({ ph }) => ph.map(({ value }) => value));
  const fell = phs.length >= 2 && phs[0]! - phs.at(-1)! > MOVED_PH.fell;
  const target = phTarget(recipe);
  return shows || fell || (target !== null && phs.some((value) => value <= target + MOVED_PH.near));
}

/** A brew that hardly moves, is too hot, or will not bloom as it stands; only where its warmth is as good as known, and nothing says that it moves. */
function standingStill(evidence: Evidence): Judged | null {
  const { input } = evidence;
  const { forecast, nowH, recipe } = input;
  const { codes, chanceNever, chanceCold } = forecast.stuck;
  if (recipe.readiness.type === "fresh" || nowH < LEAST_AGE_H || isMoving(evidence)) return null;
  if (forecast.probabilityReady >= OPEN || forecast.probabilityPast >= OPEN) return null;
  const tooHot = codes.includes("too_hot_now") || codes.includes("overheated");
  // What comes in some weeks all the same is slow, not stuck.
  const opensH = forecast.window.start.p50;
  const isFar = opensH === null || opensH - nowH > FAR_TIMES * recipe.readiness.model.daysRuleH;
  const cold = chanceCold > (forecast.liquidSdC < PLACED_K ? SURE : SURE_UNSAID) && isFar && !tooHot;
  const noBloom = codes.includes("cold_no_bloom") && chanceNever > (forecast.liquidSdC < KNOWN_K ? LIKELY : SURE);
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
    next: { act: tooHot ? "cool" : "warm", hour: nowH },
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
      return judgeSigns(evidence);
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
 * One verdict with its reasons. The book's rule decides, and a second look bears every sign out; the forecast says when to look and how
 * sure it is. Signs of rot come first; then cold that is as good as known; then the method's own rule: hours and smell for a bloom, pH and
 * smell for an acid ferment, days and signs for the others. Days alone never make it ready where signs decide, nor does pH alone.
 */
export function judge(input: JudgeInput): Verdict {
  const sound = soundnessOf(input.recipe, looksOf(input.recipe, input.log));
  if (sound.level) {
    const isGone = sound.level === "discard";
    return {
      state: "spoiled",
      reasons: sound.reasons,
      next: isGone
        ? { act: "compost", hour: input.nowH }
        : {
            act: sound.reasons.some((reason) => reason.code === "hold" && reason.by === "eyes") ? "look" : "smell",
            hour: Math.max(input.nowH, lastLookH(input) + SMELL_AGAIN_H[judgedBy(input.recipe)]),
          },
      spoilt: sound.level,
    };
  }
  const evidence = weighSigns(input);
  const verdict = withWhatIsUndone(input, standingStill(evidence) ?? byRule(evidence));
  const reasons = warningFirst(verdict.reasons);
  return {
    ...verdict,
    reasons: [...reasons, ...sound.reasons, ...asides(input, evidence, verdict.state, reasons)],
    spoilt: null,
  };
}

/** A smell that warns is why it is not ready: it stands first, and no sign is missed beside it. */
function warningFirst(reasons: readonly VerdictReason[]): readonly VerdictReason[] {
  const warns = (reason: VerdictReason) => reason.code === "sign" && reason.says === "warns";
  if (!reasons.some(warns)) return reasons;
  return [
    ...reasons.filter(warns),
    ...reasons.filter((reason) => !warns(reason) && reason.code !== "sign-missing" && reason.code !== "second-look"),
  ];
}

const lastLookH = ({ log }: JudgeInput): number =>
  log.reduce(
    (latest, item) => (item.kind === "smell" || item.kind === "film" ? Math.max(latest, item.hour) : latest),
    0,
  );
