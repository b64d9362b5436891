import { INGREDIENT_IDS, type IngredientId, isWater } from "./ingredients";
import { from } from "./amounts";
import type { Range } from "./range";

/** What is counted in an input. Phosphorus and potassium as oxides, as growers' bags state them. */
export const NUTRIENTS = {
  n: "N",
  p2o5: "P₂O₅",
  k2o: "K₂O",
  ca: "Ca",
  mg: "Mg",
  na: "Na",
  sugar: "Sugar",
} as const satisfies Record<string, string>;
export type Nutrient = keyof typeof NUTRIENTS;
export const NUTRIENT_IDS = Object.keys(NUTRIENTS) as readonly Nutrient[];

/** % of mass as it goes in, lowest, usual, highest; a nutrient that is missing is taken for none. */
export type Composition = Readonly<Partial<Record<Nutrient, Range>>>;

const GREEN: Composition = {
  n: from(0.3, 0.5, 0.8),
  p2o5: from(0.08, 0.15, 0.25),
  k2o: from(0.3, 0.6, 1),
  ca: from(0.05, 0.15, 0.4),
  mg: from(0.02, 0.05, 0.09),
  na: from(0.005, 0.02, 0.1),
  sugar: from(0.5, 2, 4),
};
const DUNG: Composition = {
  n: from(0.3, 0.5, 0.8),
  p2o5: from(0.2, 0.35, 0.6),
  k2o: from(0.3, 0.5, 0.9),
  ca: from(0.2, 0.4, 1),
  mg: from(0.06, 0.12, 0.25),
  na: from(0.03, 0.08, 0.2),
};
const AGED: Composition = {
  n: from(0.8, 1.3, 2.2),
  p2o5: from(0.6, 1, 1.8),
  k2o: from(0.8, 1.4, 2.5),
  ca: from(0.8, 1.5, 3),
  mg: from(0.2, 0.4, 0.8),
  na: from(0.08, 0.2, 0.5),
};
const FLOUR: Composition = {
  n: from(1.5, 3.5, 4.5),
  p2o5: from(0.6, 0.9, 1.2),
  k2o: from(0.8, 1.1, 1.5),
  ca: from(0.05, 0.12, 0.2),
  mg: from(0.1, 0.15, 0.2),
  na: from(0.005, 0.02, 0.05),
  sugar: from(2, 5, 9),
};

/**
 * Ordinary analyses of ordinary goods, as wide as they really vary; judged from feed, food and compost tables, not measured on
 * any farm. A laboratory's figure for one's own batch beats all of them.
 */
