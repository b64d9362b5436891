import type { Range } from "../book/range";
import type { Recipe } from "../book/recipe";

/**
 * What a batch is likely to give, in its yield's unit: so much to the unit of what it is counted against. Urine is drawn off as the water is,
 * so it counts with it.
 */
export function expectedYield(
  recipe: Pick<Recipe, "yieldPerBasis">,
  basisAmount: number,
  lines: readonly { readonly ingredient: string; readonly amount: number }[],
): Range {
  const urineL = lines.reduce((sum, { ingredient, amount }) => sum + (ingredient === "urine" ? amount : 0), 0);
  const base = basisAmount + urineL;
  const { low, default: usual, high } = recipe.yieldPerBasis;
  return { low: low * base, default: usual * base, high: high * base };
}
