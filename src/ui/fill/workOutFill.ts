import { findIngredient, type IngredientId, isWater } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import { DomainError } from "@/core/errors";
import { fits } from "@/core/quantity/fits";
import { occupiedLitres } from "@/core/recipe/room";
import { scaleRecipe, type AmountOf, type ScaledLine, type ScaledRecipe, type ScaleRequest } from "@/core/recipe/scale";
import type { StockUnit } from "@/core/book/range";
import { litresAtDepth, vesselShape } from "@/core/recipe/vesselShape";
import type { UnitSystem } from "@/formats/amounts";
import { readInField } from "@/formats/fieldUnits";
import { measurableOf, fieldUnit, typedAmount, type Measurable, type Measured } from "@/formats/measured";
import type { ShelfItem } from "@/services/shed";
import { sayDomain } from "@/words/domain";
import { speechOf } from "@/words/speech";
import { inText } from "@/formats/grammar";

/** What decides how much is made: the vessel, the shed, or an amount that the grower names. */
export type FillSize = "vessel" | "shed" | "amount" | "depth";

export interface FillDraft {
  readonly recipe: Recipe;
  readonly vessel: { readonly volumeL: number; readonly diameterM: number | null };
  readonly size: FillSize;
  /** The named amount, as typed. */
  readonly wanted: string;
  /** How deep the liquid stands in the vessel already, as typed. */
  readonly depth: string;
  readonly include: readonly IngredientId[];
  /** Amounts that the recipe leaves to the grower. */
  readonly stated: readonly AmountOf[];
  readonly substitutes: NonNullable<ScaleRequest["substitutes"]>;
  /** Ingredients picked fresh for this batch, so that the shed need not hold them. */
  readonly picked: ReadonlySet<string>;
  /** Amounts changed by hand, as typed, by line. */
  readonly drafts: Readonly<Record<string, string>>;
  readonly shelf: readonly ShelfItem[];
  /** How amounts are read: in numbers, units, and the farm's own measures. */
  readonly read: (typed: string, of: Measurable) => Measured;
  /** The farm's units: how amounts are offered. */
  readonly units: UnitSystem;
}

/** A line of the recipe with what will really go in, as typed. */
export interface LineDraft extends ScaledLine {
  readonly key: string;
  readonly typed: string;
  /** What was typed, in the stock unit; null while it can't be read. */
  readonly used: number | null;
  /** How it was read where that is not plain, or why it can't be. */
  readonly how: string | null;
  readonly unreadable: string | null;
  readonly changed: boolean;
  readonly pickedNow: boolean;
}

export interface WorkedFill {
  readonly scaled: ScaledRecipe | null;
  readonly problem: string | null;
  /** What goes in now. */
  readonly lines: readonly LineDraft[];
  /** What goes in on a later day; its room is kept. */
  readonly later: readonly ScaledLine[];
  /** What it all takes up, L; 0 while some amount can't be read. */
  readonly filledL: number;
  readonly overBrim: boolean;
}

/** What a recipe's amounts are counted against. */
export function basisOf({ basis }: Recipe): { readonly word: string; readonly unit: StockUnit } {
  const { name, stockUnit } = findIngredient(basis);
  return { word: inText(name), unit: stockUnit };
}

const lineKey = ({ ingredient, part }: ScaledLine) => `${ingredient}/${part}`;
/** The ledger's grain: a gram or a millilitre. */
const toGrain = (amount: number): number => Number(amount.toFixed(3));

function shedLimits({ recipe, include, picked, shelf, substitutes }: FillDraft) {
  const wanted = recipe.ingredients
    // What goes in on a later day is bought by then; it does not hold today back.
    .filter((item) => item.amount.type === "per-basis" && (item.onDay ?? 0) === 0)
    .filter(({ optional, ingredient }) => !optional || include.includes(ingredient))
    .map(({ ingredient }) => substitutes.find(({ instead }) => instead === ingredient)?.use ?? ingredient);
  return [...new Set(wanted)]
    .filter((ingredient) => !isWater(ingredient) && !picked.has(ingredient))
    .map((ingredient) => ({ ingredient, amount: shelf.find((item) => item.ingredientId === ingredient)?.onHand ?? 0 }));
}

