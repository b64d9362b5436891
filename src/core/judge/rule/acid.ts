import { minimumAgeD } from "../../book/recipe";
import { isNear, readyWords, signReason, warmthReason, type Evidence } from "../evidence";
import type { PhItem } from "../log";
import { canBeSoured, phReasons } from "../phEvidence";
import type { VerdictReason } from "../reasons";
import type { Judged } from "../judged";
import { BORNE_OUT_SHARE, contextOf, inARowFromH, judged, readyInARow, signsByLook, type RuleContext } from "./context";
import { hasSmell, lastSmeltH } from "./looks";

/** A strip's steps are coarse: one reading of it says no more than that it is about there. */
const STRIP_CLEAR = 0.4;
/** One reading of a meter so far below the target needs no second. */
const METER_CLEAR = 0.15;
/** Readings so far above the others of a ferment that has soured are the instrument's. */
const OFF_PH = 0.5;
/** A meter out of true may read so much too high; a ferment that rests there, and smells sour look after look, is as sour as it gets. */
const NEAR_PH = 0.35;
const REST = { overH: 36, fallPerDay: 0.03 } as const;
/** Without a pH so many sour looks in a row stand for it. */
const SOUR_LOOKS = 3;
const SOUR_LOOKS_UNSURE = 5;
const OPEN = 0.5;
/** It keeps for weeks, so a few days' wait cost nothing: where its hours say that it is early, one look more is waited for. */
const LIKELY = 0.8;
const LOW_LOOKS_UNSURE = 3;
const CLOSED = 0.6;
/** A pH that still stands so far above its target after two weeks in the warm is stuck; the warmth known to so many K, the reading of the last week. */
const STUCK = {
  aboveTarget: 0.5,
  afterH: 14 * 24,
  warmerThanC: 18,
  apartH: 36,
  fallPerDay: 0.04,
  holdsH: 7 * 24,
  knownK: 3,
} as const;
/** Of many readings, over days, their mean so far above. */
const RESTS_HIGH = { readings: 4, withinH: 12 * 24, overH: 5 * 24, aboveTarget: 0.4 } as const;
/** A liquid so unsure is not known, K. */
const UNKNOWN_K = 3;
/** When a reading or a smell is asked for again, h: soon where it bears one out, else every other day; less often the older it is. */
const AGAIN = { readH: 20, smellH: 20, share: 0.05 } as const;
const LEAST_PH_READ_H = 96;
const EVERY = { readH: 48, share: 0.1 } as const;
const NO_STRIP_H = 48;

/** What the readings say together: sour enough, not yet, at odds with each other, or nothing. */
interface Sourness {
  readonly isSour: boolean;
  /** The last one so far below the target that no meter in use errs by as much. */
  readonly isClear: boolean;
  /** One reading that says so, and no second yet. */
  readonly isHalf: boolean;
  readonly lowLooks: number;
  /** Hour of the first of them. */
  readonly lowFromH: number | null;
  /** It has come to rest a little above the target, by no more than a meter out of true may read too high. */
  readonly restsNear: boolean;
  /** Readings that rose after it had soured: a meter that drifts, stands dry, or was read in the wrong place. */
  readonly rose: { readonly one: number; readonly other: number } | null;
  readonly last: PhItem | null;
}

function sournessOf(looks: RuleContext["looks"], target: number): Sourness {
  const all = looks.flatMap(({ ph, hour }) => ph.filter(canBeSoured).map((reading) => ({ reading, look: hour })));
  const last = all.at(-1)?.reading ?? null;
  const isLow = ({ value }: PhItem) => value <= target;
  const isFarBelow = ({ value, instrument }: PhItem) =>
    value <= target - (instrument === "strip" ? STRIP_CLEAR : METER_CLEAR);
  const low = all.filter(({ reading }) => isLow(reading));
  const lowLooks = new Set(low.map(({ look }) => look)).size;
  // The last few readings decide, by their middle: one slip turns nothing round.
  const recent = all
    .slice(-3)
    .map(({ reading }) => reading.value)
    .toSorted((a, b) => a - b);
  const middle = recent[Math.floor((recent.length - 1) / 2)] ?? Infinity;
  const firstLowH = low[0]?.look ?? Infinity;
  const highAfter = all.filter(({ reading, look }) => look > firstLowH && reading.value > target + OFF_PH).at(-1);
  const rose = highAfter && lowLooks >= 1 ? { one: low[0]!.reading.value, other: highAfter.reading.value } : null;
  const isClear = last !== null && isFarBelow(last);
  const isSour = (lowLooks >= 2 && (middle <= target || rose !== null)) || (lowLooks >= 1 && isClear);
  // A sour drum's pH never rises: of several readings the lowest that another bears out is the batch's, the rest is the meter's.
  const falling = all.map(({ reading }) => reading.value).toSorted((a, b) => a - b);
  const borneOut = falling.find((value, index) => (falling[index + 1] ?? Infinity) - value <= NEAR_PH);
  const earlier = all.findLast(({ look }) => last !== null && last.hour - look >= REST.overH)?.reading;
  const restsNear =
    !isSour &&
    borneOut !== undefined &&
    borneOut <= target + NEAR_PH &&
    earlier !== undefined &&
    ((earlier.value - last!.value) / (last!.hour - earlier.hour)) * 24 < REST.fallPerDay;
  const lowFromH = lowLooks > 0 ? firstLowH : null;
  return { isSour, isClear, isHalf: !isSour && low.length > 0, lowLooks, lowFromH, restsNear, rose, last };
}

