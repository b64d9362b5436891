import type { CardinalTemperatures, RateTemperatures } from "../models/types";

/** Share of the greatest rate at a temperature, 0 to 1. Cardinal temperature model with inflection, Rosso et al. 1993, J. Theor. Biol. 162:447. */
export function cardinalShare(celsius: number, { minC, optimumC, maxC }: CardinalTemperatures): number {
  if (celsius <= minC || celsius >= maxC) return 0;
  const above = (celsius - maxC) * (celsius - minC) ** 2;
  const below =
    (optimumC - minC) *
    ((optimumC - minC) * (celsius - optimumC) - (optimumC - maxC) * (optimumC + minC - 2 * celsius));
  return Math.min(1, Math.max(0, above / below));
}

/** Gas constant, J/(mol·K). CODATA 2018. */
const GAS_CONSTANT = 8.314462618;
const KELVIN = 273.15;

/**
 * How fast a brew goes at a liquid temperature, 1 at the method's reference temperature; a living one stands still outside minC..maxC.
 * @example rateAt(24, { referenceC: 24, minC: -3, optimumC: 35, maxC: 43 }); // 1
 */
export function rateAt(liquidC: number, temperatures: RateTemperatures): number {
  if ("activationJPerMol" in temperatures) {
    const { activationJPerMol, referenceC } = temperatures;
    return Math.exp((-activationJPerMol / GAS_CONSTANT) * (1 / (liquidC + KELVIN) - 1 / (referenceC + KELVIN)));
  }
  return cardinalShare(liquidC, temperatures) / cardinalShare(temperatures.referenceC, temperatures);
}
