import type { Dilution } from "../quantity/ratio";

/** How a dose is reached through an injector: thinned in its tank first, then by the water that passes. */
export interface InjectorChain {
  /** Parts of water to one of concentrate in the tank; 0 where it goes in as it is. */
  readonly tankPartsWater: number;
  /** Parts of passing water to one from the tank. */
  readonly injectorPartsWater: number;
}

/**
 * How 1:N is reached through an injector of 1:M: (1 + tank) × (1 + M) = 1 + N. Null where the dose wants more than undiluted.
 * @example injectorChain({ partsWater: 504 }, 100); // tankPartsWater 4: one part with four of water, of which the line gets one in a hundred
 */
export function injectorChain({ partsWater }: Dilution, injectorPartsWater: number): InjectorChain | null {
  const tankPartsWater = (1 + partsWater) / (1 + injectorPartsWater) - 1;
  return tankPartsWater < -1e-9 ? null : { tankPartsWater: Math.max(0, tankPartsWater), injectorPartsWater };
}
