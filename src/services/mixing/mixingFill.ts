import type { ActionRequest } from "@/contracts/actions/requests";

/** A fill as it was meant when mixing began; kept with the mixing. */
export type MixingFill = Omit<ActionRequest<"startMixing">, "requestKey"> & {
  /** Short name of the recipe, for lists. */
  readonly name: string;
};
