import { isNear, readyWords, signReason, warmthReason, type Evidence } from "../evidence";
import { latestAirOff, longestAirGap, type VerdictReason } from "../reasons";
import type { Judged, NextAct } from "../judged";
import type { VerdictState } from "../verdictState";
import { contextOf, judged, readyInARow, signsByLook } from "./context";
import { lastSmeltH } from "./looks";

/** A look at a bloom stands for so long, h. */
const HOLDS_H = 8;
/**
 * From this chance on that it has opened one good look is believed, and two in a row from the other. A window that stays open for as long as it
 * took to open can wait a few hours for certainty; a short one can't.
 */
const OPENED = { long: { one: 0.7, two: 0.35 }, short: { one: 0.2, two: 0.05 } } as const;
const LONG = 0.5;
const HEADS_SURE = 2;
const SMELT_SURE = 3;
/** Signs that it is past are believed from this chance on; without any it is past when that is nearly sure. */
const CLOSED = { bySign: 0.05, bySignAlone: 0.3, alone: 0.8, unseen: 0.93, closing: 0.3 } as const;
const PEAK_SPAN_H = 3;
/** A look is asked for again after so long at the least and the most, h; nobody is sent away for longer than a day. */
const LOOK_AGAIN_H = 2;
const LOOK_EVERY_MOST_H = 8;
const AWAY_MOST_H = 24;
/** A window shorter than this is watched from before its likely hour, h. */
const SHORT_H = 16;

/** The rule of blooms: the head of foam where it makes its own, the nose where air is blown in, and its hours. */
export function judgeBloom(evidence: Evidence): Judged {
  const { input } = evidence;
  const { looks, nowH, recipe, opened } = contextOf(input);
  const { forecast } = input;
  const { aerated, keeping } = recipe;
  const look: NextAct = aerated ? "smell" : "look";
  const limits = keeping.afterH;
  const airOffH = aerated ? latestAirOff(input.log) : null;
  const gap = aerated ? longestAirGap(input.log) : null;
  // A cut that is over is not forgotten: what it left out stays so, and a long one wants a nose before anything else.
  const wasOff = gap !== null && limits !== null && gap.hours > limits.leaves ? gap : null;
  const airReason: VerdictReason[] =
    airOffH === null || limits === null
      ? wasOff
        ? [{ code: "air-was-off", hours: wasOff.hours, untilH: wasOff.untilH, soilH: limits!.soil }]
        : []
      : [{ code: "air-off", sinceH: nowH - airOffH, leavesH: limits.leaves, soilH: limits.soil }];
  const reasons: VerdictReason[] = [...airReason, ...signReason(evidence), warmthReason(input)];
  const at = (state: VerdictState, act: NextAct, hour: number, first: readonly VerdictReason[] = []) =>
    judged(state, [...first, ...reasons], act, hour);
  if (airOffH !== null && limits !== null && nowH - airOffH > limits.soil) return at("past", "compost", nowH);
  const over = lastingOver(evidence);
  if (over) return at("past", "compost", nowH, [over]);
  const recent = looks.filter(({ hour }) => nowH - hour <= HOLDS_H);
  const kinds = [...new Set(recipe.cues.filter(({ says }) => says === "ready").map(({ kind }) => kind))];
  const lists = signsByLook(recent, kinds);
  const inARow = readyInARow(lists);
  const last = lists.at(-1) ?? [];
  const saysPast = recent.flatMap(({ signs }) => signs).filter(({ says }) => says === "past");
  const closed: VerdictReason = { code: "window-closed", hour: forecast.window.end.p50 };
  // Once a good look was had, a bad one is its end; a single "collapsing" of what never headed up is a slip as likely as not.
  const wasOpen = looks.some(({ signs }) =>
    signs.some(({ sign, says }) => says === "ready" && kinds.includes(sign.kind)),
  );
  const isPastBySign =
    saysPast.length > 0 &&
    inARow === 0 &&
    (saysPast.length >= 2 ||
      (wasOpen && forecast.probabilityPast > CLOSED.bySign) ||
      forecast.probabilityPast > CLOSED.bySignAlone);
  const needsPast = inARow > 0 || lists.length === 0 ? CLOSED.unseen : CLOSED.alone;
  if (isPastBySign || forecast.probabilityPast > needsPast) return at("past", "compost", nowH, [closed]);
  const smeltSince = wasOff !== null && (lastSmeltH(looks) ?? -Infinity) >= wasOff.untilH;
  // After a long cut it is smelt before anything else, however early it is.
  if (wasOff && wasOff.hours > limits!.soil && !smeltSince) return at(isNear(input) ? "near" : "early", "smell", nowH);
  const { start, peak, end } = forecast.window;
  const openShare = start.p50 !== null && end.p50 !== null ? (end.p50 - start.p50) / Math.max(1, start.p50) : 1;
  const isLong = openShare > LONG;
  const believed = isLong ? OPENED.long : OPENED.short;
  // Where it makes its own foam a head seen twice is a head, whatever was forecast; a nose is asked a third time.
  const isSeen = inARow >= (aerated ? SMELT_SURE : HEADS_SURE);
  if ((inARow >= 1 && opened >= believed.one) || (inARow >= 2 && opened >= believed.two) || isSeen) {
    const isPeak = peak.p50 !== null && Math.abs(peak.p50 - nowH) <= PEAK_SPAN_H;
    const closes: VerdictReason[] =
      forecast.probabilityPast > CLOSED.closing ? [{ code: "closing", hour: end.p50 }] : [];
    return at(isPeak ? "peak" : "ready", "use-now", nowH, closes);
  }
  const lastLookH = recent.at(-1)?.hour ?? -Infinity;
  if (inARow >= 1)
    return at(
      "near",
      look,
      Math.max(nowH, lastLookH + LOOK_AGAIN_H, isLong ? Math.min(start.p50 ?? nowH, lastLookH + HOLDS_H) : 0),
      [{ code: "second-look", what: look }],
    );
  if (saysPast.length > 0 && inARow === 0)
    return at("near", look, Math.max(nowH, lastLookH + LOOK_AGAIN_H / 2), [{ code: "second-look", what: look }]);
  const nextH = nextLookH(evidence, opened, lastLookH);
  if (opened >= believed.one)
    return at("near", look, nextH, last.length > 0 ? [] : [{ code: "sign-missing", words: readyWords(input) }]);
  return at(isNear(input) ? "near" : "early", look, nextH);
}

