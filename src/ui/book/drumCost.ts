import { expectedYield } from "@/core/recipe/expectedYield";
import { findIngredient } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import { handsMin } from "@/core/choose/byGoal";
import { batchCost } from "@/core/money/batchCost";
import { scaleRecipe, type ScaledRecipe } from "@/core/recipe/scale";
import type { BookView } from "@/services/book";
import { inText } from "@/formats/grammar";

type Prices = Pick<BookView, "priceMinor" | "labourMinorPerH">;

export interface PlannedCost {
  readonly totalMinor: number;
  readonly perUnitMinor: number | null;
  /** Ingredients that the shed has no price for; they are left out. */
  readonly unpriced: readonly string[];
}

const FREE = new Set(["water", "soak-water", "plant", "greens", "legume-leaf", "urine", "scraps", "shell-raw"]);

/** What a scaled recipe would cost at what the shed's lots cost, hands counted. */
export function plannedCost(recipe: Recipe, scaled: ScaledRecipe, prices: Prices, days: number): PlannedCost {
  const paid = scaled.lines.filter(({ ingredient }) => !FREE.has(ingredient));
  const priced = paid.filter(({ ingredient }) => prices.priceMinor[ingredient] !== undefined);
  const { totalMinor } = batchCost({
    lots: priced.map(({ ingredient, amount }) => ({
      label: ingredient,
      amount,
      unitCostMinor: prices.priceMinor[ingredient]!,
    })),
    labourMin: Math.min(60_000, handsMin(recipe, days)),
    labourMinorPerH: prices.labourMinorPerH,
    powerKWh: 0,
    powerMinorPerKWh: 0,
    consumables: [],
    yieldL: null,
  });
  const yielded = expectedYield(recipe, scaled.basisAmount, scaled.lines).default;
  return {
    totalMinor,
    perUnitMinor: yielded > 0 ? totalMinor / yielded : null,
    unpriced: paid
      .filter(({ ingredient }) => prices.priceMinor[ingredient] === undefined)
      .map(({ ingredient }) => inText(findIngredient(ingredient).name)),
  };
}

/** The same for an ordinary drum. */
export const drumCost = (recipe: Recipe, prices: Prices, days: number): PlannedCost =>
  plannedCost(recipe, scaleRecipe({ recipe, vesselL: 200 }), prices, days);
