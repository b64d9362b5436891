import "server-only";
import type { IngredientId } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import { batchContent, type BatchContent, type UsedAmount } from "@/core/recipe/composition";
import { expectedYield } from "@/core/recipe/expectedYield";
import { recipeFrom } from "@/core/recipe/document";
import {
  listBatchesById,
  listLabResultsOf,
  listLinesOf,
  type Batch,
  type BatchLine,
  type LabResult,
} from "@/data/batch";
import type { Queryable } from "@/data/db";
import { listDrawsOfBatches, type LotDraw } from "@/data/shed";

/** What went in at the start and since, by ingredient. */
export const amountsIn = (
  lines: readonly BatchLine[],
  draws: readonly Pick<LotDraw, "ingredientId" | "amount">[],
): UsedAmount[] => {
  const drawn = new Set(draws.map(({ ingredientId }) => ingredientId));
  return [
    ...lines.filter(({ ingredientId }) => !drawn.has(ingredientId)),
    ...draws.map(({ ingredientId, amount }) => ({ ingredientId, used: amount })),
  ].map(({ ingredientId, used }) => ({ ingredient: ingredientId as IngredientId, amount: used }));
};

/** What is in a litre of it, as it was measured or else as its ingredients have it. */
export const contentOf = (
  batch: Batch,
  recipe: Recipe,
  amounts: readonly UsedAmount[],
  lab: readonly LabResult[],
): BatchContent =>
  batchContent(
    recipe,
    amounts,
    // What was drawn off took its share with it, and water made more of the same.
    batch.close && batch.close.yieldL > 0
      ? batch.close.yieldL + batch.takenOutL
      : expectedYield(recipe, batch.basisAmount, amounts).default + batch.toppedUpL,
    Object.fromEntries(lab.map(({ nutrient, gPerL }) => [nutrient, gPerL])),
  );

/** What is in a litre of each of these batches, by the batch's number. */
export async function contentsOfBatches(
  db: Queryable,
  batchIds: readonly number[],
): Promise<ReadonlyMap<number, BatchContent>> {
  if (batchIds.length === 0) return new Map();
  const [batches, lines, draws, labs] = await Promise.all([
    listBatchesById(db, batchIds),
    listLinesOf(db, batchIds),
    listDrawsOfBatches(db, batchIds),
    listLabResultsOf(db, batchIds),
  ]);
  return new Map(
    batches.map((batch) => [
      batch.id,
      contentOf(
        batch,
        recipeFrom(batch.recipe.document),
        amountsIn(
          lines.get(batch.id) ?? [],
          draws.filter(({ batchId }) => batchId === batch.id),
        ),
        labs.get(batch.id) ?? [],
      ),
    ]),
  );
}
