import { DomainError } from "../errors";
import { fromBase, toBase, type BaseAmount, type Dimension, type LocalMeasure, type Quantity, UNITS } from "./units";

export interface ConvertOptions {
  /** kg/L, lets a volume become a mass and back; null when the ingredient's density is not known. */
  readonly densityKgPerL?: number | null;
  readonly ingredient?: string;
  readonly measures?: readonly LocalMeasure[];
}

/**
 * Refuses measures that would hide a standard unit or that have no size.
 * @throws {DomainError} `measure-shadows-unit`, `not-positive`, `unknown-unit`
 */
export function checkMeasures(measures: readonly LocalMeasure[]): void {
  measures.forEach((measure, index) => {
    if (Object.hasOwn(UNITS, measure.name))
      throw new DomainError("measure-shadows-unit", { name: measure.name }, `/measures/${index}/name`);
    const size = toBase(measure.quantity, [], `/measures/${index}/quantity`);
    if (!(size.value > 0)) {
      throw new DomainError(
        "not-positive",
        { what: ["measure", measure.name], value: measure.quantity.value, unit: measure.quantity.unit },
        `/measures/${index}/quantity/value`,
      );
    }
  });
}

function acrossByDensity(amount: BaseAmount, wanted: Dimension, options: ConvertOptions): BaseAmount {
  const pair = `${amount.dimension}>${wanted}`;
  if (pair !== "volume>mass" && pair !== "mass>volume") return amount;
  if (!options.densityKgPerL)
    throw new DomainError("density-unknown", { ingredient: options.ingredient ?? null }, "/ingredient");
  return pair === "volume>mass"
    ? { dimension: "mass", value: amount.value * options.densityKgPerL }
    : { dimension: "volume", value: amount.value / options.densityKgPerL };
}

/**
 * Converts a quantity to another unit; between volume and mass by the ingredient's density.
 * @returns the same amount in `unit`, at full precision
 * @throws {DomainError} `unknown-unit`, `dimension-mismatch`, `density-unknown`, `measure-shadows-unit`, `not-positive`
 * @example convert({ value: 12, unit: "US gal" }, "L").value; // 45.424941408
 */
export function convert(quantity: Quantity, unit: string, options: ConvertOptions = {}): Quantity {
  const measures = options.measures ?? [];
  checkMeasures(measures);
  const amount = toBase(quantity, measures, "/quantity");
  const wanted = Object.hasOwn(UNITS, unit)
    ? UNITS[unit as keyof typeof UNITS].dimension
    : toBase({ value: 1, unit }, measures, "/to").dimension;
  return fromBase(acrossByDensity(amount, wanted, options), unit, measures);
}

/** Litres in a quantity of volume, or of mass where the density is known. @throws {DomainError} as `convert` */
export const litresIn = (quantity: Quantity, options: ConvertOptions = {}): number =>
  convert(quantity, "L", options).value;

/** Kilograms in a quantity of mass, or of volume where the density is known. @throws {DomainError} as `convert` */
export const kilogramsIn = (quantity: Quantity, options: ConvertOptions = {}): number =>
  convert(quantity, "kg", options).value;
