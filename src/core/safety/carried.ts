import type { IngredientId } from "../book/ingredients";
import type { CropFacts } from "../book/crops";

/** What a liquid brings onto a crop from what went into it, or into any batch that it was made from. */
export const CARRIED = ["dung", "urine", "milk", "unwashed-leaf"] as const;
export type Carried = (typeof CARRIED)[number];

const SOURCES: Readonly<Record<Carried, readonly IngredientId[]>> = {
  "dung": ["dung-fresh", "dung-aged", "manure-aged", "guano"],
  "urine": ["urine"],
  "milk": ["milk", "whey", "buttermilk", "yogurt"],
  "unwashed-leaf": ["plant", "greens", "legume-leaf", "repellent-plant", "scraps", "fruit-waste", "seaweed-fresh"],
};

/** The hazards of all that went into a batch and into the batches it was made from. */
export const carriedBy = (ingredients: readonly string[]): Carried[] =>
  CARRIED.filter((hazard) => SOURCES[hazard].some((id) => ingredients.includes(id)));

/** Days that must lie between an application and the harvest. */
export interface HarvestRule {
  readonly hazard: Carried;
  /** Where the edible part touches the soil or is splashed by it. */
  readonly touchingD: number;
  readonly clearD: number;
}

/**
 * Cautious defaults, until the farm sets its own by its code and its certifier. Dung: what common organic rules ask for raw manure, and teas of it
 * count as raw. Urine: not in the last month. Milk and unwashed leaf: judged.
 */
export const DEFAULT_RULES: Readonly<Record<Carried, HarvestRule>> = {
  "dung": { hazard: "dung", touchingD: 120, clearD: 90 },
  "urine": { hazard: "urine", touchingD: 30, clearD: 30 },
  "milk": { hazard: "milk", touchingD: 14, clearD: 14 },
  "unwashed-leaf": { hazard: "unwashed-leaf", touchingD: 7, clearD: 0 },
};

/** Days that food eaten raw wants urine to have been stored. */
export const URINE_RAW_STORED_D = 180;

/** Hazards that go to the soil and never onto a part that is eaten. */
export const SOIL_ONLY: readonly Carried[] = ["dung", "urine"];
/** Hazards that bar an application until a full reason is given; of the others a reason is asked. */
export const BARS: readonly Carried[] = ["dung", "urine"];

/** The rule that stands for a hazard: the farm's own, else the careful default. */
export const ruleFor = <R extends HarvestRule>(hazard: Carried, own: readonly R[]): R | HarvestRule =>
  own.find((rule) => rule.hazard === hazard) ?? DEFAULT_RULES[hazard];
/** Whether a hazard matters where a liquid lands: milk and unwashed leaf do on leaves alone, the rest everywhere. */
export const mattersOn = (hazard: Carried, isOnLeaves: boolean): boolean =>
  isOnLeaves || (hazard !== "milk" && hazard !== "unwashed-leaf");

/** Days of the rule that stands for a crop. */
export const ruleDays = (rule: HarvestRule, crop: CropFacts): number =>
  crop.touchesSoil ? rule.touchingD : rule.clearD;
