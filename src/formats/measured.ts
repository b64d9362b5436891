import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import { fromBase, toBase, type Quantity } from "@/core/quantity/units";
import { sayStock, type UnitSystem } from "./amounts";
import { splitNumber } from "@/core/quantity/typed/number";
import { formatNumber, numberDoubt } from "./numbers";
import { readAmount } from "@/core/quantity/typed/amount";
import type { OwnMeasure } from "./figure/parts";

/** What an amount is of: the unit it is counted in, and what turns litres of it into kilograms. */
export interface Measurable {
  /** Id in the book, or own-N. */
  readonly itemId: string;
  readonly unit: "kg" | "L";
  readonly densityKgPerL: number | null;
  /** The book's ingredient that one of the farm's own is a kind of: weighed in its place where it was not weighed itself. */
  readonly ingredientId?: string;
}

/** An ingredient as amounts of it are read. */
export function measurableOf(ingredient: IngredientId): Measurable {
  const { stockUnit, densityKgPerL } = findIngredient(ingredient);
  return { itemId: ingredient, unit: stockUnit, densityKgPerL };
}

/** Litres of whatever it is: a can or jug that was weighed with water does. */
export const OF_LITRES: Measurable = { itemId: "water", unit: "L", densityKgPerL: 1 };

/** Kilograms of what nobody measures by the litre. */
export const OF_KILOGRAMS: Measurable = { itemId: "", unit: "kg", densityKgPerL: null };

export type Measured =
  | {
      readonly type: "read";
      /** In the stock unit. */
      readonly amount: number;
      /** How it was read, where that was not plain; between what and what, for a measure with a spread. */
      readonly how: string | null;
    }
  | { readonly type: "unreadable"; readonly why: string };

/** The unit that a farm counts such an amount in: what a bare number in a field means. */
export const fieldUnit = (unit: "kg" | "L", system: UnitSystem): string =>
  system === "metric" ? unit : unit === "kg" ? "lb" : "US gal";

/** Under this much of a pound or gallon nobody types decimals of it: ounces and spoons serve. */
const LEAST_OF_US_UNIT = 0.25;

/**
 * An amount as it stands in a field, ready to be changed: a bare number in the field's unit, or with its own unit where that is a fraction.
 * As fine as anybody measures it; no nought at the end, which could be read as thousands.
 * @param amount in the stock unit
 * @param exact to the gram or millilitre, where what nobody changes must come back as it was
 * @example typedAmount(3.785, "L", "us"); // "1"
 */
export function typedAmount(amount: number, unit: "kg" | "L", system: UnitSystem, exact = false): string {
  const value = fromBase(toBase({ value: amount, unit }), fieldUnit(unit, system)).value;
  if (exact) return String(Number(system === "us" ? value.toPrecision(6) : value.toFixed(3)));
  if (system === "us" && value > 0 && value < LEAST_OF_US_UNIT) return sayStock(amount, unit, system, 4);
  return String(Number(value.toFixed(value >= 20 ? 1 : value >= 2 ? 2 : 3)));
}

const namesOf = (measure: string) => [measure, `${measure}s`, `${measure}es`, `${measure}fuls`];
const unreadable = (why: string): Measured => ({ type: "unreadable", why });

/** Weighings of a measure with this in it, or with water, whose litres do for anything of a known density. */
function weighedFor(measures: readonly OwnMeasure[], word: string, of: Measurable): OwnMeasure | null {
  const named = measures.filter(({ measure }) => namesOf(measure.toLowerCase()).includes(word.trim().toLowerCase()));
  const own = named.find(({ ingredientId }) => ingredientId === of.itemId);
  if (own) return own;
  const like = named.find(({ ingredientId }) => ingredientId === of.ingredientId);
  if (like) return like;
  const water = named.find(({ ingredientId }) => ingredientId === "water");
  if (!water) return null;
  const factor = of.unit === "L" ? 1 : of.densityKgPerL;
  return factor === null
    ? null
    : { ...water, mean: water.mean * factor, least: water.least * factor, most: water.most * factor };
}

function toStock({ value, unit }: Quantity, of: Measurable): number | null {
  const base = toBase({ value, unit });
  const wanted = of.unit === "kg" ? "mass" : "volume";
  if (base.dimension === wanted) return fromBase(base, of.unit).value;
  if (of.densityKgPerL === null) return null;
  if (base.dimension === "volume" && wanted === "mass") return base.value * of.densityKgPerL;
  return base.dimension === "mass" && wanted === "volume" ? base.value / of.densityKgPerL : null;
}

