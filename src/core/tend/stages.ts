import type { Recipe } from "../book/recipe";
import type { Stage } from "../book/types";
import { leadTime } from "../choose/leadTime";
import { actsOf, signsOf, type LogItem } from "../judge/log";
import { sealedAtH } from "./programme";

/** How it is known that a stage began: seen or done and logged, reckoned by the warmth, or waited for past its hour. */
export type StageBasis = "seen" | "reckoned" | "awaited";

export interface StageSpan {
  readonly stage: Stage;
  /** Hour of the batch at which it began or is likely to. */
  readonly fromH: number;
  readonly untilH: number | null;
  readonly basis: StageBasis;
}

/** What the book says of days is said for a comfortable place; cold draws it out, within reason. */
const STRETCH = { least: 0.5, most: 4 } as const;

function stretchOf(recipe: Recipe, opensH: number | null): number {
  const usualH = leadTime(recipe, (recipe.comfortC.low + recipe.comfortC.high) / 2).likelyH;
  if (opensH === null || usualH === null || usualH <= 0) return 1;
  return Math.min(STRETCH.most, Math.max(STRETCH.least, opensH / usualH));
}

/** Hour at which what begins a stage was first logged; null where it was not. */
function begunAtH({ begins }: Stage, log: readonly LogItem[]): number | null {
  if (!begins) return null;
  const hours = [
    ...signsOf(log)
      .filter(({ kind, word }) => begins.signs?.some(([of, words]) => of === kind && words.includes(word)))
      .map(({ hour }) => hour),
    ...actsOf(log)
      .filter(({ act }) => act === begins.act)
      .map(({ hour }) => hour),
  ];
  return hours.length > 0 ? Math.min(...hours) : null;
}

/**
 * A batch's stages by what was seen and done, not by the calendar: a stage that shows itself begins when that is logged, and until then is
 * waited for; one that nobody can see is reckoned by the warmth.
 * @param opensH hour at which the batch is likely to open; null where it is unknown
 */
export function stageSpans(recipe: Recipe, log: readonly LogItem[], nowH: number, opensH: number | null): StageSpan[] {
  const stretch = stretchOf(recipe, opensH);
  const starts = recipe.stages.map((stage, index): { fromH: number; basis: StageBasis } => {
    if (index === 0) return { fromH: 0, basis: "seen" };
    const closes = stage.lid === "airlock" && recipe.stages[index - 1]!.lid !== "airlock";
    const begunH = closes ? sealedAtH(log) : begunAtH(stage, log);
    if (begunH !== null) return { fromH: begunH, basis: "seen" };
    const reckonedH = stage.fromD * 24 * (stage.begins?.act ? 1 : stretch);
    return (closes || stage.begins) && reckonedH <= nowH
      ? { fromH: nowH, basis: "awaited" }
      : { fromH: reckonedH, basis: "reckoned" };
  });
  return recipe.stages.map((stage, index) => ({
    stage,
    ...starts[index]!,
    untilH: starts[index + 1]?.fromH ?? null,
  }));
}

/** Which of the spans runs: the last that has begun. */
export const runningStageAt = (spans: readonly StageSpan[], nowH: number): number =>
  spans.findLastIndex(({ fromH, basis }) => fromH <= nowH && basis !== "awaited");
