import { INGREDIENT_IDS, INGREDIENTS, type IngredientId } from "@/core/book/ingredients";
import { UNITS } from "@/core/quantity/units";
import { numberDoubt, parseNumber } from "../numbers";
import { readMeasured, type Measurable } from "../measured";
import type { UnitSystem } from "../amounts";
import type { FileFault } from "./fileFault";

/** The tables that go in and out as CSV. */
export const FILE_KINDS = ["ingredients", "lots", "stock", "plantings", "people", "vessels", "tools", "beds"] as const;
export type FileKind = (typeof FILE_KINDS)[number];

interface Column {
  readonly name: string;
  /** Other heads that people write. */
  readonly also: readonly string[];
  readonly needed: boolean;
}
const column = (name: string, needed: boolean, ...also: string[]): Column => ({ name, also, needed });

/** Columns of each table, in the order in which they are written. */
export const FILE_COLUMNS: Readonly<Record<FileKind, readonly Column[]>> = {
  ingredients: [
    column("name", true, "ingredient", "item"),
    column("counts_as", true, "like", "kind"),
    column("density_kg_per_l", false, "density"),
    column("keeps_days", false, "keeps"),
    column("season", false),
    column("keeping", false),
    column("caution", false, "cautions"),
  ],
  lots: [
    column("lot", false, "lot_no", "lot_number"),
    column("ingredient", true, "name", "item"),
    column("amount", true, "quantity", "qty", "received"),
    column("unit", true, "units"),
    column("origin", false, "from", "source"),
    column("received_on", true, "date", "received", "came_in"),
    column("cost", false, "price"),
    column("expires_on", false, "expires", "expiry", "keeps_to"),
    column("place", false, "location"),
    column("note", false, "notes", "remark"),
  ],
  stock: [
    column("lot", true, "lot_no", "lot_number"),
    column("ingredient", false, "name", "item"),
    column("received_on", false, "date"),
    column("on_hand", true, "counted", "amount", "quantity"),
    column("unit", true, "units"),
    column("place", false, "location"),
  ],
  plantings: [
    column("planting", false, "planting_no", "id"),
    column("plot", true, "bed", "row", "where"),
    column("crop", true, "plant", "culture"),
    column("part", false, "edible_part", "eaten"),
    column("perennial", false),
    column("planted_on", false, "planted", "set_out", "sown_on", "date"),
    column("sown", false, "direct_sown"),
    column("plants", false, "count", "plant_count"),
    column("spacing_cm", false, "spacing"),
    column("harvest_from", false, "first_harvest", "harvest"),
    column("harvest_to", false, "last_harvest"),
    column("cleared_on", false, "ended_on", "cleared"),
  ],
  people: [column("name", true, "person", "who")],
  vessels: [
    column("name", true, "vessel"),
    column("kind", false, "type"),
    column("volume", true, "full_volume", "size", "litres", "gallons", "capacity"),
    column("held_before", false, "before"),
    column("place", false, "site", "location"),
    column("air_w", false, "pump_w", "watts"),
  ],
  tools: [
    column("name", true, "tool"),
    column("kind", false, "type"),
    column("volume", true, "full_volume", "size", "litres", "gallons", "capacity"),
    column("smallest_dose", false, "dose", "step"),
    column("parts_water", false, "ratio"),
  ],
  beds: [
    column("name", true, "bed", "plot", "row"),
    column("length", true, "long"),
    column("width", true, "wide"),
    column("block", false, "group"),
    column("crop", false, "plant"),
  ],
};

const tidy = (head: string) =>
  head
    .replace(/^\uFEFF/, "")
    .trim()
    .toLowerCase()
    .replace(/[\s-]+/g, "_");

export type Heads =
  | { readonly type: "read"; readonly at: Readonly<Record<string, number>>; readonly unknown: readonly string[] }
  | { readonly type: "wrong"; readonly missing: readonly string[]; readonly found: readonly string[] };

/** Which column stands where, whatever their order; missing ones are named, unknown ones left alone. */
export function readHeads(kind: FileKind, heads: readonly string[]): Heads {
  const found = heads.map(tidy);
  const columns = FILE_COLUMNS[kind];
  const at: Record<string, number> = {};
  for (const { name, also } of columns) {
    const exact = found.indexOf(name);
    const place =
      exact >= 0 ? exact : found.findIndex((head, index) => also.includes(head) && !Object.values(at).includes(index));
    if (place >= 0) at[name] = place;
  }
  const missing = columns.filter(({ name, needed }) => needed && at[name] === undefined).map(({ name }) => name);
  if (missing.length > 0) return { type: "wrong", missing, found: heads.map((head) => head.trim()).filter(Boolean) };
  const known = new Set(Object.values(at));
  return { type: "read", at, unknown: heads.filter((head, index) => head.trim() !== "" && !known.has(index)) };
}

