import { isWater, type IngredientId } from "@/core/book/ingredients";
import "server-only";
import { addDays } from "@/core/calendar";
import { recipeFrom } from "@/core/recipe/document";
import { laterLines } from "@/core/recipe/later";
import type { Demand } from "@/core/stock/shopping";
import { listRunningBatches, type Batch } from "@/data/batch";
import type { Queryable } from "@/data/db";
import { listOpenMixings } from "@/data/mixing";
import { listDrawnSince, type DrawnSince, listOpenPlans, type Plan } from "@/data/shed";
import { isoDay, type FarmClock } from "@/formats/times";
import type { MixingFill } from "@/contracts/fill";

function demandsOfPlan(plan: Plan): Demand[] {
  return plan.lines.map(({ ingredientId, amount, onDay }) => ({
    ingredient: ingredientId as IngredientId,
    amount,
    onDay: addDays(plan.forDay, onDay),
    forWhat: plan.name,
  }));
}

/** What a running batch still gets on a later day: half of it or more missing counts as not done. */
function demandsOfBatch(batch: Batch, drawn: readonly DrawnSince[], clock: FarmClock): Demand[] {
  return laterLines(recipeFrom(batch.recipe.document), batch.basisAmount).flatMap((line) => {
    const since =
      drawn.find(({ batchId, ingredientId }) => batchId === batch.id && ingredientId === line.ingredient)?.since ?? 0;
    return since >= line.amount / 2
      ? []
      : [
          {
            ingredient: line.ingredient,
            amount: line.amount - since,
            onDay: addDays(isoDay(batch.startedAt, clock), line.onDay),
            forWhat: `${batch.recipe.shortName} in ${batch.vesselName}`,
          },
        ];
  });
}

/**
 * All that planned and running batches, and fills being mixed, will still take from the shed. What was due and not given is wanted today.
 * Water and what is picked fresh for a batch are no stock.
 */
export async function readDemands(
  db: Queryable,
  today: string,
  clock: FarmClock,
): Promise<{ demands: Demand[]; plans: Plan[] }> {
  const [plans, running, drawn, mixings] = await Promise.all([
    listOpenPlans(db),
    listRunningBatches(db),
    listDrawnSince(db),
    listOpenMixings<MixingFill>(db),
  ]);
  const beingMixed = new Set(mixings.map(({ planId }) => planId));
  const demands = [
    ...plans.filter(({ id }) => !beingMixed.has(id)).flatMap(demandsOfPlan),
    ...running.flatMap((batch) => demandsOfBatch(batch, drawn, clock)),
    ...mixings.flatMap(({ fill }) =>
      fill.lines
        .filter(({ pickedNow }) => !pickedNow)
        .map(({ ingredientId, amount }) => ({
          ingredient: ingredientId as IngredientId,
          amount,
          onDay: today,
          forWhat: `${fill.name}, being mixed`,
        })),
    ),
  ];
  return {
    demands: demands
      .filter(({ ingredient }) => !isWater(ingredient))
      .map((demand) => (demand.onDay < today ? { ...demand, onDay: today } : demand)),
    plans,
  };
}
