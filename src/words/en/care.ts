import type { AfterCare, NotWith } from "@/core/apply/care";
import type { KitchenDose, KitchenMeasure } from "@/core/apply/kitchen";
import type { RinseTo } from "@/core/recipe/level";
import { formatNumber } from "@/formats/numbers";

/** What is done after something went on. */
export function sayCare(care: AfterCare): string {
  switch (care.code) {
    case "rain-waters-in":
      return `Rain in about ${care.inH} h waters it in: leave the hose.`;
    case "water-in":
      return "Water it in with plain water, as much again: no rain is expected.";
    case "mulch-over":
      return "Cover it with mulch or compost: what lives in it wants shade and damp.";
    case "flush-line":
      return "Flush the line with plain water until it runs clear.";
    case "keep-dry":
      return "No watering over the leaves until tomorrow.";
    case "rinse-tool":
      return "Rinse the tool three times; the rinse goes on the same bed or on the compost, never into a drain.";
  }
}

const NOT_WITH: Readonly<Record<NotWith, string>> = {
  "ash-or-lime": "ash or lime",
  "acid": "vinegar or a sour brew",
  "copper-and-fungicide": "copper or another fungicide",
  "chlorine": "chlorinated water",
};

/** What must not be in the same can; null where nothing is known. @example sayNotWith(["acid"]); // "Not in one can with vinegar or a sour brew." */
export const sayNotWith = (kinds: readonly NotWith[]): string | null =>
  kinds.length === 0 ? null : `Not in one can with ${kinds.map((kind) => NOT_WITH[kind]).join(", ")}.`;

/** Where what something was rinsed with went. */
export const RINSE_WORDS: Readonly<Record<RinseTo, string>> = {
  in: "into the liquid, which it thins",
  bed: "onto the bed that is treated",
  compost: "onto the compost",
  trees: "round trees or bananas, away from what is eaten raw",
};

const NAMES: Readonly<Record<KitchenMeasure, string>> = { cup: "cup", tablespoon: "tablespoon", teaspoon: "teaspoon" };

/** @example sayKitchen({ count: 4.5, measure: "tablespoon", litres: 0.0675, offBy: 0.055 }); // "4½ tablespoons (5 % more)" */
export function sayKitchen({ count, measure, offBy }: KitchenDose): string {
  const whole = Math.floor(count);
  const text = count % 1 === 0 ? formatNumber(count) : `${whole === 0 ? "" : whole}½`;
  const percent = Math.round(Math.abs(offBy) * 100);
  const off = percent === 0 ? "" : ` (${percent} % ${offBy > 0 ? "more" : "less"})`;
  return `${text} ${NAMES[measure]}${count > 1 ? "s" : ""}${off}`;
}

/** @example sayMesh(200); // "0.2 mm" */
export const sayMesh = (um: number): string => `${formatNumber(um / 1000)} mm`;