/** Tables that people paste a few lines of, without heads; then the columns stand in the order in which they are written. */
const HEADLESS: readonly FileKind[] = ["people", "vessels", "tools", "beds"];

/** The rows of a file with heads in front; those of a pasted table that has none are put there. */
export function withHeads(
  kind: FileKind,
  rows: readonly (readonly string[])[],
): { readonly rows: readonly (readonly string[])[]; readonly headsAdded: boolean } {
  const known = new Set(FILE_COLUMNS[kind].flatMap(({ name, also }) => [name, ...also]));
  const [first = []] = rows;
  const hasHeads = first.some((cell) => known.has(tidy(cell)));
  if (hasHeads || rows.length === 0 || !HEADLESS.includes(kind)) return { rows, headsAdded: false };
  return { rows: [FILE_COLUMNS[kind].map(({ name }) => name), ...rows], headsAdded: true };
}

/** A row's cells by their column, trimmed; what a spreadsheet was kept from running is given back. */
export function cellsOf(
  row: readonly string[],
  at: Readonly<Record<string, number>>,
): Readonly<Record<string, string>> {
  return Object.fromEntries(
    Object.entries(at).map(([name, place]) => [name, (row[place] ?? "").trim().replace(/^'(?='*[=+\-@])/, "")]),
  );
}

/** What a cell said, or what is wrong with it. */
export type Cell<T> = { readonly value: T } | WrongCell;
interface WrongCell {
  readonly fault: FileFault;
  /** Where it is not the cell itself. */
  readonly of?: "unit";
}
export const isFault = <T>(cell: Cell<T>): cell is WrongCell => "fault" in cell;

const DOTTED = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/;
const isDay = (text: string) => {
  const date = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(date.getTime()) && date.toISOString().slice(0, 10) === text;
};

/** A day as 2031-03-20 or 20.3.2031; one with slashes could be either way round and is not guessed at. */
export function readDay(text: string): Cell<string> {
  const dotted = DOTTED.exec(text);
  const iso = dotted ? `${dotted[3]}-${dotted[2]!.padStart(2, "0")}-${dotted[1]!.padStart(2, "0")}` : text;
  if (/^\d{4}-\d{2}-\d{2}$/.test(iso) && isDay(iso)) return { value: iso };
  return { fault: { code: "no-day", typed: text } };
}

/** A number with a point or a comma, not below 0. */
export function readNumberCell(text: string): Cell<number> {
  const value = parseNumber(text);
  const doubt = numberDoubt(text);
  if (doubt !== null) return { fault: { code: "unreadable", why: doubt } };
  if (value === null) return { fault: { code: "no-number", typed: text } };
  return value < 0 ? { fault: { code: "below-zero" } } : { value };
}

/**
 * An amount with its unit, in the stock unit of what it is of. The unit may stand in the amount's own cell ("20 gal"); a gallon is the farm's.
 */
export function readAmountCell(
  amount: string,
  unit: string,
  of: Measurable,
  system: UnitSystem = "metric",
): Cell<number> {
  if (amount === "") return { fault: { code: "how-much" } };
  if (unit === "" && /\p{L}/u.test(amount)) return readWithUnit(amount, of, system);
  const number = readNumberCell(amount);
  if (isFault(number)) return number;
  if (unit === "") return { fault: { code: "which-unit" }, of: "unit" };
  const known = Object.hasOwn(UNITS, unit) ? unit : unit.toLowerCase();
  return readWithUnit(`${number.value} ${known}`, of, system);
}

/** An amount that says its unit itself; a bare number is in the farm's. */
export function readWithUnit(typed: string, of: Measurable, system: UnitSystem): Cell<number> {
  const measured = readMeasured(typed, of, [], system);
  return measured.type === "read"
    ? { value: Number(measured.amount.toFixed(3)) }
    : { fault: { code: "unreadable", why: measured.why } };
}

const plain = (text: string) =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\s_-]+/g, " ");
const BY_NAME = new Map<string, IngredientId>(
  INGREDIENT_IDS.flatMap((id) => [[plain(INGREDIENTS[id].name), id] as const, [plain(id), id] as const]),
);

/** The book's ingredient of a name or id; null for one it doesn't know. */
export const ingredientOfName = (text: string): IngredientId | null => BY_NAME.get(plain(text)) ?? null;
export const sameName = (a: string, b: string): boolean => plain(a) === plain(b);
