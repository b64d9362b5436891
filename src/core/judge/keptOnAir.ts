import type { Recipe } from "../book/recipe";
import { actsOf, type LogItem } from "./log";

/** A brew that is ready is kept on its air for one night at most: after that its food has run out. */
export const KEPT_MOST_H = 12;
/** While it is held it is smelt and judged anew so often. */
export const KEPT_LOOK_EVERY_H = 6;

/** From when a ready brew is kept on its air, and until when at most, hours of the batch. */
export interface KeptOnAir {
  readonly fromH: number;
  readonly untilH: number;
}

/**
 * The night on air that a batch is given; null where it is not. The first word counts: saying it again does not make the night longer.
 * @param closesH when its window is expected to close; it ends no later
 */
export function keptOnAir(recipe: Recipe, log: readonly LogItem[], closesH: number | null): KeptOnAir | null {
  if (!recipe.aerated) return null;
  const held = actsOf(log).find(({ act }) => act === "kept-on-air");
  if (!held) return null;
  return { fromH: held.hour, untilH: Math.min(held.hour + KEPT_MOST_H, Math.max(held.hour, closesH ?? Infinity)) };
}
