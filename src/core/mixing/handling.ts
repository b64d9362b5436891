import { INGREDIENT_FACTS } from "../book/ingredientFacts";
import { INGREDIENTS, type IngredientId } from "../book/ingredients";
import { answer, notYet } from "../book/lines";
import type { Family, StepAnswer } from "../book/types";
import { isPickedPlant } from "../safety/pickedPlants";

const CAUSTIC: readonly IngredientId[] = ["ash", "vinegar", "ascorbic-acid"];
const FOUL: readonly IngredientId[] = ["dung-fresh", "dung-aged", "manure-aged", "urine", "guano", "fish-scraps"];
const STAINS: readonly IngredientId[] = ["char", "char-lump", "leachate", "fish-hydrolysate", "seaweed-extract"];
const DUSTY: readonly IngredientId[] = [
  "rock-dust",
  "gypsum",
  "bran",
  "eggshell",
  "shell-meal",
  "char",
  "char-lump",
  "ash",
  "rock-phosphate",
];

/** What a hand does with an ingredient as it is measured out: ticked, or looked at, before it counts as in. */
export interface Handling {
  readonly checks: readonly string[];
  readonly answers: readonly StepAnswer[];
}

/** Frozen, bruised or rotten; only fast-growing sound tips give juice. */
const lookOver = (family: Family): readonly StepAnswer[] => [
  answer("fresh and sound", "In with it."),
  family === "sugar"
    ? notYet("bruised or soft", "Not for this one: take firm, growing tips. An extract takes the bruised.")
    : answer("bruised or soft, smells fresh", "Bruised is fine."),
  notYet("still frozen inside", "Thaw it through, covered, in the shade. What runs out of it goes in too."),
  notYet("mould, slime or a bad smell", "Sort that out onto the compost, then look again."),
];

/**
 * What to mind with an ingredient at the moment it is measured out: gloves, mask, shaken, its own cup, thawed, not rotten.
 * @param family of what is made: juice takes no bruised leaf
 */
export function handlingOf(id: IngredientId, family: Family): Handling {
  const culture = INGREDIENT_FACTS[id].living && INGREDIENTS[id].stockUnit === "L";
  const protect = CAUSTIC.includes(id)
    ? ["Gloves and goggles on"]
    : FOUL.includes(id)
      ? ["Gloves on, cuts covered"]
      : STAINS.includes(id)
        ? ["Gloves on: it stains"]
        : [];
  return {
    checks: [
      ...protect,
      ...(DUSTY.includes(id) ? ["Mask on: its dust is bad for lungs"] : []),
      // What is left in the cup would go off in the next thing, and the next thing in the culture's bottle.
      ...(culture
        ? ["Shaken, or stirred up from the bottom", "Its own cup or syringe, rinsed in clean water before the next"]
        : []),
    ],
    answers: isPickedPlant(id) || id === "fruit-waste" ? lookOver(family) : [],
  };
}
