export const FOAMS = ["none", "first_ring", "patches", "full_head", "collapsing", "gone"] as const;
export const SMELL_CLASSES = ["sweet_raw", "yeasty", "sour_clean", "neutral_earthy", "rotten"] as const;
export const FILM_CLASSES = ["none", "white_flat", "white_fuzzy", "coloured"] as const;
export type Foam = (typeof FOAMS)[number];
export type SmellClass = (typeof SMELL_CLASSES)[number];
export type FilmClass = (typeof FILM_CLASSES)[number];

/** One report on a batch, at an hour of it, in the model's own few words. `eps`: the chance that it is plainly wrong, where it is not the usual. */
export type Observation = { readonly hour: number; readonly eps?: number } & (
  | { readonly type: "ph"; readonly value: number; readonly method: "meter" | "strip"; readonly sd?: number }
  | { readonly type: "foam"; readonly value: Foam }
  | { readonly type: "smell"; readonly value: SmellClass }
  | { readonly type: "film"; readonly value: FilmClass }
  /** A minute: through the gas lock, or on a palm-sized patch where it stands open. */
  | { readonly type: "bubbles"; readonly value: number }
  /** Share parted, share sunk. */
  | { readonly type: "sep" | "sink"; readonly value: number }
  /** Probe in the middle of a bed, °C. */
  | { readonly type: "core"; readonly value: number }
  | { readonly type: "judge"; readonly value: "not_yet" | "ready" | "past" }
);

export type ObservationType = Observation["type"];

/** Outside this a meter is broken, or stood in something else than the brew. */
export const PH_BELIEVED = { min: 2, max: 9 } as const;
