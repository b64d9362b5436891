import { findIngredient, type IngredientId } from "../book/ingredients";
import type { Recipe } from "../book/recipe";

export interface ThinStarter {
  readonly ingredient: IngredientId;
  /** Share of the liquid that goes in, and the least that still starts it in good time. */
  readonly share: number;
  readonly leastShare: number;
}

export interface LeastStart {
  readonly ingredient: IngredientId;
  /** In its stock unit. */
  readonly least: number;
}

/** How little of each starter still starts so much liquid in good time: what is scarce or dear goes furthest so. */
export const leastStarts = (recipe: Recipe, liquidL: number): LeastStart[] =>
  recipe.ingredients.flatMap(({ ingredient, leastShare = 0 }) =>
    leastShare > 0 && liquidL > 0 ? [{ ingredient, least: leastShare * liquidL }] : [],
  );

/** Starters that are thinner in the liquid than still works; what is weighed counts a kilogram as a litre. */
export function thinStarters(
  recipe: Recipe,
  lines: readonly { readonly ingredient: IngredientId; readonly slot: IngredientId; readonly amount: number }[],
): ThinStarter[] {
  const liquidL = lines.reduce(
    (sum, { ingredient, amount }) => sum + (findIngredient(ingredient).stockUnit === "L" ? amount : 0),
    0,
  );
  if (!(liquidL > 0)) return [];
  return recipe.ingredients.flatMap(({ ingredient, leastShare = 0 }) => {
    const amount = lines.filter(({ slot }) => slot === ingredient).reduce((sum, line) => sum + line.amount, 0);
    const share = amount / liquidL;
    // An empty line was left out on purpose, or is asked for elsewhere.
    return leastShare > 0 && amount > 0 && share < leastShare * 0.999 ? [{ ingredient, share, leastShare }] : [];
  });
}

/** How far a scarce thing goes at the thinnest that growers go, in what the recipe is counted against; null where nobody goes thinner. */
export function thinnest(recipe: Recipe, by: string, basisAmount: number): number | null {
  const amount = recipe.ingredients.find(({ ingredient }) => ingredient === by)?.amount;
  if (amount?.type !== "per-basis" || !(amount.perBasis.low > 0)) return null;
  const factor = amount.perBasis.default / amount.perBasis.low;
  return factor > 1.001 ? basisAmount * factor : null;
}
