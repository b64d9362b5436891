import { findIngredient, type IngredientId } from "../book/ingredients";
import { substitutesFor } from "../book/substitutes";
import { groupBy } from "../groupBy";

/** What batches of an input drew from stock, in the ingredient's stock unit and minor money. */
export interface DrawnCost {
  readonly methodId: string;
  readonly ingredientId: string;
  readonly amount: number;
  readonly costMinor: number;
}
/** Something that stands in for the dearest ingredient, at its last price. */
export interface StandIn {
  readonly ingredientId: IngredientId;
  readonly amount: number;
  readonly costMinor: number;
  /** Below nought it would have cost more. */
  readonly savingMinor: number;
  readonly changes: string;
}
/** The dearest ingredient of an input, and what stands in for it. */
export interface CostDriver {
  readonly methodId: string;
  readonly ingredientId: string;
  readonly costMinor: number;
  /** Of all that its ingredients cost. */
  readonly share: number;
  /** The cheapest first; none of which nobody knows a price. */
  readonly standIns: readonly StandIn[];
}

const sum = (list: readonly DrawnCost[], of: (one: DrawnCost) => number): number =>
  list.reduce((total, one) => total + of(one), 0);

/**
 * What drives the cost of each input: its dearest ingredient, and what would have cost less in its place.
 * @param lastMinor what a unit of each ingredient cost when it was bought last, minor units
 */
export function costDrivers(drawn: readonly DrawnCost[], lastMinor: ReadonlyMap<string, number>): CostDriver[] {
  return [...groupBy(drawn, ({ methodId }) => methodId)].flatMap(([methodId, own]): CostDriver[] => {
    const whole = sum(own, ({ costMinor }) => costMinor);
    const [dearest] = [...groupBy(own, ({ ingredientId }) => ingredientId)]
      .map(([ingredientId, lines]) => ({
        ingredientId,
        amount: sum(lines, ({ amount }) => amount),
        costMinor: sum(lines, ({ costMinor }) => costMinor),
      }))
      .toSorted((one, other) => other.costMinor - one.costMinor || (one.ingredientId < other.ingredientId ? -1 : 1));
    if (!dearest || dearest.costMinor <= 0) return [];
    const { ingredientId, amount, costMinor } = dearest;
    const standIns = substitutesFor(findIngredient(ingredientId).id).flatMap(({ use, factor, changes }): StandIn[] => {
      const unit = lastMinor.get(use);
      if (unit === undefined) return [];
      const cost = Math.round(amount * factor * unit);
      return [{ ingredientId: use, amount: amount * factor, costMinor: cost, savingMinor: costMinor - cost, changes }];
    });
    return [
      {
        ...{ methodId, ingredientId, costMinor, share: costMinor / whole },
        standIns: standIns.toSorted((one, other) => one.costMinor - other.costMinor),
      },
    ];
  });
}
