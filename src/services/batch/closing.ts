import "server-only";
import type { IngredientId } from "@/core/book/ingredients";
import type { Range, StockUnit } from "@/core/book/range";
import type { Recipe } from "@/core/book/recipe";
import type { Keeping } from "@/core/book/types";
import { expectedYield } from "@/core/recipe/expectedYield";
import { leavesOf, type ResidueLeft } from "@/core/recipe/residue";
import { strainSchedule, type StrainStep } from "@/core/recipe/straining";
import type { Batch, BatchLine } from "@/data/batch";

/** What comes off at the end of a batch, as expected, how it is kept, and what is left. */
export interface Closing {
  /** Lowest, usual and highest that such a batch gives, in `unit`. */
  readonly expected: Range;
  readonly unit: StockUnit;
  readonly makes: IngredientId | null;
  readonly keeping: Keeping;
  /** What such a batch leaves, the most of it first. */
  readonly residues: readonly ResidueLeft[];
  /** When to squeeze, and when to leave it alone; empty where nothing is strained. */
  readonly straining: readonly StrainStep[];
}

/** What comes off at the end and what is left, as expected. */
export function closingOf(
  batch: Pick<Batch, "basisAmount">,
  recipe: Recipe,
  lines: readonly Pick<BatchLine, "ingredientId" | "used">[],
): Closing {
  const used = lines.map((line) => ({ ingredient: line.ingredientId as IngredientId, amount: line.used }));
  const expected = expectedYield(recipe, batch.basisAmount, used);
  return {
    expected,
    unit: recipe.yieldUnit,
    makes: recipe.makes ?? null,
    keeping: recipe.keeping,
    residues: leavesOf({ recipe, used }),
    straining: recipe.yieldUnit === "L" ? strainSchedule(recipe, expected) : [],
  };
}
