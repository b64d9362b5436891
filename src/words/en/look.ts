import type { NextLook } from "@/core/judge/nextLook";
import type { RemainingUse } from "@/core/judge/remaining";
import type { LeadFeature } from "@/core/judge/expectedCurve";

/** A look as something to do. */
export const LOOK_WORDS: Record<NextLook["kind"], string> = {
  "ph": "a pH by meter, at mid-depth",
  "ph-strip": "a pH by strip",
  "surface": "a look at the foam",
  "smell": "a smell",
  "film": "a look at the film",
  "solids": "a look at the solids",
  "liquid": "a look at the liquid",
  "texture": "a fistful",
  "warmth": "a hand on it",
  "lens": "a drop under the lens",
  "bubbles": "counting its bubbles for a minute",
  "sunk": "how much of it has sunk",
  "parted": "how far it has parted",
  "core": "the warmth in its middle",
};

/** @example sayLook({ kind: "ph", narrowsBy: 0.62 }); // "Most would tell: a pH by meter, at mid-depth. It would settle about 60 % of what is open." */
export const sayLook = ({ kind, narrowsBy }: NextLook): string =>
  `Most would tell: ${LOOK_WORDS[kind]}. It would settle about ${Math.max(5, Math.round(narrowsBy * 20) * 5)} % of what is open.`;

const REMAINING_WORDS: Record<RemainingUse["because"], string> = {
  "not-ready": "Nothing yet: it is not ready.",
  "ready": "Use it as the recipe says.",
  "very-sour": "Use it, at half the dose: it is very sour.",
  "air-was-off": "On soil, not on leaves: it stood without air for a time.",
  "air-off": "On soil today, no longer on leaves: its air is off.",
  "air-off-long": "Bare ground or the compost only: its air has been off too long.",
  "past-living": "Bare ground or the compost, today. Not on what grows.",
  "over": "The compost, today. Not on any bed.",
  "past-kept": "Use it weaker, on soil, soon; smell it first.",
  "held": "Nothing until the doubt is settled.",
  "spoilt": "Hot compost, away from water. Never on a crop.",
  "mould": "Hot compost, away from water, lid on till then: its mould can be poisonous. Never on a crop.",
};

/** What may still be done with a batch. */
export const sayRemaining = ({ because }: RemainingUse): string => REMAINING_WORDS[because];

/** What a batch's progress is drawn by: its name, its unit, and how a value is said. */
export const LEAD_WORDS: Record<
  LeadFeature,
  { readonly name: string; readonly falls: boolean; readonly scale: number; readonly unit: string }
> = {
  ph: { name: "pH", falls: true, scale: 1, unit: "" },
  foam: { name: "Foam, against a full head", falls: false, scale: 100, unit: " %" },
  viability: { name: "Life in it, against the most", falls: false, scale: 100, unit: " %" },
  parted: { name: "How far it has parted", falls: false, scale: 100, unit: " %" },
  extent: { name: "Acid used up", falls: false, scale: 100, unit: " %" },
  sunk: { name: "Sunk", falls: false, scale: 100, unit: " %" },
  phase: { name: "Ripeness: 1 half-way, 2 ready, 3 old", falls: false, scale: 1, unit: "" },
};