interface StuckAt {
  readonly ph: number;
  readonly hour: number;
}

/** A pH that stands high in the warm: two readings days apart where it does not smell sour, or many that do not fall, one slip among them forgiven. */
function stuckAt({ input, looks, nowH }: RuleContext, target: number, sourLooks: number): StuckAt | null {
  const { forecast } = input;
  const all = looks.flatMap(({ ph }) => ph.filter(canBeSoured));
  const last = all.at(-1);
  if (!last || nowH - last.hour > STUCK.holdsH) return null;
  if (last.hour - forecast.stageFromH < STUCK.afterH) return null;
  if (forecast.meanLiquidC24h <= STUCK.warmerThanC || forecast.liquidSdC > STUCK.knownK) return null;
  const stuck = (sourLooks === 0 && standsHigh(all, last, target)) || (sourLooks <= 1 && restsHigh(all, last, target));
  return stuck ? { ph: last.value, hour: last.hour } : null;
}

function standsHigh(all: readonly PhItem[], last: PhItem, target: number): boolean {
  const highFrom = target + STUCK.aboveTarget;
  if (all.some(({ value }) => value <= target)) return false;
  const before = all.findLast(({ hour }) => last.hour - hour >= STUCK.apartH);
  if (!before || before.value <= highFrom || last.value <= highFrom) return false;
  return ((before.value - last.value) / (last.hour - before.hour)) * 24 < STUCK.fallPerDay;
}

function restsHigh(all: readonly PhItem[], last: PhItem, target: number): boolean {
  const late = all.filter(({ hour }) => last.hour - hour <= RESTS_HIGH.withinH);
  const spanH = last.hour - (late[0]?.hour ?? last.hour);
  if (late.length < RESTS_HIGH.readings || spanH < RESTS_HIGH.overH) return false;
  if (all.filter(({ value }) => value <= target).length > 1) return false;
  const meanOf = (items: readonly PhItem[]) => items.reduce((sum, { value }) => sum + value, 0) / items.length;
  const half = late.length >> 1;
  const fell = meanOf(late.slice(0, half)) - meanOf(late.slice(half));
  return meanOf(late) > target + RESTS_HIGH.aboveTarget && (fell / (spanH / 2)) * 24 < STUCK.fallPerDay;
}

/** What an acid ferment shows, all that its rule asks of it. */
function acidCase(evidence: Evidence, target: number) {
  const { input } = evidence;
  const context = contextOf(input);
  const { nowH, recipe, looks } = context;
  const smells = signsByLook(looks, ["smell", "film", "liquid"]);
  const sourLooks = readyInARow(signsByLook(looks, ["smell"]));
  const hasOtherCue = recipe.cues.some(({ kind, says }) => kind !== "smell" && says === "ready");
  const sourness = sournessOf(looks, target);
  const { isSour, lowFromH, rose } = sourness;
  const apartH = BORNE_OUT_SHARE * nowH;
  const sourFromH = inARowFromH(looks, (look) =>
    hasSmell(look) ? look.signs.some(({ sign, says }) => sign.kind === "smell" && says === "ready") : null,
  );
  const reasons: VerdictReason[] = [
    ...(rose ? [{ code: isSour ? "ph-rose" : "ph-at-odds", ...rose } as const] : phReasons(input, target)),
    ...signReason(evidence),
    warmthReason(input),
  ];
  const youngD = minimumAgeD(recipe);
  return {
    ...context,
    ...sourness,
    evidence,
    context,
    target,
    reasons,
    sourLooks,
    ready: Math.max(sourLooks, hasOtherCue ? readyInARow(smells) : 0),
    sourFromH,
    isSourLong: sourFromH !== null && nowH - sourFromH >= apartH,
    isLowLong: lowFromH !== null && nowH - lowFromH >= apartH,
    apartH,
    readAgainH: Math.max(AGAIN.readH, AGAIN.share * nowH),
    everyH: Math.max(EVERY.readH, EVERY.share * nowH),
    youngD,
    youngH: youngD * 24,
  };
}
type AcidCase = ReturnType<typeof acidCase>;

