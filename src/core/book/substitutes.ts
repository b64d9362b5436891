import { DomainError } from "../errors";
import { COMPOSITION } from "./composition";
import { findIngredient, type IngredientId } from "./ingredients";

/** What may go in for something else: how much of it to one of the other (in their stock units), and what it changes. */
export interface Substitute {
  readonly use: IngredientId;
  readonly factor: number;
  readonly changes: string;
}

/** These stand in for each other by the sugar they hold. */
const SUGAR_NOTES: Partial<Record<IngredientId, string>> = {
  "molasses": "Brings potassium, calcium and iron, and colours everything.",
  "brown-sugar": "A little molasses in it: some minerals, milder than molasses.",
  "white-sugar": "Sugar alone: feeds, brings no minerals.",
  "raw-sugar": "Close to brown sugar; damp, so weigh it.",
  "jaggery": "Sugar with its minerals left in; grate it, it dissolves slowly.",
  "palm-sugar": "As jaggery, a little milder.",
  "honey": "Slows bacteria while it is strong; costs most.",
};
const SUGARS = Object.keys(SUGAR_NOTES) as IngredientId[];

const BY_HAND: readonly (readonly [instead: IngredientId, use: IngredientId, factor: number, changes: string])[] = [
  [
    "lactic-culture",
    "bought-culture",
    1,
    "A bought culture is one strain or a few; a live serum brings the place's own.",
  ],
  ["bought-culture", "lactic-culture", 1, "A live serum varies: smell it, it must be sour and clean."],
  ["lactic-culture", "whey", 2, "Fresh sour whey, half as strong: give the batch two days more."],
  ["local-starter", "lactic-culture", 1, "Sours as fast; without the place's yeasts."],
  ["lactic-culture", "local-starter", 1, "Yeasts come along: more gas, a little more smell."],
  ["milk", "whey", 1, "No fat and less protein: less film on leaves, less left over as curd."],
  ["whey", "milk", 1, "Fat clogs fine sprayers: strain it well."],
  ["potato", "potato-mash", 1, "Boil and mash is done already; count the water in it."],
  ["castings", "compost", 1, "Ripe, fine, cool compost only: fewer life forms, more salt."],
  ["compost", "castings", 1, "Finer and milder."],
  ["dung-aged", "manure-aged", 1, "The same germs and intervals; bedding takes up more room."],
  ["manure-aged", "dung-aged", 1, "The same germs and intervals; denser, so stir longer."],
  ["kelp-meal", "seaweed-extract", 0.4, "Dissolved already: acts at once, leaves nothing for fungi to hold on to."],
  ["coconut-water", "sugar-water", 0.6, "The sugar alone; coconut's potassium is lacking."],
  ["plant", "greens", 1, "The same plants by another name: any you can name and would dare to eat."],
  ["greens", "plant", 1, "The same plants by another name: any you can name and would dare to eat."],
  ["greens", "legume-leaf", 1, "More nitrogen, more smell: less of it does."],
  ["legume-leaf", "greens", 1, "Less nitrogen, unless they are nettle or comfrey."],
  ["molasses", "fruit-juice", 7.5, "A tenth sugar: bulky, and its acid comes along. Take so much less water."],
  ["lactic-culture", "yogurt", 2, "Dairy strains, half as strong: give the batch two days more."],
  ["milk", "buttermilk", 1, "Soured already: quicker, and less left for the culture to eat."],
  ["kelp-meal", "seaweed-fresh", 5, "Mostly water and salt: rinse it twice, and count the salt."],
  ["kelp-meal", "alfalfa-meal", 1, "More nitrogen, none of the sea's minerals."],
  ["pulse-flour", "wheat-flour", 1.5, "Half the protein: slower and milder."],
  ["pulse-flour", "seed-meal", 0.7, "Stronger and oilier: a film may stand on it."],
  ["oat-flour", "wheat-flour", 1, "Stickier: stir it in dry, a little at a time."],
  ["leaf-mould", "garden-soil", 0.5, "The bed's own life instead of the wood's: from under plants that thrive."],
  ["dry-leaves", "straw", 1, "Longer to soak; make sure no weedkiller is on it."],
  ["fish-hydrolysate", "fish-scraps", 3, "Raw: it smells, draws animals and must be broken down first."],
  ["shell-raw", "sea-shell", 1, "Denser and slower; rinse the salt off."],
  ["guano", "seed-meal", 3, "Milder and slower, nitrogen rather than phosphorus."],
  ["eggshell", "shell-meal", 1, "Sea shell dissolves slower; crush it fine."],
];

function sugarPerUnit(id: IngredientId): number {
  const { sugarShare, stockUnit, densityKgPerL } = findIngredient(id);
  return sugarShare * (stockUnit === "L" ? densityKgPerL! : 1);
}

/** How far the sugar of ordinary goods strays from the usual, per cent of it. */
function sugarSpreadPercent(id: IngredientId): number {
  const sugar = COMPOSITION[id]?.sugar;
  return sugar
    ? Math.max(1, Math.round((Math.max(sugar.high - sugar.default, sugar.default - sugar.low) / sugar.default) * 100))
    : 5;
}

/** All that may stand in for an ingredient, the closest first; none where nothing does. */
export function substitutesFor(instead: IngredientId): readonly Substitute[] {
  const bySugar = SUGARS.includes(instead)
    ? SUGARS.filter((use) => use !== instead).map((use) => ({
        use,
        factor: sugarPerUnit(instead) / sugarPerUnit(use),
        changes: `${SUGAR_NOTES[use]!} Its sugar varies by ${sugarSpreadPercent(use)} %.`,
      }))
    : [];
  return [
    ...bySugar,
    ...BY_HAND.filter(([from]) => from === instead).map(([, use, factor, changes]) => ({ use, factor, changes })),
  ];
}

/**
 * How one ingredient stands in for another.
 * @throws {DomainError} `no-substitute`, `unknown-ingredient`
 */
export function findSubstitute(instead: IngredientId, use: IngredientId, path: string): Substitute {
  findIngredient(instead, path);
  findIngredient(use, path);
  if (instead === use) return { use, factor: 1, changes: "" };
  const found = substitutesFor(instead).find((candidate) => candidate.use === use);
  if (!found) throw new DomainError("no-substitute", { ingredient: instead, substitute: use }, path);
  return found;
}