/** Readings in the item's own dimension come first: an ounce of a powder is a weight, of a liquid a volume. */
function ownDimensionFirst(readings: readonly Quantity[], of: Measurable): readonly Quantity[] {
  const own = readings.filter(
    ({ unit }) => toBase({ value: 1, unit }).dimension === (of.unit === "kg" ? "mass" : "volume"),
  );
  return own.length > 0 ? own : readings;
}

/**
 * Reads an amount as it is typed with wet hands: "2,5", "12 oz", "1 1/2 gal", "3 scoops". A bare number is in the field's unit. The farm's own
 * measures go before any unit of that name. Where a mark or a gallon leaves a choice it is asked, not guessed at.
 */
export function readMeasured(
  text: string,
  of: Measurable,
  measures: readonly OwnMeasure[],
  system: UnitSystem,
): Measured {
  if (text.trim() === "") return unreadable("How much?");
  const typed = readAmount(text, system, []);
  if (!typed) return unreadable("A number, please; with a unit or one of our measures after it if you like.");
  if (typed.value < 0) return unreadable("No amount is below nothing.");
  const doubt = numberDoubt(typed.typedNumber);
  if (doubt) return unreadable(doubt);
  const word = splitNumber(text)!.rest;
  const own = word === "" ? null : weighedFor(measures, word, of);
  if (own) {
    const amount = typed.value * own.mean;
    const say = (each: number) => sayStock(typed.value * each, of.unit, system, 3);
    return {
      type: "read",
      amount,
      how:
        own.weighings > 1 && own.most > own.least
          ? `${say(own.mean)}, between ${say(own.least)} and ${say(own.most)}`
          : say(own.mean),
    };
  }
  if (word === "") {
    const amount = fromBase(toBase({ value: typed.value, unit: fieldUnit(of.unit, system) }), of.unit).value;
    return { type: "read", amount, how: null };
  }
  if (typed.readings.length > 0 && typed.rest !== "")
    return unreadable(
      `"${typed.rest}" is left over: ${typed.typedNumber} ${typed.readings[0]!.unit} was read before it.`,
    );
  if (typed.readings.length === 0) {
    const known = [...new Set(measures.map(({ measure }) => measure))];
    const hint = known.includes(word.toLowerCase().replace(/s$/, ""))
      ? `Our ${word.toLowerCase().replace(/s$/, "")} was not weighed with this yet.`
      : `"${word}" is no unit${known.length > 0 ? `, nor one of our measures (${known.join(", ")})` : ""}.`;
    return unreadable(`${hint} Type ${fieldUnit(of.unit, system)}, or weigh one.`);
  }
  const readings = ownDimensionFirst(typed.readings, of);
  if (readings.length > 1 && readings.every(({ unit }) => unit.endsWith("gal")))
    return unreadable(
      `Which gallon? US gal makes ${sayStock(toStock(readings[0]!, of) ?? 0, of.unit, system)}, imp gal ${sayStock(toStock(readings[1]!, of) ?? 0, of.unit, system)}.`,
    );
  const chosen = readings[0]!;
  const amount = toStock(chosen, of);
  if (amount === null) {
    const { dimension } = toBase({ value: 1, unit: chosen.unit });
    return unreadable(
      dimension === "volume" || dimension === "mass"
        ? `Nobody has said what a litre of it weighs: type ${fieldUnit(of.unit, system)}, or weigh a measure of it.`
        : `${typed.typedNumber} ${chosen.unit} is no amount of it: type ${fieldUnit(of.unit, system)}.`,
    );
  }
  return {
    type: "read",
    amount,
    how: chosen.unit === fieldUnit(of.unit, system) ? null : `${sayStock(amount, of.unit, system)} (${chosen.unit})`,
  };
}

/** Halves are as fine as anybody fills a scoop. */
const STEP = 0.5;
const MOST_OF_ONE = 40;

/**
 * An amount in the largest of the farm's measures that holds it in halves, with its spread: "3½ scoops". Null where none fits.
 * @example sayMeasured(1.75, of, measures); // "3½ scoops"
 */
export function sayMeasured(amount: number, of: Measurable, measures: readonly OwnMeasure[]): string | null {
  const named = [...new Set(measures.map(({ measure }) => measure))].flatMap((measure) => {
    const weighed = weighedFor(measures, measure, of);
    return weighed ? [weighed] : [];
  });
  const fits = named
    .filter(({ mean }) => amount / mean >= 1 && amount / mean <= MOST_OF_ONE)
    .toSorted((a, b) => b.mean - a.mean)[0];
  if (!fits) return null;
  const count = Math.round(amount / fits.mean / STEP) * STEP;
  const whole = Math.floor(count);
  const text = count % 1 === 0 ? formatNumber(count) : `${whole === 0 ? "" : formatNumber(whole)}½`;
  return `${text} ${fits.measure}${count === 1 ? "" : "s"}`;
}