/** Long enough, and borne out: to be strained, or past. */
function strainIfBorneOut(it: AcidCase): Judged | null {
  const { isSour, isHalf, isClear, isLowLong, isSourLong, lowLooks, restsNear, last, ready, opened, nowH } = it;
  const isLikely = opened >= LIKELY;
  const bySmell = last === null && isSourLong && ready >= (isLikely ? SOUR_LOOKS : SOUR_LOOKS_UNSURE);
  const byRest = restsNear && isSourLong && ready >= SOUR_LOOKS;
  const byPh = isSour && ready > 0 && (isLowLong || isClear) && (isLikely || lowLooks >= LOW_LOOKS_UNSURE);
  const byHalf = isHalf && isLowLong && ready >= SOUR_LOOKS;
  if (!byPh && !byHalf && !bySmell && !byRest) return null;
  const isPast = it.input.forecast.probabilityPast > CLOSED;
  return judged(
    isPast ? "past" : "ready",
    [
      ...(bySmell ? [{ code: "by-nose-alone" } as const] : []),
      ...(byRest ? [{ code: "ph-rests-near", ph: last!.value, target: it.target } as const] : []),
      ...it.reasons,
    ],
    "strain",
    nowH,
  );
}

/** What one look more would settle, where some of it is there. */
function settleByALook(it: AcidCase): Judged | null {
  const { isSour, isHalf, ready, last, lowFromH, apartH, nowH, input, reasons } = it;
  const readAgain = (afterH: number) =>
    judged(
      "near",
      [{ code: "second-look", what: "ph" }, ...reasons],
      "repeat-ph",
      Math.max(nowH, last!.hour + afterH, lowFromH! + apartH),
    );
  if (isSour && ready > 0) return readAgain(it.everyH);
  if (isSour)
    return judged(
      "near",
      [{ code: "sign-missing", words: readyWords(input) }, ...reasons],
      "smell",
      Math.max(nowH, againAfter(it.context)),
    );
  return isHalf ? readAgain(it.readAgainH) : null;
}

/** Nothing to be strained yet: what is asked next, and when. */
function waitOn(it: AcidCase): Judged {
  const { input, last, nowH, youngH, opened, sourFromH, apartH } = it;
  const { forecast } = input;
  const missing: VerdictReason[] = last ? [] : [{ code: "ph-missing" }];
  const { p10, p50 } = forecast.window.start;
  const middleH = p50 ?? forecast.nextCheckH;
  // Where nobody knows how warm it stands it is not left alone until its likely hour.
  const likelyH = forecast.liquidSdC > UNKNOWN_K && p10 !== null ? (p10 + middleH) / 2 : middleH;
  const isClose = isNear(input) || forecast.probabilityReady >= OPEN;
  // Nobody who reads no pH for days past its time has a strip: then the nose has to do.
  const act = last === null && nowH > youngH + NO_STRIP_H ? "smell" : "read-ph";
  const lookedAtH = last ? last.hour + (opened >= OPEN ? it.readAgainH : it.everyH) : LEAST_PH_READ_H;
  const hour =
    act === "smell"
      ? Math.max(nowH, againAfter(it.context), sourFromH === null ? 0 : sourFromH + apartH / 2)
      : Math.max(nowH, youngH, likelyH, lookedAtH);
  return judged(isClose ? "near" : "early", [...missing, ...it.reasons], act, hour);
}

/** The rule of acid ferments: least days, a pH that a second look bears out, a sour clean smell. */
export function judgeAcid(evidence: Evidence, target: number): Judged {
  const it = acidCase(evidence, target);
  const { nowH, reasons, youngD, youngH } = it;
  const stuck = stuckAt(it.context, target, it.sourLooks);
  if (stuck) {
    const { meanLiquidC24h: meanC } = it.input.forecast;
    const others = reasons.filter(({ code }) => code !== "warmth");
    return judged("stuck", [{ code: "ph-stuck", ph: stuck.ph, days: stuck.hour / 24, meanC }, ...others], "feed", nowH);
  }
  if (nowH < youngH)
    return it.isSour || it.isHalf
      ? judged(
          "near",
          [{ code: "too-young", days: nowH / 24, minimumDays: youngD, byPh: true }, ...reasons],
          "repeat-ph",
          youngH,
        )
      : waitOn(it);
  // Two readings of the same hours that can't both be right are read a third time before either is believed.
  if (evidence.phAtOdds && it.lowLooks < 2)
    return judged("near", [evidence.phAtOdds, ...reasons.filter(({ code }) => code !== "ph")], "repeat-ph", nowH);
  return strainIfBorneOut(it) ?? settleByALook(it) ?? waitOn(it);
}

/** When a smell is asked for again after the last one. */
function againAfter({ looks, nowH }: RuleContext): number {
  const smeltH = lastSmeltH(looks);
  return smeltH === null ? 0 : smeltH + Math.max(AGAIN.smellH, AGAIN.share * nowH);
}
