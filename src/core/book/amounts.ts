import { INGREDIENTS, type IngredientId } from "./ingredients";
import type { MethodIngredient } from "./types";
import type { Range } from "./range";

/** A figure that nobody puts a span round. */
export const exactly = (value: number): Range => ({ low: value, default: value, high: value });
/** Lowest, usual and highest figure seen. */
export const from = (low: number, usual: number, high: number): Range => ({ low, default: usual, high });

type Extra = Omit<MethodIngredient, "ingredient" | "amount" | "role">;

/** So much to a litre or kilogram of the basis, in the unit the shed counts the ingredient in. */
export const perBasis = (
  ingredient: IngredientId,
  amount: Range | number,
  role: string,
  extra: Extra = {},
): MethodIngredient => ({
  ingredient,
  amount: {
    type: "per-basis",
    perBasis: typeof amount === "number" ? exactly(amount) : amount,
    unit: INGREDIENTS[ingredient].stockUnit,
  },
  role,
  ...extra,
});

/** What the recipe is counted against. */
export const basis = (ingredient: IngredientId, role: string, extra: Extra = {}): MethodIngredient =>
  perBasis(ingredient, 1, role, extra);

/** The same however large the batch. */
export const fixedDose = (
  ingredient: IngredientId,
  amount: Range,
  role: string,
  extra: Extra = {},
): MethodIngredient => ({
  ingredient,
  amount: { type: "fixed", amount, unit: INGREDIENTS[ingredient].stockUnit },
  role,
  ...extra,
});

/** An amount that nobody states; always left out unless the grower wants it and says how much. */
export const unstated = (ingredient: IngredientId, ask: string, role: string): MethodIngredient => ({
  ingredient,
  amount: { type: "unknown", unit: INGREDIENTS[ingredient].stockUnit, ask },
  role,
  optional: true,
});
