import { fromBase, type Quantity } from "@/core/quantity/units";
import type { UnitSystem } from "@/core/quantity/typed/unitWords";
import { formatNumber } from "./numbers";

export type { UnitSystem };

interface Spoken {
  readonly unit: string;
  readonly label: string;
  /** Use it from this many base units up. */
  readonly from: number;
}

const VOLUMES: Record<UnitSystem, readonly Spoken[]> = {
  metric: [
    { unit: "L", label: "L", from: 1 },
    { unit: "mL", label: "mL", from: 0 },
  ],
  us: [
    { unit: "US gal", label: "US gal", from: 3.785411784 },
    { unit: "US fl oz", label: "US fl oz", from: 0.0295 },
    { unit: "US tsp", label: "US tsp", from: 0 },
  ],
};
const MASSES: Record<UnitSystem, readonly Spoken[]> = {
  metric: [
    { unit: "kg", label: "kg", from: 1 },
    { unit: "g", label: "g", from: 0 },
  ],
  us: [
    { unit: "lb", label: "lb", from: 0.45359237 },
    { unit: "oz", label: "oz", from: 0 },
  ],
};
const AREAS: Record<UnitSystem, readonly Spoken[]> = {
  metric: [
    { unit: "ha", label: "ha", from: 10_000 },
    { unit: "m2", label: "m²", from: 0 },
  ],
  us: [
    { unit: "acre", label: "acre", from: 2023 },
    { unit: "ft2", label: "ft²", from: 0 },
  ],
};

function say(
  dimension: "volume" | "mass" | "area",
  value: number,
  scale: readonly Spoken[],
  significant: number,
): string {
  const chosen = scale.find(({ from }) => Math.abs(value) >= from * (1 - 1e-9)) ?? scale[scale.length - 1]!;
  return `${formatNumber(fromBase({ dimension, value }, chosen.unit).value, significant)} ${chosen.label}`;
}

/** @example sayVolume(0.5, "metric"); // "500 mL" */
export const sayVolume = (litres: number, system: UnitSystem, significant = 3): string =>
  say("volume", litres, VOLUMES[system], significant);
/** @example sayMass(1.6, "metric"); // "1.6 kg" */
export const sayMass = (kilograms: number, system: UnitSystem, significant = 3): string =>
  say("mass", kilograms, MASSES[system], significant);
export const sayArea = (squareMetres: number, system: UnitSystem): string =>
  say("area", squareMetres, AREAS[system], 3);

/** An amount as the shed counts it. */
export const sayStock = (amount: number, unit: "kg" | "L", system: UnitSystem, significant = 3): string =>
  unit === "kg" ? sayMass(amount, system, significant) : sayVolume(amount, system, significant);

export function sayTemperature(celsius: number, system: UnitSystem): string {
  const unit = system === "us" ? "°F" : "°C";
  return `${formatNumber(Math.round(fromBase({ dimension: "temperature", value: celsius }, unit).value * 2) / 2)} ${unit}`;
}

/** A difference of temperatures, K, in the farm's degrees. @example sayTemperatureChange(2, "us"); // "3.6 °F" */
export const sayTemperatureChange = (kelvin: number, system: UnitSystem): string =>
  system === "us" ? `${formatNumber(kelvin * 1.8, 2)} °F` : `${formatNumber(kelvin, 2)} °C`;

const MILES_PER_H_OF_M_PER_S = 3600 / 1609.344;

/** @example sayWind(4, "us"); // "9 miles an hour" */
export const sayWind = (metresPerSecond: number, system: UnitSystem): string =>
  system === "us"
    ? `${formatNumber(metresPerSecond * MILES_PER_H_OF_M_PER_S, 2)} miles an hour`
    : `${formatNumber(metresPerSecond, 2)} m/s`;

const PER_LITRE = {
  metric: { unit: "g/L", ofGPerL: 1 },
  us: { unit: "ppm", ofGPerL: 1000 },
} as const;

/** The unit in which a farm's laboratory tells how much of something is in a liquid. A part in a million is a milligram to the litre. */
export const sayContentUnit = (system: UnitSystem): string => PER_LITRE[system].unit;

/** @param gPerL grams to the litre, in the unit of `sayContentUnit` */
export const inContentUnit = (gPerL: number, system: UnitSystem): number => gPerL * PER_LITRE[system].ofGPerL;

/** Grams to the litre, of a figure in the unit of `sayContentUnit`. */
export const gPerLOf = (typed: number, system: UnitSystem): number => typed / PER_LITRE[system].ofGPerL;

const CUBIC_FEET_OF_LITRE = 0.0353146667;

/** @example sayAirFlow(60, "us"); // "2.1 ft³ of air a minute" */
export const sayAirFlow = (litresPerMin: number, system: UnitSystem): string =>
  system === "us"
    ? `${formatNumber(litresPerMin * CUBIC_FEET_OF_LITRE, 2)} ft³ a minute`
    : `${formatNumber(litresPerMin, 2)} L a minute`;

/** Any quantity in its own unit, rounded for a person. */
export const sayQuantity = ({ value, unit }: Quantity): string =>
  `${formatNumber(value, 4)} ${unit === "m2" ? "m²" : unit}`;

/**
 * Money in the farm's currency: one that has a code is written as such money is, any other by its word.
 * @example sayMoney(1234, "EUR"); // "€12.34"
 * @example sayMoney(1234, "crowns"); // "12.34 crowns"
 */
export const sayMoney = (minor: number, currency: string): string =>
  /^[A-Z]{3}$/.test(currency)
    ? new Intl.NumberFormat("en-GB", { style: "currency", currency, currencyDisplay: "narrowSymbol" }).format(
        minor / 100,
      )
    : `${(minor / 100).toFixed(2).replace(/\B(?=(\d{3})+(?!\d))/g, "\u202f")} ${currency}`;

/** A dilution with its convention in sight. @example sayDilution(20); // "1:20" */
export const sayDilution = (partsWater: number): string =>
  partsWater === 0 ? "neat" : `1:${formatNumber(partsWater, 4)}`;
