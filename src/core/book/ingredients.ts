import { DomainError } from "../errors";
import type { StockUnit } from "./range";

export interface Ingredient {
  readonly name: string;
  /** The unit the shed counts it in. */
  readonly stockUnit: StockUnit;
  /** kg in a litre as it is poured or scooped (bulk, for solids); null where it varies too much to say. */
  readonly densityKgPerL: number | null;
  /** Litres that a kilogram pushes the water up by; liquids count by their own volume instead. */
  readonly displacementLPerKg: number;
  /** Share of its mass that is sugar. */
  readonly sugarShare: number;
}

const solid = (name: string, densityKgPerL: number | null, displacementLPerKg: number, sugarShare = 0): Ingredient => ({
  name,
  stockUnit: "kg",
  densityKgPerL,
  displacementLPerKg,
  sugarShare,
});
const liquid = (name: string, densityKgPerL: number, sugarShare = 0): Ingredient => ({
  name,
  stockUnit: "L",
  densityKgPerL,
  displacementLPerKg: 1 / densityKgPerL,
  sugarShare,
});

/**
 * What the shed may hold. Bulk densities are kitchen-scale weighings of ordinary goods, good to about 10 %
 * (molasses, sugars, milk, vinegar to about 3 %); a farm's own weighing beats them.
 */
export const INGREDIENTS = {
  "water": liquid("Water", 1),
  "soak-water": liquid("Water to soak it in", 1),
  "molasses": liquid("Molasses", 1.4, 0.62),
  "brown-sugar": solid("Brown sugar", 0.85, 0.62, 0.95),
  "white-sugar": solid("White sugar", 0.85, 0.62, 1),
  "raw-sugar": solid("Raw sugar", 0.8, 0.62, 0.9),
  "castings": solid("Worm castings", 0.65, 0.6),
  "compost": solid("Ripe compost", 0.55, 0.6),
  "kelp-meal": solid("Kelp meal", 0.6, 0.65),
  "rock-dust": solid("Rock dust", 1.4, 0.37),
  "shell-meal": solid("Shell meal (chitin)", 0.6, 0.7),
  "fish-hydrolysate": liquid("Fish hydrolysate", 1.15),
  "seaweed-extract": liquid("Seaweed extract", 1.15),
  "leachate": liquid("Worm leachate", 1.01),
  "bacterial-starter": liquid("Bacterial starter", 1.02),
  "potato": solid("Potatoes", 0.65, 0.93),
  "sea-salt": solid("Sea salt", 1.2, 0.32),
  "leaf-mould": solid("Live leaf mould", 0.25, 0.7),
  "rice": solid("Rice", 0.8, 0.7),
  "rice-wash": liquid("Rice wash", 1),
  "milk": liquid("Milk", 1.03, 0.05),
  "whey": liquid("Whey", 1.025, 0.05),
  "lactic-culture": liquid("Lactic culture", 1.01),
  "plant": solid("Chopped plant", 0.3, 1),
  "legume-leaf": solid("Shredded legume leaf", 0.25, 1),
  "coconut-water": liquid("Coconut water", 1.02, 0.03),
  "local-starter": liquid("Local microbial starter", 1.01),
  "eggshell": solid("Crushed eggshell", 0.6, 0.38),
  "vinegar": liquid("Vinegar", 1.01),
  "dung-aged": solid("Aged dung", 0.5, 0.7),
  "dung-fresh": solid("Fresh dung", 0.9, 0.95),
  "manure-aged": solid("Aged manure", 0.5, 0.7),
  "pulse-flour": solid("Pulse flour", 0.55, 0.7),
  "urine": liquid("Urine", 1.02),
  "ash": solid("Wood ash", 0.5, 0.4),
  "char": solid("Char", 0.25, 0.6),
  "greens": solid("Greens", 0.2, 1),
  "bran": solid("Bran", 0.25, 0.7),
  "dry-leaves": solid("Dry leaves", 0.1, 0.8),
  "sugar-water": liquid("Sugared water", 1.02, 0.05),
  "honey": liquid("Honey", 1.42, 0.8),
  "bought-culture": liquid("Bought lactic culture", 1.01),
  "potato-mash": solid("Boiled, mashed potato", 1, 0.95),
  "oat-flour": solid("Oat flour", 0.5, 0.7),
  "guano": solid("Guano", 0.7, 0.6),
  "repellent-plant": solid("Bitter or hot plants", 0.2, 1),
  "shell-raw": solid("Eggshells, as saved", 0.2, 0.4),
  "char-lump": solid("Charcoal, as burnt", 0.2, 0.6),
  "scraps": solid("Kitchen and crop scraps", 0.5, 0.95),
  "jaggery": solid("Jaggery", 0.8, 0.62, 0.85),
  "palm-sugar": solid("Palm sugar", 0.75, 0.62, 0.85),
  "fruit-juice": liquid("Fruit juice", 1.04, 0.11),
  "yogurt": liquid("Plain live yogurt", 1.04, 0.045),
  "buttermilk": liquid("Buttermilk", 1.03, 0.045),
  "bread-yeast": solid("Bread yeast", 0.6, 0.7),
  "wheat-flour": solid("Wheat flour", 0.55, 0.7),
  "alfalfa-meal": solid("Alfalfa meal", 0.4, 0.7),
  "seed-meal": solid("Oilseed meal", 0.6, 0.7),
  "seaweed-fresh": solid("Fresh seaweed", 0.3, 0.95),
  "fish-scraps": solid("Fish scraps", 0.8, 0.95),
  "fruit-waste": solid("Bruised fruit", 0.55, 0.95),
  "bone-raw": solid("Bones, boiled clean", 0.5, 0.5),
  "sea-shell": solid("Sea shells, as saved", 0.6, 0.38),
  "rock-phosphate": solid("Soft rock phosphate", 1.3, 0.38),
  "gypsum": solid("Gypsum", 1, 0.43),
  "garden-soil": solid("Living garden soil", 1.1, 0.45),
  "straw": solid("Straw or hay", 0.06, 0.8),
  "ascorbic-acid": solid("Ascorbic acid", 0.8, 0.6),
  "soft-soap": liquid("Soft soap", 1.03),
  "other-solid": solid("Something else, weighed", null, 0.8),
  "other-liquid": liquid("Something else, poured", 1),
} as const satisfies Record<string, Ingredient>;

/** Picked, drawn or shovelled for the batch itself; a shed need not hold it. */
const PICKED_FRESH = [
  "plant",
  "greens",
  "legume-leaf",
  "scraps",
  "dung-fresh",
  "urine",
  "repellent-plant",
] as const satisfies readonly (keyof typeof INGREDIENTS)[];

/** Whether it is picked, drawn or shovelled for the batch itself. */
export const isPickedFresh = (id: string): boolean => PICKED_FRESH.some((fresh) => fresh === id);

export type IngredientId = keyof typeof INGREDIENTS;
export const INGREDIENT_IDS = Object.keys(INGREDIENTS) as readonly IngredientId[];

/** Whether it is water, whatever it is for: picked with its source, never kept on a shelf. */
export const isWater = (id: string): boolean => id === "water" || id === "soak-water";

/** @throws {DomainError} `unknown-ingredient` */
export function findIngredient(id: string, path = "/ingredient"): Ingredient & { readonly id: IngredientId } {
  if (!Object.hasOwn(INGREDIENTS, id)) throw new DomainError("unknown-ingredient", { id }, path);
  return { id: id as IngredientId, ...INGREDIENTS[id as IngredientId] };
}
