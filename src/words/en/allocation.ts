import type { WithoutReason } from "@/core/apply/allocate";
import type { Speech } from "../speech";

type Of<C extends WithoutReason["code"]> = Extract<WithoutReason, { readonly code: C }>;

/** Why a plot goes without, as its line says it: part of a sentence. */
export const WITHOUT: { readonly [C in WithoutReason["code"]]: (reason: Of<C>, say: Speech) => string } = {
  "more-than-all": ({ leastL }, say) => `wants ${say.volume(leastL)} at least, more than there is`,
  "not-enough-left": ({ leastL, leftL }, say) =>
    leftL < 0.001 ? "nothing is left" : `wants ${say.volume(leastL)} at least, and ${say.volume(leftL)} is left`,
  "no-whole-load": ({ loadL }, say) => `a whole load has ${say.volume(loadL)} in it, which does not fit its dose`,
};
