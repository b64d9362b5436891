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

/** Reads a number as people type it, with a comma or a point, spaces between thousands; null if it is none. */
export function parseNumber(text: string): number | null {
  const tidy = text.replace(/[\s\u202f]/g, "").replace(",", ".");
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(tidy) ? Number(tidy) : null;
}

/**
 * A number that may be left out: null for nothing, NaN for what is typed and is none, so that the form marks it and does not drop it.
 * @example readOptional("a bit"); // NaN
 */
export const readOptional = (text: string): number | null => (text.trim() === "" ? null : (parseNumber(text) ?? NaN));

/** @example plural(1, "can"); // "1 can" */
export const plural = (count: number, noun: string): string =>
  `${formatNumber(count, 6)} ${noun}${count === 1 ? "" : "s"}`;
