import { findIngredient, type IngredientId } from "../book/ingredients";
import type { Recipe } from "../book/recipe";

/** More salt than growers use: what goes in, and the most that they use, g to a litre of liquid. */
export interface TooSalty {
  readonly gPerL: number;
  readonly mostGPerL: number;
}

/** So much above the most that growers use is a slip of the spoon, not a choice. */
const SLACK = 1.05;
/** Where a recipe has no salt of its own, as much as the thinnest brew that has. */
const ELSEWHERE_G_PER_L = 1;

/**
 * Whether a fill holds more sea salt than growers use for its recipe; null where it does not, or holds none. Sodium stays in the soil, so a
 * tablespoon for a teaspoon matters for years.
 * @param lines what goes in, in stock units
 */
export function tooSalty(
  recipe: Recipe,
  lines: readonly { readonly ingredient: IngredientId; readonly amount: number }[],
): TooSalty | null {
  const saltKg = lines.reduce((sum, { ingredient, amount }) => sum + (ingredient === "sea-salt" ? amount : 0), 0);
  const liquidL = lines.reduce(
    (sum, { ingredient, amount }) => sum + (findIngredient(ingredient).stockUnit === "L" ? amount : 0),
    0,
  );
  if (!(saltKg > 0) || !(liquidL > 0)) return null;
  const own = recipe.ingredients.find(({ ingredient }) => ingredient === "sea-salt")?.amount;
  const mostGPerL = own?.type === "per-basis" ? own.perBasis.high * 1000 : ELSEWHERE_G_PER_L;
  const gPerL = (saltKg * 1000) / liquidL;
  return gPerL > mostGPerL * SLACK ? { gPerL, mostGPerL } : null;
}
