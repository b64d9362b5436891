import { requirePositive } from "../errors";
import type { MixRate } from "./loads";

export interface PlotSize {
  readonly areaM2: number;
  readonly plants: number | null;
}

/** Mix that a plot takes at a rate, L; null where it is counted by plants and nobody counted them. */
export const mixFor = ({ areaM2, plants }: PlotSize, { amountL, per }: MixRate): number | null =>
  per === "m2" ? areaM2 * amountL : plants === null ? null : plants * amountL;

/** Concentrate that so much mix wants at 1:N, L. */
export const concentrateFor = (mixL: number, partsWater: number): number => mixL / (1 + partsWater);

/**
 * What so much concentrate serves: square metres, or plants, trees and clumps, the last of which that is not whole left out.
 * @example servedBy(38, 4, { amountL: 2, per: "m2" }); // 95
 * @throws {DomainError} `not-positive`
 */
export function servedBy(concentrateL: number, partsWater: number, { amountL, per }: MixRate): number {
  requirePositive("mix-rate", amountL, "L", "/mixRate/value");
  const served = (concentrateL * (1 + partsWater)) / amountL;
  return per === "plant" ? Math.floor(served + 1e-9) : served;
}
