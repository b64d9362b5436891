import type { MixingRequest } from "@/contracts/fill";

/** A fill as it was meant when mixing began; kept with the mixing. */
export type MixingFill = MixingRequest & {
  /** Short name of the recipe, for lists. */
  readonly name: string;
};
