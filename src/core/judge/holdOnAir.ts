import type { Recipe } from "../book/recipe";
import { actsOf, type LogItem } from "./log";

/** A brew that is ready is held on its air for one night at most: after that its food has run out. */
export const HOLD_MOST_H = 12;
/** While it is held it is smelt and judged anew so often. */
export const HOLD_LOOK_EVERY_H = 6;

/** From when a ready brew is held on its air, and until when at most, hours of the batch. */
export interface HoldOnAir {
  readonly fromH: number;
  readonly untilH: number;
}

/**
 * The hold a batch stands in; null where it is not held. The first word counts: saying it again does not make the night longer.
 * @param closesH when its window is expected to close; a hold ends no later
 */
export function holdOnAir(recipe: Recipe, log: readonly LogItem[], closesH: number | null): HoldOnAir | null {
  if (!recipe.aerated) return null;
  const held = actsOf(log).find(({ act }) => act === "held-on-air");
  if (!held) return null;
  return { fromH: held.hour, untilH: Math.min(held.hour + HOLD_MOST_H, Math.max(held.hour, closesH ?? Infinity)) };
}
