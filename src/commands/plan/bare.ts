import { addDays, daysBetween } from "@/core/calendar";
import { convert } from "@/core/quantity/convert";
import { toBase, type Quantity } from "@/core/quantity/units";

/** Spans that count in days; all else that is a time counts in minutes. */
const IN_DAYS = new Set([
  "clean",
  "use",
  "shelf",
  "hold",
  "lead",
  "keeps",
  "tol",
  "every",
  "endBefore",
  "at",
  "minGap",
  "beforeHarvest",
  "apart",
  "near",
  "far",
]);
const isQuantity = (value: unknown): value is Quantity =>
  typeof value === "object" && value !== null && "value" in value && "unit" in value;
const isDate = (value: unknown): value is string => typeof value === "string" && /^\d{4}-\d\d-\d\d$/.test(value);

/** A measure by the name that says its unit. @param stock the unit that an ingredient counts in */
function measured(name: string, quantity: Quantity, stock: "kg" | "L" | null): readonly [string, number] {
  const { dimension } = toBase(quantity);
  if (name === "amount" && stock !== null) return [name, convert(quantity, stock).value];
  if (dimension === "volume") return [`${name}L`, convert(quantity, "L").value];
  if (dimension === "area") return [`${name}M2`, convert(quantity, "m2").value];
  if (dimension === "time")
    return IN_DAYS.has(name)
      ? [`${name}D`, Math.round(convert(quantity, "d").value)]
      : [`${name}Min`, convert(quantity, "min").value];
  return [name, quantity.value];
}
/** `startOn` is `startDay`, `on` is `day`. */
const dayName = (name: string): string | null =>
  name === "on" ? "day" : name.endsWith("On") ? `${name.slice(0, -2)}Day` : null;
const dateName = (name: string): string | null =>
  name === "day" ? "on" : name.endsWith("Day") && name !== "firstDay" ? `${name.slice(0, -3)}On` : null;

/**
 * A season as people write it, with quantities and dates, in the planner's own terms: litres, days and minutes by their names.
 * @throws {DomainError} `unknown-unit`, `dimension-mismatch`
 */
export function fromBare(value: unknown, firstDay: string, stock: "kg" | "L" | null = null): unknown {
  if (Array.isArray(value)) return value.map((one) => fromBare(one, firstDay, stock));
  if (typeof value !== "object" || value === null) return value;
  const { unit } = value as { unit?: unknown };
  const ownStock = "lots" in value && (unit === "kg" || unit === "L") ? unit : stock;
  return Object.fromEntries(
    Object.entries(value).map(([name, inside]): readonly [string, unknown] => {
      const day = dayName(name);
      if (day !== null && isDate(inside)) return [day, daysBetween(firstDay, inside)];
      return isQuantity(inside) ? measured(name, inside, ownStock) : [name, fromBare(inside, firstDay, ownStock)];
    }),
  );
}

/** A plan in the terms that its season was written in: dates for days, quantities for litres. */
export function toBare(value: unknown, firstDay: string): unknown {
  if (Array.isArray(value)) return value.map((one) => toBare(one, firstDay));
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([name, inside]): readonly [string, unknown] => {
      const date = dateName(name);
      if (date !== null && typeof inside === "number") return [date, addDays(firstDay, inside)];
      if (typeof inside === "number" && /[a-z]L$/.test(name)) return [name.slice(0, -1), { value: inside, unit: "L" }];
      return [name, toBare(inside, firstDay)];
    }),
  );
}