export const COMPOSITION: Readonly<Partial<Record<IngredientId, Composition>>> = {
  "molasses": {
    n: from(0.3, 0.6, 1),
    p2o5: from(0.1, 0.2, 0.4),
    k2o: from(2, 4, 6),
    ca: from(0.4, 0.8, 1.2),
    mg: from(0.2, 0.35, 0.5),
    na: from(0.05, 0.15, 0.4),
    sugar: from(55, 62, 68),
  },
  "brown-sugar": {
    k2o: from(0.1, 0.2, 0.5),
    ca: from(0.05, 0.09, 0.15),
    na: from(0.01, 0.03, 0.05),
    sugar: from(92, 95, 97),
  },
  "white-sugar": { sugar: from(99, 100, 100) },
  "raw-sugar": {
    k2o: from(0.3, 0.6, 1.2),
    ca: from(0.05, 0.1, 0.2),
    mg: from(0.03, 0.06, 0.1),
    sugar: from(85, 90, 94),
  },
  "honey": { k2o: from(0.03, 0.06, 0.2), sugar: from(78, 80, 82) },
  "castings": {
    n: from(0.6, 1, 1.8),
    p2o5: from(0.4, 0.9, 1.8),
    k2o: from(0.3, 0.7, 1.5),
    ca: from(0.8, 1.8, 4),
    mg: from(0.15, 0.35, 0.7),
    na: from(0.02, 0.08, 0.2),
  },
  "compost": {
    n: from(0.5, 0.9, 1.6),
    p2o5: from(0.3, 0.6, 1.2),
    k2o: from(0.4, 0.8, 1.5),
    ca: from(0.8, 2, 4),
    mg: from(0.15, 0.35, 0.7),
    na: from(0.03, 0.1, 0.3),
  },
  "kelp-meal": {
    n: from(0.8, 1, 1.5),
    p2o5: from(0.2, 0.4, 0.8),
    k2o: from(2, 3, 6),
    ca: from(1, 2, 3),
    mg: from(0.6, 0.8, 1),
    na: from(2, 3, 4.5),
    sugar: from(0, 2, 5),
  },
  "rock-dust": {
    p2o5: from(0, 0.2, 0.5),
    k2o: from(0.5, 2, 5),
    ca: from(1, 5, 10),
    mg: from(0.5, 3, 8),
    na: from(0.2, 1, 2.5),
  },
  "shell-meal": {
    n: from(2, 4, 6),
    p2o5: from(1, 2, 3.5),
    ca: from(12, 18, 25),
    mg: from(0.5, 1, 1.5),
    na: from(0.5, 0.9, 1.5),
  },
  "fish-hydrolysate": {
    n: from(2, 3, 5),
    p2o5: from(1, 2.5, 4),
    k2o: from(0.3, 0.6, 2),
    ca: from(0.1, 0.4, 1),
    na: from(0.3, 0.6, 1.2),
  },
  "seaweed-extract": { n: from(0.1, 0.4, 1), k2o: from(1.5, 4, 8), mg: from(0.1, 0.2, 0.5), na: from(0.5, 1.2, 2.5) },
  "leachate": {
    n: from(0.01, 0.04, 0.12),
    p2o5: from(0.005, 0.02, 0.06),
    k2o: from(0.03, 0.12, 0.4),
    ca: from(0.005, 0.02, 0.05),
    na: from(0.01, 0.03, 0.1),
  },
  "potato": {
    n: from(0.2, 0.32, 0.45),
    p2o5: from(0.1, 0.14, 0.18),
    k2o: from(0.45, 0.52, 0.65),
    mg: from(0.02, 0.03, 0.04),
    sugar: from(0.5, 1, 3),
  },
  "potato-mash": {
    n: from(0.2, 0.3, 0.4),
    p2o5: from(0.08, 0.12, 0.16),
    k2o: from(0.35, 0.45, 0.55),
    mg: from(0.02, 0.025, 0.03),
    sugar: from(0.5, 1, 3),
  },
  "sea-salt": { k2o: from(0.02, 0.2, 0.6), ca: from(0.05, 0.2, 0.5), mg: from(0.05, 0.3, 0.8), na: from(36, 38, 39.3) },
  "leaf-mould": {
    n: from(0.3, 0.5, 0.8),
    p2o5: from(0.1, 0.15, 0.3),
    k2o: from(0.1, 0.2, 0.4),
    ca: from(0.4, 0.9, 1.8),
    mg: from(0.08, 0.15, 0.3),
  },
  "rice": { n: from(1, 1.2, 1.4), p2o5: from(0.2, 0.3, 0.7), k2o: from(0.08, 0.12, 0.3) },
  "rice-wash": {
    n: from(0.01, 0.03, 0.06),
    p2o5: from(0.01, 0.03, 0.06),
    k2o: from(0.01, 0.03, 0.06),
    sugar: from(0.1, 0.3, 0.8),
  },
  "milk": {
    n: from(0.48, 0.53, 0.6),
    p2o5: from(0.2, 0.22, 0.25),
    k2o: from(0.16, 0.18, 0.2),
    ca: from(0.11, 0.12, 0.13),
    mg: from(0.01, 0.011, 0.013),
    na: from(0.04, 0.05, 0.06),
    sugar: from(4.5, 4.8, 5),
  },
  "whey": {
    n: from(0.1, 0.13, 0.17),
    p2o5: from(0.08, 0.1, 0.15),
    k2o: from(0.15, 0.19, 0.22),
    ca: from(0.04, 0.05, 0.11),
    na: from(0.04, 0.05, 0.4),
    sugar: from(4, 4.7, 5),
  },
  "plant": GREEN,
  "greens": GREEN,
  "repellent-plant": GREEN,
  "scraps": GREEN,
  "legume-leaf": { ...GREEN, n: from(0.7, 1, 1.4), ca: from(0.2, 0.4, 0.7) },
  "coconut-water": {
    n: from(0.02, 0.05, 0.1),
    k2o: from(0.2, 0.3, 0.4),
    ca: from(0.02, 0.024, 0.03),
    mg: from(0.015, 0.025, 0.03),
    na: from(0.02, 0.06, 0.11),
    sugar: from(2, 3, 5),
  },
  "sugar-water": { sugar: from(3, 5, 8) },
  "eggshell": {
    n: from(0.2, 0.4, 0.6),
    p2o5: from(0.2, 0.3, 0.5),
    ca: from(34, 37, 38),
    mg: from(0.3, 0.4, 0.6),
    na: from(0.05, 0.1, 0.2),
  },
  "shell-raw": { n: from(0.3, 0.6, 1), ca: from(32, 36, 38), mg: from(0.3, 0.4, 0.6) },
  "dung-aged": AGED,
  "manure-aged": AGED,
  "dung-fresh": DUNG,
  "pulse-flour": FLOUR,
  "oat-flour": { ...FLOUR, n: from(1.8, 2.2, 2.8) },
  "guano": {
    n: from(0.5, 4, 12),
    p2o5: from(8, 12, 25),
    k2o: from(0.5, 2, 3),
    ca: from(5, 10, 20),
    na: from(0.2, 0.8, 2),
  },
  "urine": {
    n: from(0.3, 0.6, 0.9),
    p2o5: from(0.05, 0.15, 0.25),
    k2o: from(0.1, 0.2, 0.35),
    ca: from(0.005, 0.015, 0.03),
    mg: from(0.002, 0.008, 0.015),
    na: from(0.15, 0.3, 0.5),
  },
  "ash": {
    p2o5: from(0.5, 1.5, 3),
    k2o: from(3, 6, 10),
    ca: from(15, 25, 35),
    mg: from(1, 2, 4),
    na: from(0.1, 0.4, 1),
  },
  "char": {
    n: from(0.2, 0.5, 1),
    p2o5: from(0.05, 0.2, 0.5),
    k2o: from(0.2, 0.6, 1.5),
    ca: from(0.3, 1, 2.5),
    mg: from(0.05, 0.2, 0.5),
  },
  "bran": {
    n: from(2, 2.5, 2.9),
    p2o5: from(1.8, 2.3, 3),
    k2o: from(1.1, 1.4, 1.8),
    ca: from(0.06, 0.1, 0.15),
    mg: from(0.4, 0.55, 0.8),
    sugar: from(3, 6, 9),
  },
  "jaggery": { k2o: from(0.5, 1, 1.5), ca: from(0.05, 0.1, 0.2), mg: from(0.05, 0.1, 0.15), sugar: from(80, 85, 92) },
  "palm-sugar": {
    k2o: from(0.5, 1, 1.4),
    ca: from(0.01, 0.03, 0.1),
    mg: from(0.02, 0.05, 0.1),
    sugar: from(80, 85, 92),
  },
  "fruit-juice": { k2o: from(0.1, 0.15, 0.25), sugar: from(9, 11, 15) },
  "yogurt": {
    n: from(0.5, 0.6, 0.8),
    p2o5: from(0.2, 0.25, 0.3),
    k2o: from(0.17, 0.19, 0.25),
    ca: from(0.11, 0.13, 0.16),
    sugar: from(3.5, 4.5, 5.5),
  },
  "buttermilk": {
    n: from(0.48, 0.52, 0.58),
    p2o5: from(0.19, 0.21, 0.25),
    k2o: from(0.16, 0.18, 0.2),
    ca: from(0.1, 0.12, 0.13),
    sugar: from(4, 4.5, 5),
  },
  "bread-yeast": { n: from(5, 6.5, 8), p2o5: from(2, 3, 4), k2o: from(1.5, 2.2, 3) },
  "wheat-flour": {
    n: from(1.5, 1.9, 2.4),
    p2o5: from(0.25, 0.5, 0.8),
    k2o: from(0.15, 0.3, 0.5),
    sugar: from(1, 2, 3),
  },
  "alfalfa-meal": {
    n: from(2.2, 2.7, 3.2),
    p2o5: from(0.4, 0.6, 0.8),
    k2o: from(2, 2.6, 3.2),
    ca: from(1.1, 1.4, 1.8),
    mg: from(0.2, 0.3, 0.4),
    sugar: from(2, 4, 7),
  },
  "seed-meal": {
    n: from(4, 5.5, 7),
    p2o5: from(1, 2, 3),
    k2o: from(1, 1.5, 2.2),
    ca: from(0.2, 0.5, 0.8),
    mg: from(0.3, 0.5, 0.6),
  },
  "seaweed-fresh": {
    n: from(0.1, 0.3, 0.6),
    p2o5: from(0.03, 0.08, 0.2),
    k2o: from(0.5, 1, 2.2),
    ca: from(0.1, 0.25, 0.5),
    mg: from(0.08, 0.15, 0.25),
    na: from(0.3, 0.6, 1),
  },
  "fish-scraps": { n: from(1.8, 2.6, 3.2), p2o5: from(0.8, 1.8, 3), k2o: from(0.2, 0.35, 0.5), ca: from(0.5, 1.5, 3) },
  "fruit-waste": {
    n: from(0.05, 0.12, 0.25),
    p2o5: from(0.02, 0.05, 0.08),
    k2o: from(0.1, 0.25, 0.45),
    sugar: from(5, 10, 15),
  },
  "bone-raw": { n: from(2, 3.5, 4.5), p2o5: from(15, 20, 25), ca: from(18, 22, 26), mg: from(0.3, 0.5, 0.7) },
  "sea-shell": { ca: from(35, 38, 39.5), mg: from(0.05, 0.2, 0.6), na: from(0.2, 0.5, 0.9) },
  "rock-phosphate": { p2o5: from(3, 18, 30), ca: from(15, 25, 33) },
  "gypsum": { ca: from(18, 21, 23) },
  "straw": { n: from(0.4, 0.6, 1), p2o5: from(0.1, 0.2, 0.3), k2o: from(0.8, 1.4, 2), ca: from(0.2, 0.35, 0.5) },
  "dry-leaves": {
    n: from(0.5, 0.8, 1.2),
    p2o5: from(0.1, 0.2, 0.4),
    k2o: from(0.2, 0.5, 1),
    ca: from(0.8, 1.6, 3),
    mg: from(0.1, 0.25, 0.4),
  },
};

/** Dissolves whole: nothing of it stays behind in the sieve. */
const DISSOLVES: readonly IngredientId[] = [
  "brown-sugar",
  "white-sugar",
  "raw-sugar",
  "jaggery",
  "palm-sugar",
  "sea-salt",
];
export const dissolvesWhole = (ingredient: IngredientId): boolean => DISSOLVES.includes(ingredient);

/** Ingredients that nobody has figures for; they are left out of the sums and named. */
export const WITHOUT_COMPOSITION: readonly IngredientId[] = INGREDIENT_IDS.filter(
  (id) => COMPOSITION[id] === undefined && !isWater(id) && id !== "vinegar",
);
