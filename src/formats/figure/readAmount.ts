import { UNITS, type LocalMeasure, type Quantity } from "@/core/quantity/units";
import { parseNumber } from "../numbers";

/** How people write units, in lower case; several units where the word alone does not tell. The first is meant in a metric place. */
const WORDS: Readonly<Record<string, readonly string[]>> = {
  "l|lt|ltr|liter|liters|litre|litres": ["L"],
  "ml|cc|millilitre|millilitres|milliliter|milliliters": ["mL"],
  "m3|m³": ["m3"],
  "gal|gals|gallon|gallons": ["US gal", "imp gal"],
  "us gal|us gallon|us gallons": ["US gal"],
  "imp gal|imperial gallon|imperial gallons|uk gal": ["imp gal"],
  "fl oz|floz|us fl oz|fluid ounce|fluid ounces": ["US fl oz"],
  "oz|ounce|ounces": ["US fl oz", "oz"],
  "cup|cups": ["cup", "US cup"],
  "us cup|us cups": ["US cup"],
  "tbsp|tbs|tablespoon|tablespoons": ["tbsp", "US tbsp"],
  "tsp|teaspoon|teaspoons": ["tsp", "US tsp"],
  "pt|pint|pints|us pt": ["US pt"],
  "qt|quart|quarts|us qt": ["US qt"],
  "kg|kilo|kilos|kilogram|kilograms": ["kg"],
  "g|gram|grams": ["g"],
  "mg": ["mg"],
  "t|tonne|tonnes": ["t"],
  "lb|lbs|pound|pounds": ["lb"],
  "m2|m²|sqm": ["m2"],
  "ha|hectare|hectares": ["ha"],
  "acre|acres|ac": ["acre"],
  "ft2|ft²|sqft": ["ft2"],
  "m|metre|metres|meter|meters": ["m"],
  "cm": ["cm"],
  "ft|foot|feet": ["ft"],
  "in|inch|inches": ["in"],
  "min|minute|minutes": ["min"],
  "h|hr|hrs|hour|hours": ["h"],
  "d|day|days": ["d"],
  "c|°c|celsius": ["°C"],
  "f|°f|fahrenheit": ["°F"],
};
const BY_WORD = new Map(
  Object.entries(WORDS).flatMap(([words, units]) => words.split("|").map((word) => [word, units] as const)),
);
const HALVES: Readonly<Record<string, string>> = { "½": " 1/2", "¼": " 1/4", "¾": " 3/4" };
const AMOUNT = /^(\d[\d.,]*(?:\s+\d+\/\d+|\/\d+)?|\d+\/\d+)\s*(.*)$/;

export type UnitSystem = "metric" | "us";

/** A number as people write amounts: 2,5 or 1 1/2 or ½. Null if it is none. */
function readNumber(text: string): number | null {
  const whole = /^(?:(\d[\d.,]*)\s+)?(\d+)\/(\d+)$/.exec(text.trim());
  if (!whole) return parseNumber(text);
  const [, base, top, bottom] = whole;
  return Number(bottom) === 0 ? null : (base ? (parseNumber(base) ?? NaN) : 0) + Number(top) / Number(bottom);
}

/** The units that a word may mean, the likeliest first; empty for a word that is none. The farm's own measures come before the book's. */
export function readUnit(word: string, system: UnitSystem, measures: readonly LocalMeasure[]): readonly string[] {
  const tidy = word.trim();
  const lower = tidy.toLowerCase();
  const own = measures.find(({ name }) => [name.toLowerCase(), `${name.toLowerCase()}s`].includes(lower));
  if (own) return [own.name];
  const units = BY_WORD.get(lower) ?? (Object.hasOwn(UNITS, tidy) ? [tidy] : []);
  // Cups and spoons are another size in the US; gallons and ounces keep their order.
  return system === "us" && units.some((unit) => unit.startsWith("US "))
    ? units.toSorted((a, b) => Number(b.startsWith("US ")) - Number(a.startsWith("US ")))
    : units;
}

/** An amount as typed, in each unit it may be in, and whatever stands behind it. */
export interface ReadAmount {
  readonly value: number;
  readonly readings: readonly Quantity[];
  readonly rest: string;
}

/**
 * Reads an amount at the start of a text: a number, a unit of up to three words, and the rest.
 * @returns null where no number stands first; no readings where the unit is unknown (then it is the rest)
 * @example readAmount("12 fl oz", "metric", []); // { value: 12, readings: [{ value: 12, unit: "US fl oz" }], rest: "" }
 */
export function readAmount(text: string, system: UnitSystem, measures: readonly LocalMeasure[]): ReadAmount | null {
  const plain = text.replace(/[½¼¾]/g, (sign) => HALVES[sign] ?? sign).trim();
  const match = AMOUNT.exec(plain);
  const value = match ? readNumber(match[1]!) : null;
  if (!match || value === null || !Number.isFinite(value)) return null;
  const words = match[2]!.trim().split(/\s+/).filter(Boolean);
  for (let length = Math.min(3, words.length); length > 0; length -= 1) {
    const units = readUnit(words.slice(0, length).join(" "), system, measures);
    if (units.length > 0)
      return { value, readings: units.map((unit) => ({ value, unit })), rest: words.slice(length).join(" ") };
  }
  return { value, readings: [], rest: words.join(" ") };
}
