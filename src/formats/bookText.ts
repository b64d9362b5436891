import { fromBase } from "@/core/quantity/units";
import type { UnitSystem } from "./amounts";
import { formatNumber } from "./numbers";

interface Other {
  readonly unit: string;
  readonly of: (figure: number) => number;
}
const scaled = (dimension: "volume" | "mass", each: number, unit: string): Other => ({
  unit,
  of: (figure) => fromBase({ dimension, value: figure * each }, unit).value,
});
const FL_OZ_PER_GAL_OF_ML_PER_L = 0.128;
const OZ_PER_GAL_OF_G_PER_L = 0.13353;
const OZ_PER_LB_OF_G_PER_KG = 0.016;
const FL_OZ_PER_LB_OF_ML_PER_KG = 0.015338;
const IN_PER_CM = 1 / 2.54;

/** What the book's units are called on a farm that talks US units. */
const US: Readonly<Record<string, Other>> = {
  "mL/L": { unit: "US fl oz per US gal", of: (figure) => figure * FL_OZ_PER_GAL_OF_ML_PER_L },
  "g/L": { unit: "oz per US gal", of: (figure) => figure * OZ_PER_GAL_OF_G_PER_L },
  "g/kg": { unit: "oz per lb", of: (figure) => figure * OZ_PER_LB_OF_G_PER_KG },
  "mL/kg": { unit: "US fl oz per lb", of: (figure) => figure * FL_OZ_PER_LB_OF_ML_PER_KG },
  "°C": { unit: "°F", of: (celsius) => fromBase({ dimension: "temperature", value: celsius }, "°F").value },
  "mL": scaled("volume", 0.001, "US fl oz"),
  "L": scaled("volume", 1, "US gal"),
  "kg": scaled("mass", 1, "lb"),
  "g": scaled("mass", 0.001, "oz"),
  "cm": { unit: "in", of: (figure) => figure * IN_PER_CM },
  "mm": { unit: "in", of: (figure) => figure * IN_PER_CM * 0.1 },
};
const FIGURE = String.raw`\d+(?:[.,]\d+)?`;
const QUANTITY = new RegExp(
  String.raw`(${FIGURE})(?:( to | or | and |–)(${FIGURE}))? ?(mL/L|g/L|mL/kg|g/kg|°C|mL|L|kg|g|cm|mm)(?![\w/²])`,
  "g",
);

/** A tiny figure or a degree is rounded as people read it off. */
const round = (value: number, unit: string): string =>
  unit === "°F" ? String(Math.round(value)) : formatNumber(value, value >= 100 ? 3 : 2);

/**
 * A text of the book with its figures in the farm's units; what has no unit stays as it is.
 * @example inUnits("Run the water in at 20 to 28 °C.", "us"); // "Run the water in at 68 to 82 °F."
 */
export const inUnits = (text: string, units: UnitSystem): string =>
  units === "metric"
    ? text
    : text.replace(
        QUANTITY,
        (_whole, low: string, between: string | undefined, high: string | undefined, unit: string) => {
          const other = US[unit]!;
          const say = (figure: string) => round(other.of(Number(figure.replace(",", "."))), other.unit);
          return `${say(low)}${between && high ? `${between}${say(high)}` : ""} ${other.unit}`;
        },
      );
