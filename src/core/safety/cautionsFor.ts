import type { CautionId } from "../book/cautions";
import { INGREDIENT_FACTS } from "../book/ingredientFacts";
import type { IngredientId } from "../book/ingredients";
import type { Recipe } from "../book/recipe";
import { LIFTABLE_KG } from "../recipe/split";

/** What kills or maims stands before what spoils a batch; said in this order. */
const GRAVEST_FIRST: readonly CautionId[] = [
  "electricity-at-water",
  "manure",
  "urine",
  "poisonous-plants",
  "nicotine",
  "tank-gas",
  "acid-gas",
  "acid-hands",
  "strong-vinegar",
  "caustic-ash",
  "hot-pan",
  "gas-pressure",
  "breathable-lid",
  "wounds",
  "drowning",
  "char-dust",
  "shell-dust",
  "milk",
  "root-burn",
  "sugar-regrowth",
  "leaf-eaten-soon",
  "lifting",
  "herbicide",
  "shellfish",
  "mould",
  "sodium",
  "salts",
  "salty-plants",
  "spray-mist",
  "mosquitoes",
  "fish-smell",
  "kitchen-apart",
  "chlorine",
  "runoff",
  "not-for-people",
];
/** Deep enough to drown in, L; judged: a pail is. */
const DROWNING_FROM_L = 15;
/** Of gas one thing is said: what this lid wants. */
const GAS: readonly CautionId[] = ["gas-pressure", "breathable-lid", "acid-gas", "tank-gas"];

export interface CautionedWork {
  /** What stands in the vessel, L; null where no amount is in sight yet. */
  readonly filledL: number | null;
  /** What goes in. */
  readonly ingredients: readonly IngredientId[];
}

/** Lids that a recipe wears from first to last. */
const lidsOf = ({ lid, stages }: Pick<Recipe, "lid" | "stages">) => new Set([lid, ...stages.map((stage) => stage.lid)]);

/** The cautions of a recipe about gas that fit its lids: cloth is not spoken of where a lock is worn, nor a lock where cloth is. */
function gasCautions(recipe: Pick<Recipe, "lid" | "stages" | "cautions">): readonly CautionId[] {
  const lids = lidsOf(recipe);
  const locked = lids.has("airlock");
  return recipe.cautions.filter(
    (caution) =>
      GAS.includes(caution) &&
      (caution === "breathable-lid" ? !locked : caution === "gas-pressure" ? locked || lids.has("sealed") : true),
  );
}

/** What must be minded in this work with these amounts, the gravest first; what does not apply to so little is left out. */
export function cautionsFor(
  recipe: Pick<Recipe, "lid" | "stages" | "cautions">,
  { filledL, ingredients }: CautionedWork,
): readonly CautionId[] {
  const open = [...lidsOf(recipe)].some((lid) => lid === "open" || lid === "breathable");
  const gas = gasCautions(recipe);
  const all = new Set<CautionId>([
    ...recipe.cautions.filter((caution) => !GAS.includes(caution)),
    ...gas,
    ...ingredients.flatMap((id) => INGREDIENT_FACTS[id].cautions),
    ...(open && filledL !== null && filledL >= DROWNING_FROM_L ? (["drowning"] as const) : []),
  ]);
  if (filledL !== null && filledL < LIFTABLE_KG) all.delete("lifting");
  // Spoken of only where plants against pests go in.
  if (!ingredients.includes("repellent-plant")) all.delete("nicotine");
  if (!ingredients.includes("urine") && ingredients.length > 0) all.delete("urine");
  return GRAVEST_FIRST.filter((caution) => all.has(caution));
}

/** So many are read; the rest is folded. */
export const CAUTIONS_SHOWN = 3;
