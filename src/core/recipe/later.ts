import { findIngredient, type IngredientId } from "../book/ingredients";
import type { StockUnit } from "../book/range";
import type { Recipe } from "../book/recipe";

export interface LaterLine {
  readonly ingredient: IngredientId;
  readonly unit: StockUnit;
  readonly amount: number;
  readonly onDay: number;
  readonly role: string;
}

/** What a recipe puts in on a later day, for the first volume of a batch; optional lines are left out. */
export const laterLines = (recipe: Recipe, basisAmount: number): LaterLine[] =>
  recipe.ingredients.flatMap(({ ingredient, amount, onDay = 0, optional, role }) =>
    onDay > 0 && !optional && amount.type === "per-basis"
      ? [
          {
            ingredient,
            unit: findIngredient(ingredient).stockUnit,
            amount: amount.perBasis.default * basisAmount,
            onDay,
            role,
          },
        ]
      : [],
  );
