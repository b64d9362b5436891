import { COMPOSITION, dissolvesWhole, NUTRIENT_IDS, WITHOUT_COMPOSITION, type Nutrient } from "../book/composition";
import { findIngredient, type IngredientId } from "../book/ingredients";
import type { Range } from "../book/range";
import type { Recipe } from "../book/recipe";
import { requirePositive } from "../errors";
import { shellCalcium } from "./shellCalcium";

export interface UsedAmount {
  readonly ingredient: IngredientId;
  readonly amount: number;
}

/** A laboratory's figures for a batch, g/L; they stand in place of what is worked out. */
export type LabFigures = Readonly<Partial<Record<Nutrient, number>>>;

export interface BatchContent {
  /** g in a litre of the strained input: lowest, usual, highest. */
  readonly gPerL: Readonly<Record<Nutrient, Range>>;
  /** Organic or acetic acid left, g/L. Judged by the kind of ferment. */
  readonly acidGPerL: Range;
  readonly measured: readonly Nutrient[];
  /** Went in, but nobody has figures for it. */
  readonly unknown: readonly IngredientId[];
}

const NONE: Range = { low: 0, default: 0, high: 0 };
/** Kitchen and cleaning vinegars as bottled, % w/v. */
const VINEGAR_PERCENT: Range = { low: 4, default: 5, high: 6 };

const plus = (a: Range, b: Range): Range => ({
  low: a.low + b.low,
  default: a.default + b.default,
  high: a.high + b.high,
});
const times = (a: Range, b: Range): Range => ({
  low: a.low * b.low,
  default: a.default * b.default,
  high: a.high * b.high,
});
const by = (a: Range, factor: number): Range => ({
  low: a.low * factor,
  default: a.default * factor,
  high: a.high * factor,
});

const kgOf = ({ ingredient, amount }: UsedAmount): number => {
  const item = findIngredient(ingredient);
  return item.stockUnit === "L" ? amount * (item.densityKgPerL ?? 1) : amount;
};

/** Acid left in the finished input by its kind, g/L. */
function acidOf({ family }: Recipe): Range {
  switch (family) {
    case "acid":
      return { low: 3, default: 8, high: 15 };
    case "sugar":
      return { low: 3, default: 8, high: 20 };
    case "mineral":
      return { low: 0.5, default: 2, high: 6 };
    case "soak":
      return { low: 0, default: 1, high: 4 };
    default:
      return NONE;
  }
}

/** Calcium of shell in vinegar, g/L, by its chemistry: what the acid can hold, weak vinegar to strong. */
function shellCalciumRange(used: readonly UsedAmount[]): Range | null {
  const sum = (id: IngredientId) =>
    used.filter(({ ingredient }) => ingredient === id).reduce((all, line) => all + line.amount, 0);
  const [vinegarL, shellKg] = [sum("vinegar"), sum("eggshell") + sum("shell-meal")];
  if (!(vinegarL > 0) || !(shellKg > 0)) return null;
  const at = (aceticPercent: number) => shellCalcium({ vinegarL, aceticPercent, shellKg }).calciumGPerL;
  return { low: at(VINEGAR_PERCENT.low), default: at(VINEGAR_PERCENT.default), high: at(VINEGAR_PERCENT.high) };
}

/** Bath that a litre of drained char keeps in its pores and between its grains, L; judged. */
const BATH_IN_CHAR: Range = { low: 0.4, default: 0.5, high: 0.6 };

/** Share of what is dissolved in the bath that drained char takes along; the rest runs off with the liquor. */
function heldByChar(used: readonly UsedAmount[], yieldL: number): Range {
  const bathL = used.reduce(
    (sum, { ingredient, amount }) => sum + (findIngredient(ingredient).stockUnit === "L" ? amount : 0),
    0,
  );
  return bathL > 0
    ? by(BATH_IN_CHAR, Math.min(1 / BATH_IN_CHAR.high, yieldL / bathL))
    : { low: 1, default: 1, high: 1 };
}

/**
 * What is in a litre of a batch, as honest ranges: each ingredient's ordinary analysis, times how much of it such a process
 * draws out, over the litres that came off. Liquids and sugars are in it whole; sugar is what the ferment has left of it.
 * @param yieldL litres of finished input
 * @throws {DomainError} `not-positive` (the yield), `unknown-ingredient`
 */
export function batchContent(
  recipe: Recipe,
  used: readonly UsedAmount[],
  yieldL: number,
  lab: LabFigures = {},
): BatchContent {
  requirePositive("yield", yieldL, "L", "/yield");
  const { minerals, sugarLeft } = recipe.drawsOut;
  const whole = recipe.family === "char" ? heldByChar(used, yieldL) : { low: 1, default: 1, high: 1 };
  const worked = (nutrient: Nutrient): Range =>
    used.reduce((sum, line) => {
      const percent = COMPOSITION[line.ingredient]?.[nutrient];
      if (!percent) return sum;
      const grams = by(percent, kgOf(line) * 10);
      const all = findIngredient(line.ingredient).stockUnit === "L" || dissolvesWhole(line.ingredient);
      const drawn = nutrient === "sugar" ? sugarLeft : all ? whole : minerals;
      return plus(sum, times(grams, drawn));
    }, NONE);
  const byChemistry = recipe.family === "mineral" ? shellCalciumRange(used) : null;
  const content = (nutrient: Nutrient): Range => {
    const measured = lab[nutrient];
    if (measured !== undefined) return { low: measured, default: measured, high: measured };
    if (nutrient === "ca" && byChemistry) return byChemistry;
    return by(worked(nutrient), 1 / yieldL);
  };
  return {
    gPerL: Object.fromEntries(NUTRIENT_IDS.map((nutrient) => [nutrient, content(nutrient)])) as Record<Nutrient, Range>,
    acidGPerL: acidOf(recipe),
    measured: NUTRIENT_IDS.filter((nutrient) => lab[nutrient] !== undefined),
    unknown: [...new Set(used.map(({ ingredient }) => ingredient))].filter((id) => WITHOUT_COMPOSITION.includes(id)),
  };
}

/** The same in a litre of the mix, at 1:N. */
export function mixContent(content: BatchContent, partsWater: number): Pick<BatchContent, "gPerL" | "acidGPerL"> {
  const share = 1 / (1 + partsWater);
  return {
    gPerL: Object.fromEntries(NUTRIENT_IDS.map((nutrient) => [nutrient, by(content.gPerL[nutrient], share)])) as Record<
      Nutrient,
      Range
    >,
    acidGPerL: by(content.acidGPerL, share),
  };
}

export interface SoilLoad {
  readonly sodiumGPerM2: Range;
  readonly sugarGPerM2: Range;
  readonly acidGPerM2: Range;
  /** Common salt with as much sodium, g/m². */
  readonly saltGPerM2: Range;
}

/** Sodium to common salt by mass, NaCl 58.44 over Na 22.99. Prohaska et al. 2022. */
export const SALT_PER_SODIUM = 58.44 / 22.99;

/**
 * Salt, sugar and acid that reach the soil with one application.
 * @param mixLPerM2 litres of mix on a square metre
 */
export function soilLoad(content: BatchContent, partsWater: number, mixLPerM2: number): SoilLoad {
  const mix = mixContent(content, partsWater);
  const sodium = by(mix.gPerL.na, mixLPerM2);
  return {
    sodiumGPerM2: sodium,
    saltGPerM2: by(sodium, SALT_PER_SODIUM),
    sugarGPerM2: by(mix.gPerL.sugar, mixLPerM2),
    acidGPerM2: by(mix.acidGPerL, mixLPerM2),
  };
}
