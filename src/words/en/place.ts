import type { Place, PlaceKind } from "@/core/ferment/temperature/places";
import { sayTemperature, type UnitSystem } from "@/formats/amounts";

export const PLACE_WORDS: Record<Exclude<PlaceKind, "unsaid">, string> = {
  shade: "Outdoors, in shade",
  sun: "Outdoors, in sun",
  shed: "Shed",
  cellar: "Cellar",
  indoors: "Kitchen or room",
  greenhouse: "Greenhouse",
};

/** @example sayPlace({ kind: "indoors", celsius: [18, 22] }, "metric"); // "Kitchen or room, 18 °C to 22 °C" */
export const sayPlace = ({ kind, celsius }: Place, units: UnitSystem): string =>
  kind === "unsaid"
    ? "not said"
    : `${PLACE_WORDS[kind]}${celsius ? `, ${sayTemperature(celsius[0], units)} to ${sayTemperature(celsius[1], units)}` : ""}`;
