import { type Recipe, phTarget } from "../book/recipe";
import { countedPh, signsOf, type LogItem } from "./log";

/** What a batch's log says of when it truly became ready: not before one hour, by another. */
export interface Outcome {
  /** null where nobody looked before. */
  readonly notBeforeH: number | null;
  readonly byH: number;
}

function byPh(log: readonly LogItem[], target: number): Outcome | null {
  const readings = countedPh(log);
  const first = readings.findIndex(({ value }) => value <= target);
  if (first === -1) return null;
  const at = readings[first]!;
  return { notBeforeH: readings[first - 1]?.hour ?? null, byH: at.hour };
}

function bySigns(recipe: Recipe, log: readonly LogItem[]): Outcome | null {
  const read = signsOf(log).flatMap(({ hour, kind, word }) => {
    const says = recipe.cues.find((cue) => cue.kind === kind && cue.word === word)?.says;
    return says ? [{ hour, says }] : [];
  });
  const first = read.find(({ says }) => says === "ready" || says === "past");
  if (!first) return null;
  const before = read.findLast(({ hour, says }) => says === "not-yet" && hour < first.hour);
  return { notBeforeH: before?.hour ?? null, byH: first.hour };
}

/**
 * When a finished batch became ready, as far as its log tells: by pH where that decides, else by its signs; at the latest when it was
 * strained for use.
 * @param strainedH hour at which it was strained as ready; null where it was not
 */
export function outcomeOf(recipe: Recipe, log: readonly LogItem[], strainedH: number | null): Outcome | null {
  const target = phTarget(recipe);
  const seen = target === null ? bySigns(recipe, log) : byPh(log, target);
  return seen ?? (strainedH === null ? null : { notBeforeH: null, byH: strainedH });
}

/** How a forecast did: whether what came of it lay in its window, and how far its likeliest hour was off. */
export interface Score {
  readonly verdict: "hit" | "too-early" | "too-late" | "open";
  /** Against the middle of what is known, h; null where that is not bounded. Above 0 it said too late. */
  readonly offH: number | null;
}

/** @param window hours of the batch, null for never within the horizon */
export function scoreOf(
  window: { readonly p10: number | null; readonly p50: number | null; readonly p90: number | null },
  { notBeforeH, byH }: Outcome,
): Score {
  const [p10, p50, p90] = [window.p10 ?? Infinity, window.p50 ?? Infinity, window.p90 ?? Infinity];
  const middleH = notBeforeH === null ? null : (notBeforeH + byH) / 2;
  const offH = middleH === null || !Number.isFinite(p50) ? null : p50 - middleH;
  if (p10 > byH) return { verdict: "too-late", offH };
  if (notBeforeH === null) return { verdict: "open", offH };
  return { verdict: p90 < notBeforeH ? "too-early" : "hit", offH };
}
