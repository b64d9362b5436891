import { toBase, type LocalMeasure, type Quantity } from "../units";
import { readNumber, splitNumber } from "./number";
import { LONGEST_UNIT, readUnit, type UnitSystem } from "./unitWords";

/** An amount as typed, in each unit it may be in, and whatever stands behind it. */
export interface ReadAmount {
  /** The number, the likeliest reading of it. */
  readonly value: number;
  /** Where its mark may part thousands as well: the other reading, which is then asked for or offered. */
  readonly orValue: number | null;
  /** As typed, for saying what was meant. */
  readonly typedNumber: string;
  /** The likeliest first; empty where the unit is unknown (then it is the rest). */
  readonly readings: readonly Quantity[];
  readonly rest: string;
}

/** A unit of up to three words at the start of a text, and what is behind it. */
function unitFirst(text: string, system: UnitSystem, measures: readonly LocalMeasure[]) {
  const words = text.split(/\s+/).filter(Boolean);
  for (let length = Math.min(LONGEST_UNIT, words.length); length > 0; length -= 1) {
    const units = readUnit(words.slice(0, length).join(" "), system, measures);
    if (units.length > 0) return { units, rest: words.slice(length).join(" ") };
  }
  return { units: [], rest: words.join(" ") };
}

/** "2 lb 4 oz": what stands behind, in a smaller unit of the same kind, belongs to it. */
function withSmaller(amount: ReadAmount, system: UnitSystem, measures: readonly LocalMeasure[]): ReadAmount {
  const more = splitNumber(amount.rest);
  if (!more || amount.readings.length === 0 || amount.orValue !== null) return amount;
  const values = readNumber(more.number);
  const { units, rest } = unitFirst(more.rest, system, measures);
  if (values.length !== 1 || units.length === 0) return amount;
  const readings = amount.readings.flatMap((larger): Quantity[] => {
    const one = toBase({ value: 1, unit: larger.unit }, measures);
    if (one.dimension === "temperature") return [];
    const unit = units.find((candidate) => {
      const small = toBase({ value: 1, unit: candidate }, measures);
      return small.dimension === one.dimension && small.value < one.value;
    });
    if (unit === undefined) return [];
    const added = toBase({ value: values[0]!, unit }, measures).value / one.value;
    return [{ value: larger.value + added, unit: larger.unit }];
  });
  return readings.length === 0 ? amount : { ...amount, value: readings[0]!.value, readings, rest };
}

/**
 * Reads an amount at the start of a text: a number, a unit of up to three words, a smaller unit's part after it, and the rest.
 * @returns null where no number stands first
 * @example readAmount("12 fl oz", "metric", []); // value 12, readings [{ value: 12, unit: "US fl oz" }], rest ""
 * @example readAmount("2 lb 4 oz", "us", []); // readings [{ value: 2.25, unit: "lb" }]
 */
export function readAmount(text: string, system: UnitSystem, measures: readonly LocalMeasure[]): ReadAmount | null {
  const split = splitNumber(text);
  const [value, orValue = null] = split ? readNumber(split.number) : [];
  if (!split || value === undefined || !Number.isFinite(value)) return null;
  const { units, rest } = unitFirst(split.rest, system, measures);
  const readings = units.map((unit) => ({ value, unit }));
  return withSmaller({ value, orValue, typedNumber: split.number, readings, rest }, system, measures);
}
