import { isPickedFresh } from "@/core/book/ingredients";
import type { ScaledRecipe } from "@/core/recipe/scale";
import { isPickedPlant } from "@/core/safety/pickedPlants";

/** Below this no scale of a farm weighs, in kg or L. */
const LEAST = 0.001;

/** What goes in on the first day as the fill panel would send it: picked fresh where it must be, plants by name. */
export const fillLines = ({ lines }: Pick<ScaledRecipe, "lines">) =>
  lines
    .filter(({ onDay, amount }) => onDay === 0 && amount >= LEAST)
    .map(({ ingredient, part, amount }) => ({
      ingredientId: ingredient,
      part,
      used: Number(amount.toFixed(3)),
      pickedNow: isPickedFresh(ingredient),
      ...(isPickedPlant(ingredient) ? { species: "comfrey" } : {}),
    }));
