import type { Recipe } from "../book/recipe";
import { judgedBy } from "./evidence";

/** The likeliest hours of a window; null for none in sight. */
export interface Told {
  readonly startH: number | null;
  readonly endH: number | null;
}

/** A grower would plan otherwise for a shift of so many hours, or of such a part of the way that is left. */
const WORTH_TELLING_H = { bloom: 2, acid: 12, days: 12, fresh: 2 } as const;
const WORTH_TELLING_SHARE = 0.1;

function shifted(from: number | null, to: number | null, nowH: number, leastH: number): boolean {
  if (from === null || to === null) return from !== to;
  return Math.abs(to - from) >= Math.max(leastH, WORTH_TELLING_SHARE * (from - nowH));
}

/** Whether a window has moved by so much since it was told that it is told anew. Only a bloom's close is worth an hour's plan. */
export function hasMoved(recipe: Recipe, before: Told, now: Told, nowH: number): boolean {
  const kind = judgedBy(recipe);
  const leastH = WORTH_TELLING_H[kind];
  return (
    shifted(before.startH, now.startH, nowH, leastH) ||
    (kind === "bloom" && shifted(before.endH, now.endH, nowH, leastH))
  );
}
