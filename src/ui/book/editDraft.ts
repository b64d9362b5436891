import { findIngredient } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import type { Cue, MethodIngredient, Step } from "@/core/book/types";
import { documentOf, type RecipeDocument } from "@/core/recipe/document";
import { fromBase, toBase } from "@/core/quantity/units";
import type { UnitSystem } from "@/formats/amounts";
import { parseNumber } from "@/formats/numbers";

export interface AmountDraft {
  readonly low: string;
  readonly usual: string;
  readonly high: string;
}

/** A recipe while it is changed, as typed. */
export interface EditDraft {
  readonly name: string;
  readonly source: string;
  readonly note: string;
  readonly fillPercent: string;
  readonly amounts: readonly (AmountDraft | null)[];
  readonly steps: readonly Step[];
  readonly cues: readonly Cue[];
  readonly dilutions: readonly string[];
}

const rangeOf = ({ amount }: MethodIngredient) =>
  amount.type === "per-basis"
    ? amount.perBasis
    : amount.type === "fixed"
      ? amount.amount
      : amount.type === "per-surface"
        ? amount.thicknessM
        : null;
const US_OF = {
  kg: fromBase({ dimension: "mass", value: 1 }, "lb").value,
  L: fromBase({ dimension: "volume", value: 1 }, "US gal").value,
};
const IN_OF_M = fromBase(toBase({ value: 1, unit: "m" }), "in").value;

/** What an ingredient's figure is multiplied by, so that it is in the units that the farm types. */
export function inFarmUnits({ amount, ingredient }: MethodIngredient, recipe: Recipe, units: UnitSystem): number {
  if (units === "metric") return 1;
  const { stockUnit } = findIngredient(ingredient);
  if (amount.type === "per-surface") return IN_OF_M;
  return amount.type === "per-basis"
    ? US_OF[stockUnit] / US_OF[findIngredient(recipe.basis).stockUnit]
    : US_OF[stockUnit];
}

/** As fine as it is measured: what was turned into other units has no more digits for it. */
const said = (value: number, factor = 1) => String(Number((value * factor).toPrecision(factor === 1 ? 6 : 3)));

export const draftOf = (recipe: Recipe, units: UnitSystem): EditDraft => ({
  name: recipe.school.name,
  source: "",
  note: "",
  fillPercent: said(recipe.fillShare.default * 100),
  amounts: recipe.ingredients.map((line) => {
    const range = rangeOf(line);
    const factor = inFarmUnits(line, recipe, units);
    return range
      ? { low: said(range.low, factor), usual: said(range.default, factor), high: said(range.high, factor) }
      : null;
  }),
  steps: recipe.steps,
  cues: recipe.cues,
  dilutions: recipe.uses.map(({ partsWater }) => said(partsWater.default)),
});

/** NaN stands for what can't be read; the schema then says so at its field. */
export const read = (text: string): number => parseNumber(text) ?? NaN;

function withRange(line: MethodIngredient, draft: AmountDraft | null, factor: number): MethodIngredient {
  const was = rangeOf(line);
  if (!draft || !was) return line;
  // What nobody touched stays as it was, to the last digit.
  const figure = (text: string, before: number) => (text === said(before, factor) ? before : read(text) / factor);
  const range = {
    low: figure(draft.low, was.low),
    default: figure(draft.usual, was.default),
    high: figure(draft.high, was.high),
  };
  const { amount } = line;
  switch (amount.type) {
    case "per-basis":
      return { ...line, amount: { ...amount, perBasis: range } };
    case "fixed":
      return { ...line, amount: { ...amount, amount: range } };
    case "per-surface":
      return { ...line, amount: { ...amount, thicknessM: range } };
    case "unknown":
      return line;
  }
}

/** The document as it is typed. */
export function documentFrom(recipe: Recipe, draft: EditDraft, units: UnitSystem): RecipeDocument {
  const fill = read(draft.fillPercent) / 100;
  return {
    ...documentOf(recipe, { name: draft.name.trim(), source: draft.source.trim(), note: draft.note.trim() }),
    fillShare: {
      low: Math.min(recipe.fillShare.low, fill),
      default: fill,
      high: Math.max(recipe.fillShare.high, fill),
    },
    ingredients: recipe.ingredients.map((line, index) =>
      withRange(line, draft.amounts[index] ?? null, inFarmUnits(line, recipe, units)),
    ),
    steps: draft.steps,
    cues: draft.cues,
    uses: recipe.uses.map((rate, index) => {
      const usual = read(draft.dilutions[index]!);
      return {
        ...rate,
        partsWater: {
          strongest: Math.min(rate.partsWater.strongest, usual),
          default: usual,
          weakest: Math.max(rate.partsWater.weakest, usual),
        },
      };
    }),
  };
}

/** Whether every figure of it can be read. */
export const isReadable = (document: RecipeDocument): boolean =>
  [...document.ingredients.flatMap((line) => Object.values(rangeOf(line) ?? {})), document.fillShare.default].every(
    Number.isFinite,
  );
