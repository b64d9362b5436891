import type { WaterReason, WaterSource } from "@/core/water/chlorine";
import { formatNumber } from "@/formats/numbers";
import { sayDuration } from "@/formats/times";

const SOURCE_WORDS: Readonly<Record<WaterSource, string>> = {
  "rain": "Rain water",
  "well": "Well water",
  "spring": "Spring water",
  "river": "River or pond water",
  "reverse-osmosis": "Reverse osmosis water",
  "mains": "Tap water",
  "unknown": "Other water",
};

/** Where water comes from, as its name. @example sayWaterSource("mains"); // "Tap water" */
export const sayWaterSource = (kind: WaterSource): string => SOURCE_WORDS[kind];

/** How water is made fit, and when it is. @example sayWaterWay({ treatment: "bubble", hours: 6, ascorbicG: null }); // "bubbled with air in about 6 h" */
export function sayWaterWay({
  treatment,
  hours,
  ascorbicG,
}: {
  readonly treatment: "bubble" | "stand" | "ascorbic" | "carbon";
  readonly hours: number;
  readonly ascorbicG: number | null;
}): string {
  const when = hours < 0.02 ? "now" : `in about ${sayDuration(hours)}`;
  switch (treatment) {
    case "bubble":
      return `bubbled with air ${when}`;
    case "stand":
      return `left standing open ${when}`;
    case "ascorbic":
      return `with ${formatNumber(ascorbicG ?? 0, 2)} g of vitamin C ${when}`;
    case "carbon":
      return "through a carbon filter at once";
  }
}

/** Why water is safe for a living brew, or is not. */
export function sayWaterReason(reason: WaterReason): string {
  switch (reason.code) {
    case "free-of-chlorine-by-source":
      return `Water from ${reason.source === "reverse-osmosis" ? "reverse osmosis" : `the ${reason.source}`} carries no chlorine.`;
    case "strip-needed":
      return "Measure free and total chlorine with a strip first: without it chloramine can't be ruled out.";
    case "low-enough":
      return `${formatNumber(reason.totalMgPerL, 2)} mg/L of chlorine is little enough.`;
    case "chlorine-left":
      return `${formatNumber(reason.totalMgPerL, 2)} mg/L of chlorine kills what you brew.`;
    case "chloramine-stays":
      return `${formatNumber(reason.chloramineMgPerL, 2)} mg/L is chloramine: neither standing nor bubbling clears it in useful time. Use ascorbic acid or carbon.`;
    case "free-leaves":
      return `Half of the chlorine is gone every ${sayDuration(reason.halfLifeH)}.`;
    case "neutralised":
      return "Ascorbic acid takes up chlorine and chloramine; stir it in and let it stand a quarter of an hour.";
    case "carbon-filter":
      return "An activated-carbon filter takes out both, as long as it is not spent.";
    case "river-on-leaves":
      return "River water may carry germs: not on leaves that are eaten raw.";
  }
}

/** What is known of a source's chlorine, in a few words. */
export function sayStrip(water: {
  readonly kind: WaterSource;
  readonly freeMgPerL: number | null;
  readonly totalMgPerL: number | null;
}): string {
  if (water.kind !== "mains" && water.kind !== "unknown") return "free of chlorine";
  if (water.totalMgPerL === null && water.freeMgPerL === null) return "no strip read yet";
  const total = water.totalMgPerL === null ? "" : `${formatNumber(water.totalMgPerL, 2)} mg/L total`;
  const free = water.freeMgPerL === null ? "" : `${formatNumber(water.freeMgPerL, 2)} mg/L free`;
  return [total, free].filter((part) => part !== "").join(", ");
}
