import { findUseRate } from "../book/useRate";
import type { IngredientId } from "../book/ingredients";
import type { Recipe } from "../book/recipe";
import { findUse } from "../book/uses";
import type { ScaledRecipe } from "./scale";

/** A thin top dressing, kg to the square metre: a few millimetres. Judged. */
export const TOP_DRESSING_KG_PER_M2 = 2;

export interface SpreadInstead {
  readonly ingredient: IngredientId;
  readonly amountKg: number;
  /** Land that the tea waters once, and land that the same solid dresses thinly, m². */
  readonly teaM2: number;
  readonly dressedM2: number;
}

/** A bloom's castings or compost spread as they are, beside the tea made of them; null where there is nothing to compare. */
export function spreadInstead(recipe: Recipe, scaled: ScaledRecipe): SpreadInstead | null {
  const solid = scaled.lines.find(({ ingredient }) => ingredient === "castings" || ingredient === "compost");
  const rate = findUseRate(recipe, "drench-growing");
  const mixLPerM2 = rate ? findUse(rate.use).mixLPerM2?.default : undefined;
  if (recipe.family !== "bloom" || !solid || !rate || mixLPerM2 === undefined) return null;
  return {
    ingredient: solid.ingredient,
    amountKg: solid.amount,
    teaM2: (scaled.basisAmount * recipe.yieldPerBasis.default * (1 + rate.partsWater.default)) / mixLPerM2,
    dressedM2: solid.amount / TOP_DRESSING_KG_PER_M2,
  };
}
