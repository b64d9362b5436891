import { readAmount } from "@/core/quantity/typed/amount";
import { fromBase, toBase, type UnitName } from "@/core/quantity/units";
import { sayMass, sayMoney, type UnitSystem } from "./amounts";
import { formatNumber, numberDoubt, parseNumber } from "./numbers";

/** What a field may count in besides litres and kilograms. */
export type FieldMeasure = "m" | "cm" | "m2";

const UNIT_OF: Readonly<Record<FieldMeasure, Readonly<Record<UnitSystem, UnitName>>>> = {
  m: { metric: "m", us: "ft" },
  cm: { metric: "cm", us: "in" },
  m2: { metric: "m2", us: "ft2" },
};
const WORDS: Partial<Record<UnitName, string>> = { m2: "m²", ft2: "ft²" };
const labelOf = (unit: UnitName) => WORDS[unit] ?? unit;

/** The unit that stands beside such a field, and in which a bare number is. @example sayFieldUnit("m2", "us"); // "ft²" */
export const sayFieldUnit = (measure: FieldMeasure, system: UnitSystem): string => labelOf(UNIT_OF[measure][system]);

export type TypedMeasure =
  | {
      readonly type: "read";
      /** In m or m². */
      readonly value: number;
      /** How it was read, where another unit was typed than stands beside the field. */
      readonly how: string | null;
    }
  | { readonly type: "nothing" }
  | { readonly type: "unreadable"; readonly why: string };

/**
 * A length or an area as it is typed: a bare number is in the unit beside the field, any other unit of its kind may follow.
 * @example readInField("4", "m", "us"); // value 1.2192
 * @example readInField("5 ft 6 in", "m", "metric"); // value 1.6764
 */
export function readInField(text: string, measure: FieldMeasure, system: UnitSystem): TypedMeasure {
  if (text.trim() === "") return { type: "nothing" };
  const unit = UNIT_OF[measure][system];
  const unreadable = (why: string): TypedMeasure => ({ type: "unreadable", why });
  const read = readAmount(text, system, []);
  if (!read) return unreadable(`A number, please, in ${labelOf(unit)}.`);
  const doubt = numberDoubt(read.typedNumber);
  if (doubt) return unreadable(doubt);
  const { dimension } = toBase({ value: 1, unit });
  const given = read.readings.map((quantity) => toBase(quantity)).find((base) => base.dimension === dimension);
  if (read.rest !== "" || (!given && read.readings.length > 0))
    return unreadable(`"${read.rest || text.trim()}" is not understood: a number, in ${labelOf(unit)}.`);
  if (!given) return { type: "read", value: toBase({ value: read.value, unit }).value, how: null };
  const asWritten = read.readings.some((one) => one.unit === unit && one.value === parseNumber(read.typedNumber));
  return {
    type: "read",
    value: given.value,
    how: asWritten ? null : `${formatNumber(fromBase(given, unit).value, 4)} ${labelOf(unit)}`,
  };
}

/**
 * The same for a form that marks its own fields: null where nothing is typed, NaN where it can't be read.
 * @returns m or m²
 */
export function valueInField(text: string, measure: FieldMeasure, system: UnitSystem): number | null {
  const read = readInField(text, measure, system);
  return read.type === "read" ? Number(read.value.toFixed(4)) : read.type === "nothing" ? null : NaN;
}

/**
 * A length or an area as it stands in such a field, ready to be changed.
 * @param value in m or m²
 * @example typedInField(1.2192, "m", "us"); // "4"
 */
export function typedInField(value: number, measure: FieldMeasure, system: UnitSystem): string {
  const base = toBase({ value, unit: measure === "m2" ? "m2" : "m" });
  return String(Number(fromBase(base, UNIT_OF[measure][system]).value.toFixed(2)));
}

/** How much of a mix an area, a plant, or what has no size gets is typed in units that growers of either system think in. */
const MIX_RATE = {
  m2: {
    metric: { label: "L per m²", litres: 1 },
    us: {
      label: "US gal per 100 ft²",
      litres: toBase({ value: 1, unit: "US gal" }).value / toBase({ value: 100, unit: "ft2" }).value,
    },
  },
  plant: {
    metric: { label: "L per plant", litres: 1 },
    us: { label: "US fl oz per plant", litres: toBase({ value: 1, unit: "US fl oz" }).value },
  },
  whole: {
    metric: { label: "L each", litres: 1 },
    us: { label: "US gal each", litres: toBase({ value: 1, unit: "US gal" }).value },
  },
} as const;

