import type { Recipe } from "../book/recipe";
import type { UseRate } from "../book/types";
import { findUseRate } from "../book";
import type { UseId } from "../book/uses";
import type { PlotKind } from "../land/geojson";

/** Where something goes that lies nowhere on the plan. */
export const PLACE_KINDS = ["potting-mix", "houseplants", "compost-bin", "bedding", "char", "septic"] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

export const isPlaceKind = (kind: string): kind is PlaceKind => (PLACE_KINDS as readonly string[]).includes(kind);

/** How something is used on each. */
const PLACE_USE: Readonly<Record<PlaceKind, UseId>> = {
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
export function placeRate(recipe: Recipe, use: UseId): UseRate | null {
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

/** On what it may land: each kind of plot and place, by the uses that fit it. */
export function usesOn(recipe: Recipe, kinds: readonly (PlotKind | PlaceKind)[]): readonly UseId[] {
  const places = kinds.filter(isPlaceKind);
  if (places.length > 0)
    return [...new Set(places.map((kind) => PLACE_USE[kind]))].filter((use) => placeRate(recipe, use) !== null);
  return recipe.uses.map(({ use }) => use);
}