/**
 * What lasts only so long from when it was ready is over after that, whatever it smells of then. It was ready at its first good look after
 * it had likely opened, or at the first of two in a row.
 */
function lastingOver({ input }: Evidence): VerdictReason | null {
  const { recipe, looks, nowH } = contextOf(input);
  const lastsH = recipe.keeping.from === "ready" ? recipe.keeping.afterH?.hardEnd : undefined;
  if (lastsH === undefined) return null;
  const opensH = input.forecast.window.start.p50 ?? Infinity;
  const good = looks.map(({ signs }) => signs.length > 0 && signs.every(({ says }) => says === "ready"));
  const first = looks.findIndex(({ hour }, index) => good[index] && (hour >= opensH || good[index + 1] === true));
  const readyH = looks[first]?.hour;
  if (readyH === undefined || nowH - readyH <= lastsH) return null;
  return { code: "half-day-over", readyH, lastsH };
}

/** Not before it may well have opened; then every few hours, as fast as its window would pass. */
function nextLookH({ input }: Evidence, opened: number, lastLookH: number): number {
  const { forecast, nowH } = input;
  const { start, end } = forecast.window;
  const openFor = start.p50 !== null && end.p50 !== null ? end.p50 - start.p50 : AWAY_MOST_H;
  const everyH = Math.max(LOOK_AGAIN_H, Math.min(LOOK_EVERY_MOST_H, openFor / 3));
  if (opened >= OPENED.long.one) return Math.max(nowH, lastLookH + everyH);
  const middle = start.p50 ?? forecast.nextCheckH;
  const early = start.p10 ?? middle;
  // A short window is watched from half-way between its early and its likely hour, a long one from its likely hour.
  const fromH = openFor < SHORT_H ? (early + middle) / 2 : middle;
  return Math.max(nowH, lastLookH + everyH, Math.min(fromH, nowH + AWAY_MOST_H));
}
