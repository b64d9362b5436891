import type { RateTemperatures } from "../book/types";

/** Share of the greatest rate at a temperature, 0 to 1. Cardinal temperature model with inflection, Rosso et al. 1993, J. Theor. Biol. 162:447. */
function cardinalShare(celsius: number, { minC, optimumC, maxC }: RateTemperatures): number {
  if (celsius <= minC || celsius >= maxC) return 0;
  const above = (celsius - maxC) * (celsius - minC) ** 2;
  const below =
    (optimumC - minC) *
    ((optimumC - minC) * (celsius - optimumC) - (optimumC - maxC) * (optimumC + minC - 2 * celsius));
  return Math.min(1, Math.max(0, above / below));
}

/**
 * How fast a brew goes at a liquid temperature, 1 at the method's reference temperature; 0 outside minC..maxC.
 * @example rateAt(24, { referenceC: 24, minC: -3, optimumC: 35, maxC: 43 }); // 1
 */
export const rateAt = (liquidC: number, temperatures: RateTemperatures): number =>
  cardinalShare(liquidC, temperatures) / cardinalShare(temperatures.referenceC, temperatures);
