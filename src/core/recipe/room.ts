import { findIngredient, type IngredientId } from "../book/ingredients";
import type { Recipe } from "../book/recipe";

/**
 * Litres that one unit of an ingredient takes up in a recipe's vessel: a liquid its own volume, a solid what it pushes the
 * liquid up by, what lies packed or heaped its bulk.
 * @throws {DomainError} `unknown-ingredient`
 */
export function roomLPerUnit(recipe: Recipe, ingredient: IngredientId): number {
  const stated = recipe.ingredients.find(
    (line) => line.ingredient === ingredient && line.amount.type !== "per-surface",
  );
  if (stated?.roomLPerUnit !== undefined) return stated.roomLPerUnit;
  const item = findIngredient(ingredient);
  return item.stockUnit === "L" ? 1 : item.displacementLPerKg;
}

/** Litres that one unit of a layer on top takes up: it lies loose. */
export function capLPerUnit(ingredient: IngredientId): number {
  const { stockUnit, densityKgPerL } = findIngredient(ingredient);
  return stockUnit === "L" ? 1 : 1 / (densityKgPerL ?? 1);
}

/**
 * Litres that amounts really put in take up, for checking a fill that was changed by hand.
 * @throws {DomainError} `unknown-ingredient`
 */
export function occupiedLitres(
  recipe: Recipe,
  lines: readonly { ingredient: IngredientId; amount: number; part: "mix" | "cap" }[],
): number {
  return lines.reduce(
    (sum, { ingredient, amount, part }) =>
      sum + amount * (part === "cap" ? capLPerUnit(ingredient) : roomLPerUnit(recipe, ingredient)),
    0,
  );
}