/** What was named, in the recipe's basis; or why it can't be read. */
function namedAmount({ recipe, vessel, size, wanted, depth, read: readMeasure, units }: FillDraft): {
  amount: number | null;
  problem: string | null;
} {
  const { word, unit } = basisOf(recipe);
  if (size === "amount") {
    const measured = readMeasure(wanted, measurableOf(recipe.basis));
    return measured.type === "read"
      ? { amount: measured.amount, problem: null }
      : {
          amount: null,
          problem: wanted.trim() === "" ? `How many ${fieldUnit(unit, units)} of ${word}?` : measured.why,
        };
  }
  if (size === "depth") {
    const read = readInField(depth, "cm", units);
    return read.type === "read"
      ? { amount: litresAtDepth(vesselShape(vessel.volumeL, vessel.diameterM), read.value), problem: null }
      : { amount: null, problem: read.type === "nothing" ? "How deep does it stand?" : read.why };
  }
  return { amount: null, problem: null };
}

function scale(draft: FillDraft): { readonly scaled: ScaledRecipe | null; readonly problem: string | null } {
  const { recipe, vessel, size, include, stated, substitutes } = draft;
  try {
    const { amount, problem } = namedAmount(draft);
    if (problem) return { scaled: null, problem };
    const limits = size === "shed" ? shedLimits(draft) : [];
    const missing = limits.find(({ amount: held }) => held <= 0);
    if (missing)
      return { scaled: null, problem: `The shed has no ${inText(findIngredient(missing.ingredient).name)}.` };
    return {
      scaled: scaleRecipe({
        recipe,
        vesselL: vessel.volumeL,
        diameterM: vessel.diameterM,
        include,
        stated,
        substitutes,
        limits,
        ...(amount === null ? {} : { targetBasis: amount }),
      }),
      problem: null,
    };
  } catch (error) {
    if (error instanceof DomainError) return { scaled: null, problem: sayDomain(error, speechOf(draft.units)) };
    throw error;
  }
}

/** The fill as it stands while it is being typed: the scaled recipe, each line with its real amount, and whether it all fits. */
export function workOutFill(draft: FillDraft): WorkedFill {
  const { scaled, problem } = scale(draft);
  const all = scaled?.lines ?? [];
  const later = all.filter(({ onDay }) => onDay > 0);
  const lines = all
    .filter(({ onDay }) => onDay === 0)
    .map((line): LineDraft => {
      const key = lineKey(line);
      const changed = draft.drafts[key];
      const typed = changed ?? typedAmount(line.amount, line.unit, draft.units);
      const measured = draft.read(typed, measurableOf(line.ingredient));
      return {
        ...line,
        key,
        typed,
        // What nobody touched goes in as it was worked out; the rounding is for the eye.
        used: changed === undefined ? toGrain(line.amount) : measured.type === "read" ? toGrain(measured.amount) : null,
        how: measured.type === "read" ? measured.how : null,
        unreadable: measured.type === "read" ? null : measured.why,
        changed: changed !== undefined,
        pickedNow: draft.picked.has(line.ingredient),
      };
    });
  const amounts = lines.map(({ ingredient, part, used }) => ({ ingredient, part, amount: used ?? -1 }));
  const readable = scaled !== null && amounts.every(({ amount }) => amount >= 0);
  const filledL = readable ? occupiedLitres(draft.recipe, [...amounts, ...later]) : 0;
  return { scaled, problem, lines, later, filledL, overBrim: !fits(filledL, draft.vessel.volumeL) };
}

/** Whether what the shed may give is too little, and what it holds back by a soft hold would make it up. */
export function leansOnHeld(lines: readonly LineDraft[], shelf: readonly ShelfItem[]): boolean {
  return lines.some(({ ingredient, used, pickedNow }) => {
    const item = shelf.find(({ ingredientId }) => ingredientId === ingredient);
    if (!item || pickedNow || used === null || fits(used, item.onHand)) return false;
    return item.softHeld > 0 && fits(used, item.onHand + item.softHeld);
  });
}
