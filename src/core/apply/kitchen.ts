import type { UnitSystem } from "../quantity/typed/unitWords";

/** What a kitchen measures with. */
export type KitchenMeasure = "cup" | "tablespoon" | "teaspoon";

/** So many halves of one measure, and how far that is off. */
export interface KitchenDose {
  readonly count: number;
  readonly measure: KitchenMeasure;
  /** What it comes to, L. */
  readonly litres: number;
  /** How much more it is than was wanted, as a share; less where negative. */
  readonly offBy: number;
}

/** Litres of each, as kitchens of either system have them. */
const LITRES: Readonly<Record<UnitSystem, Readonly<Record<KitchenMeasure, number>>>> = {
  metric: { cup: 0.25, tablespoon: 0.015, teaspoon: 0.005 },
  us: { cup: 0.2365882365, tablespoon: 0.01478676478125, teaspoon: 0.00492892159375 },
};
const MEASURES: readonly KitchenMeasure[] = ["cup", "tablespoon", "teaspoon"];
/** As fine as anybody fills a spoon. */
const STEP = 0.5;
/** More spoonfuls than this are miscounted. */
const MOST = 12;
/** A dose may be off by so much and the coarser measure still serves. */
const GOOD_WITHIN = 0.05;

/**
 * A dose in halves of one kitchen measure: the largest that meets it within a twentieth, else that which comes nearest. Null below half a teaspoon,
 * and above twelve cups.
 * @example inKitchen(0.064, "metric"); // 4½ tablespoons, 0.0675 L, 5.5 % more
 */
export function inKitchen(litres: number, system: UnitSystem): KitchenDose | null {
  const doses = MEASURES.flatMap((measure): KitchenDose[] => {
    const each = LITRES[system][measure];
    const count = Math.round(litres / each / STEP) * STEP;
    if (!(count >= STEP && count <= MOST)) return [];
    return [{ count, measure, litres: count * each, offBy: (count * each) / litres - 1 }];
  });
  return (
    doses.find(({ offBy }) => Math.abs(offBy) <= GOOD_WITHIN) ??
    doses.toSorted((a, b) => Math.abs(a.offBy) - Math.abs(b.offBy))[0] ??
    null
  );
}
