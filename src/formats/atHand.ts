import { INGREDIENTS, type IngredientId } from "@/core/book/ingredients";
import { findPlant } from "@/core/book/plants";
import type { HandItem } from "@/core/choose/atHand";
import { toBase, type LocalMeasure } from "@/core/quantity/units";
import { readAmount } from "@/core/quantity/typed/amount";
import type { UnitSystem } from "@/core/quantity/typed/unitWords";

/** Words for how much that are no amount until someone weighs it. */
const HEAPS =
  /^(?:(?:a|an|one|some|two|three|four|five|\d+)\s+)?(?:crates?|sacks?|bags?|barrows?|buckets?|pails?|baskets?|armfuls?|heaps?|piles?|boxes?|box|bunch(?:es)?|trugs?)\s+(?:of\s+)?/i;
const SOME = /^(?:a few|a lot of|lots of|plenty of|some|a|an|the)\s+/i;
const SPOILED = /\b(?:spoiled|spoilt|bruised|overripe|fallen|soft|old|damaged|wilted)\b\s*/i;
const MOULDY = /\b(?:mouldy|moldy|rotten|rotting|rotted)\b\s*/i;

export interface HandLine extends HandItem {
  /** Nothing mouldy goes into anything for crops. */
  readonly mouldy: boolean;
}

/** An ingredient of the book by its name, whole or in part. */
function ingredientNamed(text: string): IngredientId | null {
  const wanted = text.toLowerCase().trim();
  const also: Readonly<Record<string, IngredientId>> = {
    "shells": "shell-raw",
    "eggshells": "shell-raw",
    "egg shells": "shell-raw",
    "rice water": "rice-wash",
    "rinse water": "rice-wash",
    "dung": "dung-aged",
    "manure": "manure-aged",
    "charcoal": "char-lump",
    "leaves": "dry-leaves",
    "kitchen scraps": "scraps",
    "worm castings": "castings",
    "potatoes": "potato",
    "serum": "lactic-culture",
  };
  if (also[wanted]) return also[wanted];
  const ids = Object.keys(INGREDIENTS) as IngredientId[];
  return (
    ids.find((id) => INGREDIENTS[id].name.toLowerCase() === wanted || id === wanted.replace(/\s+/g, "-")) ??
    ids.find((id) => INGREDIENTS[id].name.toLowerCase().startsWith(wanted) && wanted.length > 3) ??
    null
  );
}

function readItem(text: string, system: UnitSystem, measures: readonly LocalMeasure[]): HandLine {
  const read = readAmount(text, system, measures);
  const known = read && read.readings.length > 0 && read.value >= 0 ? read : null;
  const rest = (known ? known.rest : text).trim().replace(/^of\s+/i, "");
  const thing = rest.replace(HEAPS, "").replace(SOME, "").trim();
  const mouldy = MOULDY.test(thing);
  const spoiled = SPOILED.test(thing);
  const name = thing.replace(SPOILED, "").replace(MOULDY, "").trim();
  const plant = findPlant(name);
  const ingredient = plant ? null : ingredientNamed(name);
  const unit = ingredient ? INGREDIENTS[ingredient].stockUnit : "kg";
  const wanted = unit === "kg" ? "mass" : "volume";
  const fitting = known?.readings
    .map((quantity) => toBase(quantity, measures))
    .find(({ dimension, value }) => dimension === wanted && value > 0 && value < 1e6);
  // A number that may be two is asked for, as a crate is.
  const amount = known?.orValue === null ? (fitting?.value ?? null) : null;
  return { text, plant, ingredient, amount, spoiled, mouldy };
}

/**
 * What is at hand, as a person types it: "30 kg of nettles and a crate of spoiled plums". A crate has no weight until it is asked.
 * @returns one line for each thing named; a thing that the book doesn't know has neither plant nor ingredient
 */
export const readAtHand = (text: string, system: UnitSystem, measures: readonly LocalMeasure[] = []): HandLine[] =>
  text
    .split(/\s*(?:,|;|\+|&|\n|\band\b)\s*/i)
    .map((part) => part.trim())
    .filter((part) => part !== "")
    .slice(0, 20)
    .map((part) => readItem(part, system, measures));