export type MixPer = keyof typeof MIX_RATE;

export const sayMixUnit = (per: MixPer, system: UnitSystem): string => MIX_RATE[per][system].label;

/** A rate in the unit beside its field. @param litres on a square metre or a plant */
export const inMixUnit = (litres: number, per: MixPer, system: UnitSystem): number =>
  Number((litres / MIX_RATE[per][system].litres).toPrecision(3));

/** Litres on a square metre or a plant, of a number in the unit beside its field. */
export const litresOfMix = (typed: number, per: MixPer, system: UnitSystem): number =>
  Number((typed * MIX_RATE[per][system].litres).toPrecision(6));

/** @example sayMixRate(2, "m2", "metric"); // "2 L per m²" */
export const sayMixRate = (litres: number, per: MixPer, system: UnitSystem): string =>
  `${formatNumber(inMixUnit(litres, per, system), 3)} ${sayMixUnit(per, system)}`;

/** What is spread dry on an area. @example sayKgPerArea(0.5, "us"); // "10 lb on 100 ft²" */
export const sayKgPerArea = (kgPerM2: number, system: UnitSystem): string =>
  system === "us"
    ? `${sayMass(kgPerM2 * toBase({ value: 100, unit: "ft2" }).value, system, 2)} on 100 ft²`
    : `${formatNumber(kgPerM2)} kg on the square metre`;

/** What adds up on ground. @example sayGPerArea(17, "metric"); // "17 g/m²" @example sayGPerArea(17, "us"); // "5.6 oz per 100 ft²" */
export const sayGPerArea = (gPerM2: number, system: UnitSystem): string =>
  system === "us"
    ? `${sayMass((gPerM2 / 1000) * toBase({ value: 100, unit: "ft2" }).value, system, 2)} per 100 ft²`
    : `${formatNumber(gPerM2, 2)} g/m²`;

const LB_PER_US_GAL_OF_KG_PER_L =
  fromBase({ dimension: "mass", value: 1 }, "lb").value / fromBase({ dimension: "volume", value: 1 }, "US gal").value;

/** What is weighed to tell a thing's density. */
export const sayWeighed = (system: UnitSystem): string => (system === "us" ? "A US gal weighs" : "A litre weighs");
/** The unit of that weight. */
export const sayWeighedUnit = (system: UnitSystem): string => (system === "us" ? "lb" : "kg");

/** A density in the unit of that weight. */
export const inWeighedUnit = (kgPerL: number, system: UnitSystem): number =>
  system === "us" ? kgPerL * LB_PER_US_GAL_OF_KG_PER_L : kgPerL;
/** Kilograms of a litre, of what was typed in that unit. */
export const kgPerLOf = (typed: number, system: UnitSystem): number =>
  system === "us" ? Number((typed / LB_PER_US_GAL_OF_KG_PER_L).toPrecision(6)) : typed;
/** @example sayDensity(0.65, "metric"); // "0.65 kg" */
export const sayDensity = (kgPerL: number, system: UnitSystem): string =>
  `${formatNumber(inWeighedUnit(kgPerL, system), 2)} ${sayWeighedUnit(system)}`;

const PRICE_PER = {
  kg: { metric: { words: "kg", is: { value: 1, unit: "kg" } }, us: { words: "lb", is: { value: 1, unit: "lb" } } },
  L: { metric: { words: "L", is: { value: 1, unit: "L" } }, us: { words: "US gal", is: { value: 1, unit: "US gal" } } },
  m2: {
    metric: { words: "m²", is: { value: 1, unit: "m2" } },
    us: { words: "100 ft²", is: { value: 100, unit: "ft2" } },
  },
} as const;

/**
 * What each unit costs, in the farm's own.
 * @param minor cents of one kg, L or m²
 * @example sayPricePer(200, "kg", "crowns", "us"); // "0.91 crowns per lb"
 */
export function sayPricePer(minor: number, of: keyof typeof PRICE_PER, currency: string, system: UnitSystem): string {
  const { words, is } = PRICE_PER[of][system];
  return `${sayMoney(minor * toBase(is).value, currency)} per ${words}`;
}
