import { makerOf } from "../../book";
import type { Recipe } from "../../book/recipe";
import { expectedYield } from "../../recipe/expectedYield";
import { scaleRecipe } from "../../recipe/scale";
import type { SeasonInput } from "../season";
import { standsD } from "./durations";
import type { FarmFacts } from "./facts";

/** A vessel of ordinary size stands for any where amounts to a litre are asked. */
const USUAL_L = 200;
/** A quarter of a vessel is worth a fill. */
const LEAST_FILL = 0.25;
const WATER = "water";

interface PerLitre {
  readonly ingredients: readonly { readonly ingredient: string; readonly perL: number }[];
  readonly yieldLPerL: number;
  readonly basisPerL: number;
}
function perLitre(recipe: Recipe): PerLitre {
  const scaled = scaleRecipe({ recipe, vesselL: USUAL_L });
  const filledL = Math.max(0.001, scaled.occupiedL);
  const amounts = new Map<string, number>();
  for (const { ingredient, amount } of scaled.lines)
    if (ingredient !== WATER && amount > 0) amounts.set(ingredient, (amounts.get(ingredient) ?? 0) + amount);
  return {
    ingredients: [...amounts].map(([ingredient, amount]) => ({ ingredient, perL: amount / filledL })),
    yieldLPerL: expectedYield(recipe, scaled.basisAmount, scaled.lines).default / filledL,
    basisPerL: scaled.basisAmount / filledL,
  };
}

/** Methods that schedules ask for, and those that make what goes into them. */
export function methodsOf(facts: FarmFacts): Map<string, Recipe> {
  const wanted = new Map<string, Recipe>();
  const add = (methodId: string): void => {
    const recipe = facts.recipes.get(methodId);
    if (!recipe || wanted.has(methodId) || recipe.yieldUnit !== "L") return;
    for (const { ingredient } of perLitre(recipe).ingredients) {
      const maker = makerOf(ingredient);
      if (maker && maker.id !== methodId) add(maker.id);
    }
    wanted.set(methodId, recipe);
  };
  for (const { dues } of facts.plots) for (const { methodId } of dues) add(methodId);
  return wanted;
}

/** A recipe as an input of the season. @param made those that are made themselves: what goes in of them is fed, not bought */
export function inputOf(
  recipe: Recipe,
  made: ReadonlyMap<string, Recipe>,
  summerC: number,
): SeasonInput & { basisPerL: number } {
  const { ingredients, yieldLPerL, basisPerL } = perLitre(recipe);
  const feeds = ingredients.flatMap(({ ingredient, perL }) => {
    const maker = makerOf(ingredient);
    return maker && made.has(maker.id) && maker.id !== recipe.id ? [{ input: maker.id, perL, ingredient }] : [];
  });
  const { keeping, fillShare } = recipe;
  return {
    id: recipe.id,
    name: recipe.shortName,
    method: recipe.id,
    school: recipe.school.id,
    vesselUse: recipe.vesselUse,
    aerated: recipe.aerated,
    fillShare: { low: Math.min(LEAST_FILL, fillShare.low), high: fillShare.default },
    yieldLPerL,
    keeping: keeping.living
      ? { living: true, useD: Math.min(3, standsD(recipe, summerC)) }
      : {
          living: false,
          shelfD: Math.max(1, Math.floor(keeping.shelfH / 24)),
          holdD: Math.min(21, standsD(recipe, summerC)),
        },
    work: recipe.work,
    ingredients: ingredients.filter(({ ingredient }) => !feeds.some((feed) => feed.ingredient === ingredient)),
    feeds: feeds.map(({ input, perL }) => ({ input, perL })),
    wasteCostPerL: 0.05,
    weakCostPerL: 1,
    basisPerL,
  };
}
