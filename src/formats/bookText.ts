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
/** A thousandth of a litre or kilogram to a litre or kilogram, as an ounce to a gallon or pound. */
const dose = (dimension: "volume" | "mass", to: "volume" | "mass"): Other => {
  const [small, large] = [dimension === "volume" ? "US fl oz" : "oz", to === "volume" ? "US gal" : "lb"];
  const each = fromBase({ dimension, value: 0.001 }, small).value / fromBase({ dimension: to, value: 1 }, large).value;
  return { unit: `${small} per ${large}`, of: (figure) => figure * each };
};
/** The international inch (1959). */
const IN_PER_CM = 1 / 2.54;

/** What the book's units are called on a farm that talks US units. */
const US: Readonly<Record<string, Other>> = {
  "mL/L": dose("volume", "volume"),
  "g/L": dose("mass", "volume"),
  "g/kg": dose("mass", "mass"),
  "mL/kg": dose("volume", "mass"),
  "°C": { unit: "°F", of: (celsius) => fromBase({ dimension: "temperature", value: celsius }, "°F").value },
  "mL": scaled("volume", 0.001, "US fl oz"),
  "L": scaled("volume", 1, "US gal"),
  "kg": scaled("mass", 1, "lb"),
  "g": scaled("mass", 0.001, "oz"),
  "cm": { unit: "in", of: (figure) => figure * IN_PER_CM },
  "mm": { unit: "in", of: (figure) => figure * IN_PER_CM * 0.1 },
};
// A comma before three figures may part thousands or decimals, a blank may part thousands: what could be either is left as it is.
const FIGURE = String.raw`[-−]?\d+(?:\.\d+|,(?!\d{3}\b)\d+)?`;
const QUANTITY = new RegExp(
  String.raw`(?<!\d[\s.,]?)(${FIGURE})(?:( to | or | and |–|-)(${FIGURE}))? ?(mL/L|g/L|mL/kg|g/kg|°C|mL|L|kg|g|cm|mm)(?![\w/²])`,
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
          const say = (figure: string) =>
            round(other.of(Number(figure.replace(",", ".").replace("−", "-"))), other.unit);
          return `${say(low)}${between && high ? `${between}${say(high)}` : ""} ${other.unit}`;
        },
      );

/**
 * How much of an ingredient goes to a litre or kilogram of what it is mixed into.
 * @param thousandths g or mL to the L or kg
 * @example sayDose(10, "L", "L", "us"); // "1.28 US fl oz per US gal"
 */
export function sayDose(thousandths: number, of: "kg" | "L", basis: "kg" | "L", units: UnitSystem): string {
  const unit = `${of === "kg" ? "g" : "mL"}/${basis}`;
  const other = units === "us" ? US[unit]! : { unit, of: (figure: number) => figure };
  return `${formatNumber(other.of(thousandths), 3)} ${other.unit}`;
}
