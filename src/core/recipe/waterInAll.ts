import { expectedYield } from "./expectedYield";
import { isWater } from "../book/ingredients";
import type { Recipe } from "../book/recipe";
import type { UseRate } from "../book/types";
import type { ScaledRecipe } from "./scale";

/** Litres of water that a batch asks for from first to last. */
export interface WaterInAll {
  readonly brewL: number;
  /** To thin all that it gives, at a use's usual strength. */
  readonly thinL: number;
  readonly rinseL: number;
  readonly totalL: number;
}

/** Rinsing the vessel, the bag and the tools after it, as a share of the fill, and at the least; judged. */
const RINSE_SHARE = 0.05;
const RINSE_LEAST_L = 5;

/** Brewing, thinning and rinsing water of a batch; nothing to thin for what goes on as it is. */
export function waterInAll(recipe: Recipe, scaled: ScaledRecipe, rate: UseRate | null): WaterInAll {
  const brewL = scaled.lines.reduce((sum, { ingredient, amount }) => sum + (isWater(ingredient) ? amount : 0), 0);
  const yieldL = recipe.yieldUnit === "L" ? expectedYield(recipe, scaled.basisAmount, scaled.lines).default : 0;
  const thinL = rate ? yieldL * rate.partsWater.default : 0;
  const rinseL = Math.max(RINSE_LEAST_L, scaled.occupiedL * RINSE_SHARE);
  return { brewL, thinL, rinseL, totalL: brewL + thinL + rinseL };
}
