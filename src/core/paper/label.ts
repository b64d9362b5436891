import { usualRate } from "../book/useRate";
import type { CautionId } from "../book/cautions";
import { findIngredient, type IngredientId } from "../book/ingredients";
import type { Recipe } from "../book/recipe";
import type { UseId } from "../book/uses";

/** What stands on a drum or jar, as facts; the words and dates are put on it where it is shown. */
export interface LabelFacts {
  readonly name: string;
  /** "12", or "12/3" for a part of a split batch. */
  readonly number: string;
  readonly madeMs: number;
  /** While it works: expected from and to, by the forecast. Once strained: null. */
  readonly expected: { readonly fromMs: number | null; readonly toMs: number | null } | null;
  /** Once strained: to be used by. */
  readonly useByMs: number | null;
  /** It lives for hours: its hour matters, not only its day. */
  readonly byTheHour: boolean;
  readonly contents: readonly IngredientId[];
  readonly maker: string;
  readonly dilution: { readonly partsWater: number; readonly use: UseId } | null;
  readonly cautions: readonly CautionId[];
}

/** What a hazard is called on a label, in as few words as can be read from a stride away. */
export const HAZARD_WORDS: Readonly<Partial<Record<CautionId, string>>> = {
  "manure": "DUNG: SOIL ONLY",
  "urine": "URINE: SOIL ONLY",
  "herbicide": "WEEDKILLER?",
  "acid-hands": "ACID",
  "caustic-ash": "CAUSTIC",
  "nicotine": "POISON",
  "gas-pressure": "MAKES GAS",
  "acid-gas": "MAKES GAS",
  "tank-gas": "GAS: DON’T LEAN IN",
  "breathable-lid": "MAKES GAS",
  "milk": "MILK",
  "leaf-eaten-soon": "NOT ON LEAVES TO EAT",
  "root-burn": "BURNS ROOTS NEAT",
  "shellfish": "SHELL OR EGG",
};

/** What of a recipe's cautions belongs on the vessel itself: what hurts whoever opens, lifts, drinks or pours it. */
const ON_THE_VESSEL: readonly CautionId[] = [
  "manure",
  "urine",
  "herbicide",
  "acid-hands",
  "caustic-ash",
  "nicotine",
  "gas-pressure",
  "acid-gas",
  "tank-gas",
  "breathable-lid",
  "milk",
  "leaf-eaten-soon",
  "root-burn",
  "shellfish",
];
/** One word about gas is enough. */
const OF_GAS: readonly CautionId[] = ["gas-pressure", "acid-gas", "tank-gas", "breathable-lid"];
/** More than this is not read on a drum. */
const MOST_CAUTIONS = 3;

export const cautionsOnVessel = (cautions: readonly CautionId[]): readonly CautionId[] =>
  ON_THE_VESSEL.filter((caution) => cautions.includes(caution))
    .filter(
      (caution, index, all) => !OF_GAS.includes(caution) || all.findIndex((one) => OF_GAS.includes(one)) === index,
    )
    .slice(0, MOST_CAUTIONS);

/** What went in, the most of it first, water and all. @throws {DomainError} `unknown-ingredient` */
export const contentsOf = (
  lines: readonly { readonly ingredientId: string; readonly used: number }[],
): readonly IngredientId[] => [
  ...new Set(
    lines
      .filter(({ used }) => used > 0)
      .toSorted((a, b) => b.used - a.used)
      .map(({ ingredientId }) => findIngredient(ingredientId).id),
  ),
];

/** How it goes on, as a label has room to say. */
export function labelDilution(recipe: Pick<Recipe, "uses">): LabelFacts["dilution"] {
  const rate = usualRate(recipe);
  return rate ? { partsWater: rate.partsWater.default, use: rate.use } : null;
}

/** A batch's number with its part. @example labelNumber(12, 3); // "12/3" */
export const labelNumber = (batchId: number, partNo: number | null): string =>
  partNo === null ? String(batchId) : `${batchId}/${partNo}`;
