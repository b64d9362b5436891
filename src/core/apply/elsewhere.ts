import type { Recipe } from "../book/recipe";
import type { UseRate } from "../book/types";
import { findUseRate } from "../book/useRate";
import type { UseId } from "../book/uses";
import type { PlotKind } from "../land/geojson";

/** Where something goes that lies nowhere on the plan. */
export const ELSEWHERE_KINDS = ["potting-mix", "houseplants", "compost-bin", "bedding", "char", "septic"] as const;
export type ElsewhereKind = (typeof ELSEWHERE_KINDS)[number];

export const isElsewhere = (kind: string): kind is ElsewhereKind =>
  (ELSEWHERE_KINDS as readonly string[]).includes(kind);

/** Whether it lies on the plan. */
export const isOnPlan = <T extends { readonly kind: PlotKind | ElsewhereKind }>(
  plot: T,
): plot is T & { readonly kind: PlotKind } => !isElsewhere(plot.kind);

/** How something is used on each. */
const ELSEWHERE_USE: Readonly<Record<ElsewhereKind, UseId>> = {
  "potting-mix": "seed-mix",
  "houseplants": "houseplants",
  "compost-bin": "compost",
  "bedding": "bedding",
  "char": "char",
  "septic": "septic",
};

/** Living liquids that are put where something rots: what is sour, or alive. */
const isLiving = ({ keeping, family }: Pick<Recipe, "keeping" | "family">): boolean =>
  keeping.living || family === "acid" || family === "bloom";

/**
 * How strong a product goes where the book of the recipe itself says nothing, taken from what it says of a like use: pots indoors as seedlings or as
 * the weakest drench, bedding and septic tanks as compost, char undiluted. Null where there is nothing to take it from.
 */
export function rateFor(recipe: Recipe, use: UseId): UseRate | null {
  const own = findUseRate(recipe, use);
  if (own) return own;
  const [seedling, drench, compost] = (["seedling", "drench-growing", "compost"] as const).map((like) =>
    findUseRate(recipe, like),
  );
  switch (use) {
    case "houseplants": {
      if (seedling) return { ...seedling, use, note: "As for seedlings." };
      if (!drench) return null;
      const { default: usual, weakest } = drench.partsWater;
      return {
        use,
        partsWater: { strongest: usual, default: weakest, weakest },
        everyD: drench.everyD,
        note: "As weak as growing plants get it.",
      };
    }
    case "bedding":
      return compost && isLiving(recipe) ? { ...compost, use, note: "As strong as on compost." } : null;
    case "septic":
      return compost && isLiving(recipe) ? { ...compost, use, note: "As strong as on compost." } : null;
    case "char":
      return recipe.yieldUnit === "L" && recipe.family !== "char"
        ? {
            use,
            partsWater: { strongest: 0, default: 0, weakest: 1 },
            everyD: null,
            note: "Undiluted, as much as the char takes up.",
          }
        : null;
    default:
      return null;
  }
}

/** The uses that are offered where something goes: on plots those of its recipe, elsewhere the one that fits. */
export function usesOn(recipe: Recipe, kinds: readonly (PlotKind | ElsewhereKind)[]): readonly UseId[] {
  const elsewhere = kinds.filter(isElsewhere);
  if (elsewhere.length > 0)
    return [...new Set(elsewhere.map((kind) => ELSEWHERE_USE[kind]))].filter((use) => rateFor(recipe, use) !== null);
  return recipe.uses.map(({ use }) => use);
}
