import { findIngredient } from "@/core/book/ingredients";
import { mlPerLitreOfWater, percentOfMix, type Dilution } from "@/core/quantity/ratio";
import { partsForStrength } from "@/core/recipe/level";
import type { ThinStarter } from "@/core/recipe/starter";
import type { UnitSystem } from "@/formats/amounts";
import { formatNumber } from "@/formats/numbers";

/** From here on nobody would measure otherwise. */
const WHOLE = 0.995;

/**
 * What topping up left of an input's strength, and the mix that makes up for it; null where that is no matter.
 * @example sayThinned(0.9, 250); // "Topped up with water: it is at 90 % of its first strength, and 1:225 does what 1:250 would."
 */
export function sayThinned(strength: number, partsWater: number): string | null {
  if (strength > WHOLE) return null;
  const share = `Thinned with water: it is at ${formatNumber(100 * strength, 2)} % of its first strength`;
  const parts = Math.round(partsForStrength(partsWater, strength));
  return parts > 0
    ? `${share}, and 1:${formatNumber(parts, 3)} does what 1:${formatNumber(partsWater, 3)} would.`
    : `${share}.`;
}

/** Fluid ounces in a US gallon, by definition: so many go to a gallon of water at one to one. */
const FL_OZ_PER_GALLON = 128;

/**
 * A strength in every way that people measure one out.
 * @example sayBothWays({ partsWater: 250 }, "metric"); // "1 part to 250 of water: 4 mL per litre of water, 0.4 % of the mix"
 */
export function sayBothWays({ partsWater }: Dilution, units: UnitSystem): string {
  if (partsWater === 0) return "undiluted";
  const dose =
    units === "us"
      ? `${formatNumber(FL_OZ_PER_GALLON / partsWater, 3)} US fl oz per US gal`
      : `${formatNumber(mlPerLitreOfWater({ partsWater }), 3)} mL per litre`;
  return `1 part to ${formatNumber(partsWater, 4)} of water: ${dose} of water, ${formatNumber(percentOfMix({ partsWater }), 2)} % of the mix`;
}

/** @example sayThinStarter({ ingredient: "leachate", share: 0.001, leastShare: 0.01 }); // "Worm leachate is 0.1 % of the liquid; under 1 % it takes far longer, or never starts." */
export const sayThinStarter = ({ ingredient, share, leastShare }: ThinStarter): string =>
  `${findIngredient(ingredient).name} is ${formatNumber(share * 100, 2)} % of the liquid; under ${formatNumber(leastShare * 100, 2)} % it takes far longer, or never starts.`;
