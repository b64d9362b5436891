import { type IngredientId, INGREDIENTS } from "../book/ingredients";
import type { Recipe } from "../book/recipe";

export interface WentIn {
  readonly ingredientId: string;
  readonly planned: number;
  readonly used: number;
}

/** What went in against what the recipe asks for: its food, its culture, and vinegar to shell where that is the brew. */
export interface Relative {
  readonly sugar?: number;
  readonly inoculum?: number;
  readonly lPerKg?: number;
}

/** The living part of a recipe: what starts it. */
const STARTERS: readonly string[] = [
  "castings",
  "leachate",
  "bacterial-starter",
  "leaf-mould",
  "lactic-culture",
  "local-starter",
  "whey",
];
/** Food that is no sugar. */
const STARCHES: readonly string[] = ["potato", "pulse-flour"];
const isFood = (id: string) => (INGREDIENTS[id as IngredientId]?.sugarShare ?? 0) > 0.3 || STARCHES.includes(id);

function ratioOf(lines: readonly WentIn[], counts: (id: string) => boolean): number | undefined {
  const own = lines.filter(({ ingredientId, planned }) => planned > 0 && counts(ingredientId));
  const planned = own.reduce((sum, line) => sum + line.planned, 0);
  return planned > 0 ? own.reduce((sum, line) => sum + line.used, 0) / planned : undefined;
}

/** How a batch's amounts differ from its recipe in what the ferment's pace goes by. */
export function relativeAmounts(recipe: Recipe, lines: readonly WentIn[]): Relative {
  const used = (id: string) =>
    lines.filter(({ ingredientId }) => ingredientId === id).reduce((sum, line) => sum + line.used, 0);
  const sugar = ratioOf(lines, isFood);
  const milk = recipe.basis === "milk" ? ratioOf(lines, (id) => id === "rice-wash") : undefined;
  const inoculum = milk ?? ratioOf(lines, (id) => STARTERS.includes(id));
  const shellKg = used("eggshell");
  const vinegarL = used("vinegar");
  return {
    ...(sugar === undefined ? {} : { sugar }),
    ...(inoculum === undefined ? {} : { inoculum }),
    ...(shellKg > 0 && vinegarL > 0 ? { lPerKg: vinegarL / shellKg } : {}),
  };
}
