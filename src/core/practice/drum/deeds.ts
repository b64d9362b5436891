/** What a learner may look at; nothing else of a drum is shown. */
export const LOOKS = ["lid", "smell", "solids", "ph-strip", "ph-meter", "dip"] as const;
export type Look = (typeof LOOKS)[number];

/** What a learner may do to a drum that goes on. */
export const CARES = ["stir", "vent", "warm", "feed", "air-on"] as const;
export type Care = (typeof CARES)[number];

/** How a drum ends by hand. */
export const ENDINGS = ["use", "throw-out"] as const;
export type Ending = (typeof ENDINGS)[number];

/** What was done with a drum, oldest first; `hour` counts from the fill and is whole. */
export type Deed =
  | { readonly hour: number; readonly kind: "look"; readonly look: Look }
  | { readonly hour: number; readonly kind: "care"; readonly care: Care }
  | { readonly hour: number; readonly kind: "end"; readonly ending: Ending };
