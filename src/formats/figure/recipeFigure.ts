import { findRecipe, METHODS } from "@/core/book";
import { findIngredient } from "@/core/book/ingredients";
import type { Method } from "@/core/book/types";
import { scaleRecipe } from "@/core/recipe/scale";
import { sayQuantity, sayStock, sayVolume } from "../amounts";
import { unreadable, volumeOf, type Figure, type FigureOptions } from "./parts";
import type { ReadAmount } from "./readAmount";

/** Words that say a vessel rather than what is in it. */
const FILLER = /\b(drum|tote|pail|jar|vessel|tank|of|a|the|for)\b/g;
const wordsOf = (text: string) =>
  text
    .toLowerCase()
    .replace(FILLER, " ")
    .split(/[^a-z]+/)
    .filter((word) => word.length > 2);

/** The methods whose names hold every word typed: one, none, or several that are easily taken for each other. */
export function methodsNamed(text: string): Method[] {
  const typed = wordsOf(text);
  if (typed.length === 0) return [];
  return METHODS.filter((method) => {
    const known = wordsOf(`${method.name} ${method.shortName} ${method.id}`);
    return typed.every((word) => known.some((name) => name.startsWith(word) || word.startsWith(name)));
  });
}

/** "200 L cultured extract": what goes into a vessel of that size, by the cautious school. */
export function recipeFigure(left: ReadAmount, method: Method, { units, measures }: FigureOptions): Figure {
  const [vessel] = volumeOf(left.readings, measures);
  if (!vessel) throw unreadable(sayQuantity(left.readings[0]!), "A recipe is scaled to a vessel: give its volume.");
  const recipe = findRecipe(method.id);
  const scaled = scaleRecipe({ recipe, vesselL: vessel.amount.value });
  return {
    answers: scaled.lines.map((line) => ({
      label: `${findIngredient(line.ingredient).name.toLowerCase()}${line.part === "cap" ? ", the cap on top" : ""}`,
      quantity: { value: line.amount, unit: line.unit },
      text: sayStock(line.amount, line.unit, units),
    })),
    working: `${sayQuantity(vessel.quantity)} filled to ${Math.round(recipe.fillShare.default * 100)} %: ${sayVolume(scaled.occupiedL, units)} with what the solids push up`,
    assumed: [`${method.name}, ${recipe.school.name.toLowerCase()}, the cautious school`],
  };
}
