import { DomainError } from "../errors";

/** What a unit measures. Volume is kept in L, mass in kg, area in m², length in m, time in s, temperature in °C. */
export type Dimension = "volume" | "mass" | "area" | "length" | "time" | "temperature";

/** An amount as it crosses an edge of the core: a number and the unit it is in. */
export interface Quantity {
  readonly value: number;
  readonly unit: string;
}

/** One of the farm's own measures: seven of its pails are so many litres. */
export interface LocalMeasure {
  readonly name: string;
  readonly quantity: Quantity;
}

interface UnitDefinition {
  readonly dimension: Dimension;
  /** Base units in one of this unit; temperature has its own rule in `convert`. */
  readonly inBase: number;
}

// NIST Special Publication 811 (2008), appendix B.8: the inch is 25.4 mm, the US gallon 231 in³, the pound 0.45359237 kg, all exact.
const US_GALLON_L = 3.785411784;
const POUND_KG = 0.45359237;
const FOOT_M = 0.3048;
// Weights and Measures Act 1985 (UK), schedule 1: exact.
const IMPERIAL_GALLON_L = 4.54609;

export const UNITS = {
  "mL": { dimension: "volume", inBase: 1e-3 },
  "L": { dimension: "volume", inBase: 1 },
  "m3": { dimension: "volume", inBase: 1e3 },
  "US fl oz": { dimension: "volume", inBase: US_GALLON_L / 128 },
  "US cup": { dimension: "volume", inBase: US_GALLON_L / 16 },
  "US tbsp": { dimension: "volume", inBase: US_GALLON_L / 256 },
  "US tsp": { dimension: "volume", inBase: US_GALLON_L / 768 },
  "US pt": { dimension: "volume", inBase: US_GALLON_L / 8 },
  "US qt": { dimension: "volume", inBase: US_GALLON_L / 4 },
  "US gal": { dimension: "volume", inBase: US_GALLON_L },
  "imp gal": { dimension: "volume", inBase: IMPERIAL_GALLON_L },
  "tbsp": { dimension: "volume", inBase: 15e-3 },
  "tsp": { dimension: "volume", inBase: 5e-3 },
  "cup": { dimension: "volume", inBase: 0.25 },
  "g": { dimension: "mass", inBase: 1e-3 },
  "kg": { dimension: "mass", inBase: 1 },
  "mg": { dimension: "mass", inBase: 1e-6 },
  "t": { dimension: "mass", inBase: 1e3 },
  "oz": { dimension: "mass", inBase: POUND_KG / 16 },
  "lb": { dimension: "mass", inBase: POUND_KG },
  "m2": { dimension: "area", inBase: 1 },
  "ha": { dimension: "area", inBase: 1e4 },
  // 1 acre = 43 560 ft²; the international foot (NIST SP 811, B.8).
  "acre": { dimension: "area", inBase: 43560 * FOOT_M ** 2 },
  "ft2": { dimension: "area", inBase: FOOT_M ** 2 },
  "m": { dimension: "length", inBase: 1 },
  "cm": { dimension: "length", inBase: 1e-2 },
  "ft": { dimension: "length", inBase: FOOT_M },
  "in": { dimension: "length", inBase: FOOT_M / 12 },
  "min": { dimension: "time", inBase: 60 },
  "h": { dimension: "time", inBase: 3600 },
  "d": { dimension: "time", inBase: 86400 },
  "°C": { dimension: "temperature", inBase: 1 },
  "°F": { dimension: "temperature", inBase: 1 },
} as const satisfies Record<string, UnitDefinition>;

export type UnitName = keyof typeof UNITS;
export const UNIT_NAMES = Object.keys(UNITS) as readonly UnitName[];

/** An amount in the unit that its dimension is kept in. */
export interface BaseAmount {
  readonly dimension: Dimension;
  readonly value: number;
}

const celsiusFromFahrenheit = (fahrenheit: number) => ((fahrenheit - 32) * 5) / 9;
const fahrenheitFromCelsius = (celsius: number) => (celsius * 9) / 5 + 32;
const ABSOLUTE_ZERO_C = -273.15;

function findUnit(unit: string, measures: readonly LocalMeasure[], path: string): UnitDefinition {
  if (Object.hasOwn(UNITS, unit)) return UNITS[unit as UnitName];
  const measure = measures.find((candidate) => candidate.name === unit);
  if (!measure) throw new DomainError("unknown-unit", { unit }, path);
  const size = toBase(measure.quantity, [], path);
  if (!(size.value > 0))
    throw new DomainError("not-positive", { what: ["measure", unit], value: size.value, unit: "" }, path);
  return { dimension: size.dimension, inBase: size.value };
}

/**
 * Brings a quantity to its dimension's own unit.
 * @param measures the farm's own measures, each of a positive size in a standard unit
 * @throws {DomainError} `unknown-unit`, `not-positive` (a measure of no size), `out-of-range` (not a number, or colder than absolute zero)
 */
export function toBase(quantity: Quantity, measures: readonly LocalMeasure[] = [], path = ""): BaseAmount {
  const { dimension, inBase } = findUnit(quantity.unit, measures, `${path}/unit`);
  if (!Number.isFinite(quantity.value)) {
    throw new DomainError(
      "out-of-range",
      { what: "amount", value: quantity.value, unit: quantity.unit, min: -1e12, max: 1e12 },
      `${path}/value`,
    );
  }
  if (dimension !== "temperature") return { dimension, value: quantity.value * inBase };
  const celsius = quantity.unit === "°F" ? celsiusFromFahrenheit(quantity.value) : quantity.value;
  if (celsius < ABSOLUTE_ZERO_C) {
    throw new DomainError(
      "out-of-range",
      { what: "temperature", value: celsius, unit: "°C", min: ABSOLUTE_ZERO_C, max: 1e4 },
      `${path}/value`,
    );
  }
  return { dimension, value: celsius };
}

/**
 * Expresses an amount kept in base units in another unit of the same dimension.
 * @throws {DomainError} `unknown-unit`, `dimension-mismatch`
 */
export function fromBase(
  amount: BaseAmount,
  unit: string,
  measures: readonly LocalMeasure[] = [],
  path = "/to",
): Quantity {
  const target = findUnit(unit, measures, path);
  if (target.dimension !== amount.dimension) {
    throw new DomainError(
      "dimension-mismatch",
      { from: `An amount of ${amount.dimension}`, to: `${target.dimension} (${unit})` },
      path,
    );
  }
  if (target.dimension === "temperature") {
    return { value: unit === "°F" ? fahrenheitFromCelsius(amount.value) : amount.value, unit };
  }
  return { value: amount.value / target.inBase, unit };
}
