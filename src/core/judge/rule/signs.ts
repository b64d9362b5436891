import { minimumAgeD, type Recipe } from "../../book/recipe";
import type { SignKind } from "../../book/words";
import { isNear, readyWords, signReason, warmthReason, type Evidence } from "../evidence";
import type { VerdictReason } from "../reasons";
import type { Judged } from "../judged";
import { BORNE_OUT_SHARE, contextOf, judged, type RuleContext } from "./context";
import { lastSmeltH, type ReadSign } from "./looks";
import { restsInCold, shellReason, stillFloats } from "./shellAndChar";

/** Marks of readiness, of different kinds or at two looks: two where it has likely opened, three where it may have, five against its hours. */
const MARKS = 2;
const MARKS_UNSURE = 3;
const MARKS_EARLY = 5;
/** What keeps for weeks can wait until it is likely open; a juice or a dung ferment is past in days. */
const OPENED = { short: { likely: 0.55, maybe: 0.35 }, long: { likely: 0.8, maybe: 0.5 } } as const;
/** A window that stays open for less than so many times what it took to open is a short one. */
const SHORT = 2;
/** Before it is used somebody must have smelt it so lately, h. */
const SMELT_WITHIN_H = 48;
/** Signs of a soak hold for as long as it takes to change; of a juice some days. */
const HOLDS_H = { drawn: 72, shell: 240, soak: 480, char: 480, bed: 120, other: 72 } as const;
const CLOSED = { bySign: 0.1, alone: 0.6 } as const;
const PEAK_SPAN_H = 12;
/** Where it has opened as good as surely, signs of one day are enough. */
const NEARLY_SURE = 0.95;
/** A juice is borne out sooner, and not at all in its last day; looked at again after so long, h. */
const SHORT_WINDOW = { share: 0.05, closingH: 24, againH: 12 } as const;
const LOOK_AGAIN = { leastH: 20, share: 0.08 } as const;
/** Nobody is sent away for longer, h. */
const LOOK_AGAIN_MOST_H = 14 * 24;
interface Marks {
  readonly ready: number;
  /** The newest word of each kind that says not yet. */
  readonly against: readonly ReadSign[];
}

/** Marks by kind of sign: how many looks in a row say ready, and what the newest word of each kind says. */
function marksOf(looks: RuleContext["looks"], kinds: readonly SignKind[]): Marks {
  let ready = 0;
  const against: ReadSign[] = [];
  for (const kind of kinds) {
    const signs = looks.flatMap((look) => {
      const of = look.signs.filter(({ sign }) => sign.kind === kind);
      return of.length > 0 ? [of] : [];
    });
    let row = 0;
    for (const of of signs.toReversed()) {
      if (!of.some(({ says }) => says === "ready")) break;
      row += 1;
    }
    ready += row;
    const other = signs.at(-1)?.find(({ says }) => says === "not-yet");
    if (row === 0 && other) against.push(other);
  }
  return { ready, against };
}

/** Hour of the first of the last looks from which on there were marks enough; null where there are not. */
function enoughFromH(
  looks: RuleContext["looks"],
  kinds: readonly SignKind[],
  isEnough: (marks: Marks) => boolean,
): number | null {
  let fromH: number | null = null;
  for (let count = looks.length; count > 0; count -= 1) {
    if (!isEnough(marksOf(looks.slice(0, count), kinds))) break;
    fromH = looks[count - 1]!.hour;
  }
  return fromH;
}

function holdsH({ readiness }: Recipe): number {
  if (readiness.type === "fresh") return HOLDS_H.other;
  const { cls } = readiness.model;
  return cls in HOLDS_H ? HOLDS_H[cls as keyof typeof HOLDS_H] : HOLDS_H.other;
}

/**
 * How long marks enough must have been there, h.
 * @param closesH when a short window closes; null for one that stays open for weeks
 */
function borneOutAfterH(nowH: number, closesH: number | null, opened: number): number {
  if (opened >= NEARLY_SURE || (closesH !== null && closesH - nowH < SHORT_WINDOW.closingH)) return 0;
  return (closesH === null ? BORNE_OUT_SHARE : SHORT_WINDOW.share) * nowH;
}

/** What a batch that goes by days and signs shows, all that its rule asks of it. */
function signCase(evidence: Evidence) {
  const { input } = evidence;
  const context = contextOf(input);
  const { looks, nowH, recipe, opened } = context;
  const { start, end } = input.forecast.window;
  const recent = looks.filter(({ hour }) => nowH - hour <= holdsH(recipe));
  const kinds = [
    ...new Set(recipe.cues.filter(({ says }) => says === "ready" || says === "not-yet").map(({ kind }) => kind)),
  ];
  const shell = shellReason(evidence, recent);
  const cold = restsInCold(evidence, recent, shell);
  const markKinds = cold ? kinds.filter((kind) => kind !== "surface") : kinds;
  const floats = stillFloats(input, recent);
  const reasons: VerdictReason[] = [
    ...(shell ? [shell.reason] : []),
    ...(cold ? [cold] : []),
    ...(floats ? [floats] : []),
    ...signReason(evidence),
    warmthReason(input),
  ];
  const isShort = start.p50 !== null && end.p50 !== null && end.p50 - start.p50 < SHORT * start.p50;
  const chance = isShort ? OPENED.short : OPENED.long;
  const isOpen = opened >= chance.likely;
  const youngD = minimumAgeD(recipe);
  return {
    ...context,
    recent,
    markKinds,
    marks: marksOf(recent, markKinds),
    shellMark: shell?.mark ?? 0,
    cold,
    floats,
    reasons,
    isShort,
    isOpen,
    /** Marks that it takes. */
    needs: isOpen ? MARKS : opened >= chance.maybe ? MARKS_UNSURE : MARKS_EARLY,
    apartH: borneOutAfterH(nowH, isShort ? end.p50! : null, opened),
    youngD,
    youngH: youngD * 24,
    lookAgainH: isShort ? SHORT_WINDOW.againH : Math.max(LOOK_AGAIN.leastH, LOOK_AGAIN.share * nowH),
    lastLookH: recent.at(-1)?.hour ?? -Infinity,
  };
}
type SignCase = ReturnType<typeof signCase>;

