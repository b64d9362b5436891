import { findUseRate } from "../book/useRate";
import type { Recipe } from "../book/recipe";
import { findUse, type UseId } from "../book/uses";
import { findCautions, type ApplyCase } from "./cautions";

/** A plot as far as it decides what may go on it. */
export type PlotCase = ApplyCase["plots"][number] & {
  readonly stage: "bare" | "seedling" | "growing" | "flowering" | "fruiting" | "perennial";
};

/** A finished input as far as it decides what it may still be used for. */
export type StoreCase = Pick<
  ApplyCase,
  "hoursPastExpiry" | "hoursSinceShelf" | "smelt" | "recheck" | "carries" | "urineStoredD" | "riverWater"
>;

interface Asked {
  readonly recipe: Recipe;
  readonly store: StoreCase;
  readonly rules: ApplyCase["rules"];
  /** The farm's calendar day. */
  readonly today: string;
}

/** What a bed at a stage may be given. */
const FOR_STAGE: Readonly<Record<"bare" | "seedling" | "grown", readonly UseId[]>> = {
  bare: ["drench-bare", "incorporate", "top-dress"],
  seedling: ["seedling"],
  grown: ["drench-growing", "foliar", "top-dress", "injector"],
};

const speaksAgainst = ({ recipe, store, rules, today }: Asked, useId: UseId, plots: ApplyCase["plots"]) => {
  const rate = findUseRate(recipe, useId);
  return findCautions({
    recipe,
    rate,
    use: { id: useId, target: findUse(useId).target },
    partsWater: rate?.partsWater.default ?? 0,
    ...store,
    plots,
    rules,
    today,
  });
};

/** The uses of a recipe that nothing speaks against now, by the same judgement that stands at applying it. */
export const usesNow = (asked: Asked): UseId[] =>
  asked.recipe.uses.map(({ use }) => use).filter((use) => speaksAgainst(asked, use, []).length === 0);

/** The uses that only a reason stands before, or nothing: what can go out at all. */
export const usesAtAll = (asked: Asked): UseId[] =>
  asked.recipe.uses
    .map(({ use }) => use)
    .filter((use) => speaksAgainst(asked, use, []).every(({ weight }) => weight !== "never"));

/** Whether a plot could take it now, at its stage, with nothing against it. */
export function couldTake(asked: Asked, plot: PlotCase): boolean {
  const stage = plot.stage === "bare" || plot.stage === "seedling" ? plot.stage : "grown";
  return asked.recipe.uses.some(
    ({ use }) => FOR_STAGE[stage].includes(use) && speaksAgainst(asked, use, [plot]).length === 0,
  );
}
