import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import { DomainError } from "@/core/errors";
import { occupiedLitres } from "@/core/recipe/room";
import { scaleRecipe, type ScaledLine, type ScaledRecipe } from "@/core/recipe/scale";
import type { StockUnit } from "@/core/book/range";
import { parseNumber } from "@/formats/numbers";
import type { ShelfItem } from "@/services/readShed";

/** What decides how much is made: the vessel, the shed, or an amount that the grower names. */
export type FillSize = "vessel" | "shed" | "amount";

export interface FillDraft {
  readonly recipe: Recipe;
  readonly vessel: { readonly volumeL: number; readonly diameterM: number | null };
  readonly size: FillSize;
  /** The named amount, as typed. */
  readonly wanted: string;
  readonly include: readonly IngredientId[];
  /** Ingredients picked fresh for this batch, so that the shed need not hold them. */
  readonly picked: ReadonlySet<string>;
  /** Amounts changed by hand, as typed, by line. */
  readonly drafts: Readonly<Record<string, string>>;
  readonly shelf: readonly ShelfItem[];
}

/** A line of the recipe with what will really go in, as typed. */
export interface LineDraft extends ScaledLine {
  readonly key: string;
  readonly typed: string;
  readonly changed: boolean;
  readonly pickedNow: boolean;
}

export interface FillPlan {
  readonly scaled: ScaledRecipe | null;
  readonly problem: string | null;
  readonly lines: readonly LineDraft[];
  /** What it all takes up, L; 0 while some amount can't be read. */
  readonly filledL: number;
  readonly overBrim: boolean;
}

/** What a recipe's amounts are counted against. */
export function basisOf({ basis }: Recipe): { readonly word: string; readonly unit: StockUnit } {
  const { name, stockUnit } = findIngredient(basis);
  return { word: name.toLowerCase(), unit: stockUnit };
}

const lineKey = ({ ingredient, part }: ScaledLine) => `${ingredient}/${part}`;
/** Digits to offer: a tenth of a litre of water, a millilitre of molasses. */
const digitsFor = (amount: number) => (amount >= 20 ? 1 : amount >= 2 ? 2 : 3);

function shedLimits({ recipe, include, picked, shelf }: FillDraft) {
  const wanted = recipe.ingredients
    .filter((item) => item.amount.type === "per-basis" && (!item.optional || include.includes(item.ingredient)))
    .map(({ ingredient }) => ingredient);
  return [...new Set(wanted)]
    .filter((ingredient) => ingredient !== "water" && !picked.has(ingredient))
    .map((ingredient) => ({ ingredient, amount: shelf.find((item) => item.ingredientId === ingredient)?.onHand ?? 0 }));
}

function scale(draft: FillDraft): { readonly scaled: ScaledRecipe | null; readonly problem: string | null } {
  const { recipe, vessel, size, include } = draft;
  const amount = size === "amount" ? parseNumber(draft.wanted) : null;
  const { word, unit } = basisOf(recipe);
  if (size === "amount" && amount === null) return { scaled: null, problem: `How many ${unit} of ${word}?` };
  const limits = size === "shed" ? shedLimits(draft) : [];
  const missing = limits.find(({ amount: held }) => held <= 0);
  if (missing)
    return { scaled: null, problem: `The shed has no ${findIngredient(missing.ingredient).name.toLowerCase()}.` };
  try {
    const target = amount === null ? {} : { targetBasis: amount };
    return {
      scaled: scaleRecipe({
        recipe,
        vesselL: vessel.volumeL,
        diameterM: vessel.diameterM,
        include,
        limits,
        ...target,
      }),
      problem: null,
    };
  } catch (error) {
    if (error instanceof DomainError) return { scaled: null, problem: error.message };
    throw error;
  }
}

/** The fill as it stands while it is being typed: the scaled recipe, each line with its real amount, and whether it all fits. */
export function planFill(draft: FillDraft): FillPlan {
  const { scaled, problem } = scale(draft);
  const lines = (scaled?.lines ?? []).map((line): LineDraft => {
    const key = lineKey(line);
    const typed = draft.drafts[key];
    return {
      ...line,
      key,
      typed: typed ?? line.amount.toFixed(digitsFor(line.amount)),
      changed: typed !== undefined,
      pickedNow: draft.picked.has(line.ingredient),
    };
  });
  const amounts = lines.map(({ ingredient, part, typed }) => ({ ingredient, part, amount: parseNumber(typed) ?? -1 }));
  const filledL = scaled && amounts.every(({ amount }) => amount >= 0) ? occupiedLitres(draft.recipe, amounts) : 0;
  return { scaled, problem, lines, filledL, overBrim: filledL > draft.vessel.volumeL };
}
