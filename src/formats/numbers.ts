import { counted } from "./grammar";
import { readNumber } from "@/core/quantity/typed/number";

/**
 * A number with no more digits than a farm can use: so many significant ones, no trailing zeros, thin spaces between thousands.
 * @example formatNumber(1412.3, 4); // "1 412"
 */
export function formatNumber(value: number, significant = 3): string {
  if (value === 0) return "0";
  const digitsBefore = Math.floor(Math.log10(Math.abs(value))) + 1;
  const decimals = Math.max(0, significant - digitsBefore);
  const rounded = Number(value.toFixed(Math.min(decimals, 6)));
  const [whole = "0", fraction] = rounded.toString().split(".");
  const grouped = whole.replace(/\B(?=(\d{3})+(?!\d))/g, "\u202f");
  return fraction ? `${grouped}.${fraction}` : grouped;
}

/**
 * Reads a number as people type it, with either decimal mark, spaces or marks between thousands, fractions. Null if it is none, or if it may be
 * two: then `numberDoubt` says which.
 * @example parseNumber("1 412,5"); // 1412.5
 */
export function parseNumber(text: string): number | null {
  const [value, other] = readNumber(text);
  return value === undefined || other !== undefined ? null : value;
}

/**
 * What to say of a number that may be two; null where it is one or none.
 * @example numberDoubt("1,500"); // "1,500 may be 1500 or 1.5. Write it that way."
 */
export function numberDoubt(text: string): string | null {
  const [value, other] = readNumber(text);
  return value === undefined || other === undefined
    ? null
    : `${text.trim()} may be ${other} or ${value}. Write it that way.`;
}

/**
 * A number that may be left out: null for nothing, NaN for what is typed and is none, so that the form marks it and does not drop it.
 * @example readOptional("a bit"); // NaN
 */
export const readOptional = (text: string): number | null => (text.trim() === "" ? null : (parseNumber(text) ?? NaN));

/** Colder or hotter than this no thermometer in a yard reads, in degrees of either kind. */
const NO_READING = 500;

/**
 * A temperature as typed, in the farm's degrees.
 * @returns °C to the tenth; null for nothing typed, NaN for what is no temperature, so that its field is marked
 */
export function readCelsius(text: string, system: "metric" | "us"): number | null {
  const typed = readOptional(text);
  if (typed === null) return null;
  if (!(Math.abs(typed) < NO_READING)) return NaN;
  const celsius = system === "us" ? ((typed - 32) * 5) / 9 : typed;
  return Number(celsius.toFixed(1));
}

/** A place in an order. @example ordinal(2); // "2nd" */
export function ordinal(place: number): string {
  const tens = place % 100;
  const ending =
    tens >= 11 && tens <= 13 ? "th" : (({ 1: "st", 2: "nd", 3: "rd" } as Record<number, string>)[place % 10] ?? "th");
  return `${place}${ending}`;
}

/** @example plural(1, "can"); // "1 can" */
export const plural = (count: number, noun: string, nouns = `${noun}s`): string =>
  counted(count, { one: `# ${noun}`, other: `# ${nouns}` });
