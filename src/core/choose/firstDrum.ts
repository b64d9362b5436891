import { METHODS } from "../book";
import type { GoalId } from "../book/goals";
import { isWater, type IngredientId } from "../book/ingredients";
import { recipeOf, type Recipe } from "../book/recipe";
import { substitutesFor } from "../book/substitutes";

/** What a vessel was used for before: it decides what may be made in it, and no washing changes that. */
export const HELD_BEFORE = ["nothing", "food", "manure"] as const;
export type HeldBefore = (typeof HELD_BEFORE)[number];

/** Something that a grower may have at hand on the first day, by the name it goes by. */
export interface FirstThing {
  readonly id: string;
  /** What it may go in as. */
  readonly as: readonly IngredientId[];
  /** Which plants they are, where plants were picked. */
  readonly species?: string;
}

const LEAVES: readonly IngredientId[] = ["greens", "plant"];
const plants = (id: string, species: string, more: readonly IngredientId[] = []): FirstThing => ({
  id,
  as: [...LEAVES, ...more],
  species,
});
/** Likeliest first; six are in sight, the rest a touch away. */
const INGREDIENT_THINGS: readonly IngredientId[] = [
  "castings",
  "leaf-mould",
  "molasses",
  "brown-sugar",
  "milk",
  "compost",
  "eggshell",
  "vinegar",
  "potato",
  "sea-salt",
  "rice-wash",
  "lactic-culture",
  "dung-fresh",
  "dung-aged",
  "manure-aged",
  "char",
  "ash",
  "dry-leaves",
  "kelp-meal",
  "fish-hydrolysate",
  "leachate",
  "local-starter",
  "bran",
  "pulse-flour",
  "raw-sugar",
  "sugar-water",
  "coconut-water",
];
export const FIRST_THINGS: readonly FirstThing[] = [
  plants("nettles", "nettle"),
  plants("comfrey", "comfrey"),
  plants("cut-grass", "grass"),
  ...INGREDIENT_THINGS.map((ingredient): FirstThing => ({ id: ingredient, as: [ingredient] })),
  plants("clover", "clover", ["legume-leaf"]),
];
const THINGS: ReadonlyMap<string, FirstThing> = new Map(FIRST_THINGS.map((thing) => [thing.id, thing]));

/** The thing by which an ingredient is said to be at hand; the first of several. */
export const thingFor = (ingredient: IngredientId): FirstThing =>
  FIRST_THINGS.find(({ as }) => as.includes(ingredient)) ?? { id: ingredient, as: [ingredient] };

export const findFirstThings = (ids: readonly string[]): FirstThing[] => ids.flatMap((id) => THINGS.get(id) ?? []);

/** What may be made in a vessel with what is at hand. */
export interface FirstOption {
  readonly recipe: Recipe;
  /** Not at hand, and nothing at hand may stand in. */
  readonly lacking: readonly IngredientId[];
  /** Of what is at hand, what goes in for what is not. */
  readonly standIns: readonly { readonly instead: IngredientId; readonly use: IngredientId }[];
  readonly lacksAir: boolean;
  /** The vessel once held manure, and this must not. */
  readonly barred: boolean;
  /** How many of the things at hand go in. */
  readonly uses: number;
}

const wantedToday = (recipe: Recipe): IngredientId[] => [
  ...new Set(
    recipe.ingredients
      .filter(({ optional, onDay = 0, amount }) => !optional && onDay === 0 && amount.type !== "unknown")
      .map(({ ingredient }) => ingredient)
      .filter((ingredient) => !isWater(ingredient)),
  ),
];

/** What goes in for one that is not at hand: itself first, else what may stand in. Nothing does for what all amounts are counted on. */
function standInFor(wanted: IngredientId, basis: IngredientId, have: ReadonlySet<IngredientId>): IngredientId | null {
  if (have.has(wanted)) return wanted;
  if (wanted === basis) return null;
  return substitutesFor(wanted).find(({ use }) => have.has(use))?.use ?? null;
}

/**
 * Every method as a first drum, in the order in which it makes sense: what the vessel allows, what lacks least, what uses most of what is at hand,
 * what is made for the goal, what is ready soonest.
 * @param likelyH hours until a method is likely ready; null where it would not be
 */
export function firstOptions(
  hand: {
    readonly have: ReadonlySet<IngredientId>;
    readonly hasAir: boolean;
    readonly heldBefore: HeldBefore;
    readonly goal: GoalId | null;
  },
  likelyH: (methodId: string) => number | null,
): FirstOption[] {
  const weight = new Map(
    METHODS.map(({ id, goals }) => [id, goals.find(({ goal }) => goal === hand.goal)?.weight ?? 0]),
  );
  const lacks = ({ lacking, lacksAir }: FirstOption) => lacking.length + Number(lacksAir);
  return METHODS.filter(({ family, id }) => family !== "preparation" && (hand.goal === null || weight.get(id)! > 0))
    .map((method): FirstOption => {
      const recipe = recipeOf(
        method,
        method.schools.find(({ id }) => id === method.cautiousSchool)!,
      );
      const found = wantedToday(recipe).map((wanted) => ({ wanted, use: standInFor(wanted, recipe.basis, hand.have) }));
      return {
        recipe,
        lacking: found.filter(({ use }) => use === null).map(({ wanted }) => wanted),
        standIns: found.flatMap(({ wanted, use }) =>
          use === null || use === wanted ? [] : [{ instead: wanted, use }],
        ),
        lacksAir: recipe.aerated && !hand.hasAir,
        barred: hand.heldBefore === "manure" && recipe.vesselUse !== "manure",
        uses: found.filter(({ use }) => use !== null).length,
      };
    })
    .toSorted(
      (a, b) =>
        Number(a.barred) - Number(b.barred) ||
        lacks(a) - lacks(b) ||
        b.uses - a.uses ||
        weight.get(b.recipe.id)! - weight.get(a.recipe.id)! ||
        (likelyH(a.recipe.id) ?? Infinity) - (likelyH(b.recipe.id) ?? Infinity),
    );
}
