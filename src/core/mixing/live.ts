import { INGREDIENT_FACTS } from "../book/ingredientFacts";
import { isPickedFresh, type IngredientId } from "../book/ingredients";

/** Alive without being sold as a culture: they carry what ferments. */
const CARRIES_LIFE: readonly IngredientId[] = [
  "rice-wash",
  "whey",
  "leachate",
  "dung-aged",
  "manure-aged",
  "fruit-waste",
  "seaweed-fresh",
];

/** Whether an ingredient brings life into the drum; the last such one starts the clock. */
export const isLive = (id: IngredientId): boolean =>
  INGREDIENT_FACTS[id].living || CARRIES_LIFE.includes(id) || isPickedFresh(id);

/**
 * Which of the lines, in the order they went in, starts the clock: the last living one, or the last of all where nothing lives.
 * @returns its place in the list; −1 for no lines
 */
export function startsClock(order: readonly IngredientId[]): number {
  const live = order.findLastIndex(isLive);
  return live >= 0 ? live : order.length - 1;
}
