import type { NextLook } from "@/core/judge/nextLook";
import type { RemainingUse } from "@/core/judge/remaining";
import type { LeadFeature } from "@/core/judge/expectedCurve";

/** A look as something to do. */
export const LOOK_WORDS: Record<NextLook["kind"], string> = {
  "ph": "measure pH by meter, halfway down",
  "ph-strip": "measure pH by strip",
  "surface": "check the foam",
  "smell": "smell it",
  "film": "check the film",
  "solids": "check the solids",
  "liquid": "check the liquid",
  "texture": "squeeze a handful",
  "warmth": "feel if it is warm",
  "lens": "look at a drop under the microscope",
  "bubbles": "count its bubbles for 1 minute",
  "sunk": "check how much has sunk",
  "parted": "check how far it has separated",
  "core": "measure the warmth in its middle",
};

/** @example sayLook({ kind: "ph", narrowsBy: 0.62 }); // "Most would tell: a pH by meter, at mid-depth. It would settle about 60 % of what is open." */
export const sayLook = ({ kind, narrowsBy }: NextLook): string =>
  `Best next check: ${LOOK_WORDS[kind]}. It makes the forecast about ${Math.max(5, Math.round(narrowsBy * 20) * 5)} % narrower.`;

const REMAINING_WORDS: Record<RemainingUse["because"], string> = {
  "not-ready": "Do not use it yet.",
  "ready": "Use it as the recipe says.",
  "very-sour": "Use it, at half the dose: it is very sour.",
  "air-was-off": "Use it on soil, not on leaves: no air for some time.",
  "air-off": "Today on soil only, not on leaves: no air.",
  "air-off-long": "Only on bare soil or compost: no air for too long.",
  "past-living": "Today on bare soil or compost. Never on plants.",
  "over": "The compost, today. Not on any bed.",
  "past-kept": "Use it weaker, on soil, soon; smell it first.",
  "held": "Do not use it before the next checks.",
  "spoilt": "Hot compost, away from water. Never on a crop.",
  "mould": "Hot compost, away from water, lid on until then: its mould can be poisonous. Never on a crop.",
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
