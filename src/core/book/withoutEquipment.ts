import { phTarget, type Recipe } from "./recipe";

/** What hands do where a piece of equipment is missing, and what that costs in time or certainty. */
export interface WithoutEquipment {
  readonly missing: string;
  readonly instead: string;
  readonly costs: string;
}

interface Rule extends WithoutEquipment {
  readonly when: (recipe: Recipe) => boolean;
}

const uses = (recipe: Recipe, ingredient: string) => recipe.ingredients.some((line) => line.ingredient === ingredient);

const RULES: readonly Rule[] = [
  {
    missing: "A blender",
    instead: "boil it soft and mash it through the bag by hand",
    costs: "ten minutes more; lumps feed a little later",
    when: (recipe) => uses(recipe, "potato") || uses(recipe, "potato-mash"),
  },
  {
    missing: "A pH meter",
    instead: "a strip, read twice a day apart",
    costs: "half a unit of doubt, so two days more to be sure",
    when: (recipe) => phTarget(recipe) !== null,
  },
  {
    missing: "An airlock",
    instead: "a lid that is lifted every day or two",
    costs: "a minute a day; a missed day builds pressure",
    when: ({ lid }) => lid === "airlock",
  },
  {
    missing: "A cloth lid with its band",
    instead: "paper or cloth under a jar ring, or tied with string",
    costs: "nothing",
    when: ({ lid }) => lid === "breathable",
  },
  {
    missing: "A mesh bag",
    instead: "loose in the liquid, and strained through cloth",
    costs: "half an hour of straining; finer cans clog",
    when: ({ ingredients }) => ingredients.some(({ bagged }) => bagged),
  },
  {
    missing: "A hoist",
    instead: "bail the liquid out first, then lift the sack in parts",
    costs: "three quarters of an hour, and two people",
    when: ({ ingredients }) => ingredients.filter(({ bagged }) => bagged).length > 1,
  },
  {
    missing: "An air pump",
    instead: "nothing does: pouring by hand is too little air. Make the leaf-mould brew, which wants none",
    costs: "another input",
    when: ({ aerated }) => aerated,
  },
  {
    missing: "Scales",
    instead: "a cup or cap of the farm's own, weighed once with someone's scales",
    costs: "the spread of the measure; salt, sugar and acid want scales anyway",
    when: () => true,
  },
];

/** How a recipe is made without the equipment it asks for. */
export const withoutEquipment = (recipe: Recipe): WithoutEquipment[] =>
  RULES.filter(({ when }) => when(recipe)).map(({ missing, instead, costs }) => ({ missing, instead, costs }));