function isPast({ recent, marks, input }: SignCase): boolean {
  const { probabilityPast } = input.forecast;
  const pastSigns = recent.flatMap(({ signs }) => signs).filter(({ says }) => says === "past");
  const isPastBySign = pastSigns.length > 0 && marks.ready === 0 && probabilityPast > CLOSED.bySign;
  return isPastBySign || pastSigns.length >= 2 || (probabilityPast > CLOSED.alone && marks.ready === 0);
}

/** Whether marks enough are there, and since when. */
function marksEnough(it: SignCase): { readonly isReady: boolean; readonly readyFromH: number | null } {
  const { recent, markKinds, marks, recipe, shellMark, nowH } = it;
  const isEnough = (of: Marks) => of.ready + shellMark >= it.needs + 2 * of.against.length;
  // Where one sense alone tells, its first look counts from when it was taken.
  const toldBy = new Set(
    recipe.cues.filter(({ kind, says }) => says === "ready" && markKinds.includes(kind)).map(({ kind }) => kind),
  );
  const enoughFrom = toldBy.size > 1 ? isEnough : (of: Marks) => of.ready > 0 && of.against.length === 0;
  const readyFromH = enoughFromH(recent, markKinds, enoughFrom);
  const isBorneOut = readyFromH !== null && nowH - readyFromH >= it.apartH;
  return { isReady: isEnough(marks) && isBorneOut && shellMark >= 0 && !it.floats, readyFromH };
}

/** Marks enough: whether it is old enough, smelt, and at its best. */
function strainIfSmelt({ nowH, youngD, youngH, reasons, looks, recipe, input }: SignCase): Judged {
  if (nowH < youngH)
    return judged(
      "near",
      [{ code: "too-young", days: nowH / 24, minimumDays: youngD, byPh: false }, ...reasons],
      "smell",
      youngH,
    );
  const smeltH = lastSmeltH(looks) ?? -Infinity;
  if (nowH - smeltH > SMELT_WITHIN_H && recipe.cues.some(({ kind }) => kind === "smell"))
    return judged("near", [{ code: "smell-first" }, ...reasons], "smell", nowH);
  const peak = input.forecast.window.peak.p50;
  return judged(peak !== null && Math.abs(peak - nowH) <= PEAK_SPAN_H ? "peak" : "ready", reasons, "strain", nowH);
}

/** Not enough yet: what is asked next, and when. */
function waitOn(it: SignCase, readyFromH: number | null): Judged {
  const { nowH, youngH, marks, reasons, input, isOpen, lastLookH, lookAgainH } = it;
  const { forecast } = input;
  if (it.cold && nowH >= youngH) return judged("near", reasons, "warm", nowH);
  if (it.floats) return judged(nowH >= youngH && isOpen ? "near" : "early", reasons, "stir", nowH);
  const isHalf = marks.ready + it.shellMark > 0 && marks.against.length === 0 && nowH >= youngH;
  if (isHalf)
    return judged(
      "near",
      [{ code: "second-look", what: "look" }, ...reasons],
      "look",
      Math.max(nowH, lastLookH + lookAgainH, (readyFromH ?? 0) + it.apartH),
    );
  if (isOpen && nowH >= youngH)
    return judged(
      "near",
      [...(marks.against.length > 0 ? [] : [{ code: "sign-missing", words: readyWords(input) } as const]), ...reasons],
      "smell",
      Math.max(nowH, lastLookH + 2 * lookAgainH),
    );
  const fromH = Math.max(youngH, forecast.window.start.p50 ?? forecast.nextCheckH);
  return judged(
    isNear(input) ? "near" : "early",
    reasons,
    "smell",
    Math.max(nowH, lastLookH + lookAgainH, Math.min(fromH, nowH + LOOK_AGAIN_MOST_H)),
  );
}

/** The rule of what goes by days and signs: least days, two marks, none against them. */
export function judgeSigns(evidence: Evidence): Judged {
  const it = signCase(evidence);
  if (isPast(it))
    return judged(
      "past",
      [{ code: "window-closed", hour: it.input.forecast.window.end.p50 }, ...it.reasons],
      "strain",
      it.nowH,
    );
  const { isReady, readyFromH } = marksEnough(it);
  return isReady ? strainIfSmelt(it) : waitOn(it, readyFromH);
}
