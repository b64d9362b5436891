import type { FitBand } from "@/core/apply/fitHours";
import { formatNumber } from "@/formats/numbers";
import type { AirPoint } from "@/services/yard";

const BECAUSE = {
  dry: "dry",
  rain: "rain",
  wind: "wind",
  cold: "cold",
  heat: "heat",
  unknown: "check rain and wind yourself",
} as const;
/** @example sayBand(band); // "dawn: cold, soil only" */
export const sayBand = ({ fit, when, because }: FitBand): string =>
  `${when}: ${fit === "none" ? "not fit, " : ""}${BECAUSE[because]}${fit === "soil" ? ", soil only" : ""}`;

/** The air's span in words, above its curve; what nobody told is called usual. */
export const sayAirSpan = (air: readonly AirPoint[], unit: string, toUnit: (celsius: number) => number): string => {
  const temperatures = air.map(({ airC }) => toUnit(airC));
  return `${air.every(({ usual }) => usual) ? "usual" : "air"} ${formatNumber(Math.round(Math.min(...temperatures)), 2)} to ${formatNumber(Math.round(Math.max(...temperatures)), 2)} ${unit}`;
};
