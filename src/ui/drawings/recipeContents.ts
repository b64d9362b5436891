import type { Recipe } from "@/core/book/recipe";
import type { Contents } from "./VesselDrawing";

/** A vessel as a recipe would fill it, for drawing: nothing has happened in it yet. */
export const recipeContents = (recipe: Recipe, filledL: number, airOn = recipe.aerated): Contents => ({
  filledL,
  methodId: recipe.id,
  lid: recipe.lid,
  aerated: recipe.aerated,
  airOn,
  surface: null,
  film: null,
  floatingSolids: recipe.basis === "plant",
});
