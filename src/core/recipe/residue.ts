import type { IngredientId } from "../book/ingredients";
import type { Recipe } from "../book/recipe";
import { carriedBy } from "../safety/carried";
import { shellCalcium } from "./shellCalcium";

/** What is left of a batch beside what was strained off. */
export const RESIDUES = ["solids", "shell", "curd", "liquor", "foam", "rinse", "lees", "other"] as const;
export type Residue = (typeof RESIDUES)[number];

/** Where it goes. */
export const RESIDUE_TO = [
  "compost",
  "hot-compost",
  "trees",
  "under-mulch",
  "dug-in",
  "second-steep",
  "animals",
  "kept",
  "nothing-left",
] as const;
export type ResidueTo = (typeof RESIDUE_TO)[number];

/** What to know of a residue before it is carried off. */
export type ResidueAdvice =
  /** Dung or urine is in it: trees, bananas or a hot heap, never where leaves that are eaten touch it. */
  | { readonly code: "not-on-food-beds" }
  /** Much nitrogen and half rotten: a heap or trees use it, a bed with seedlings is scorched by it. */
  | { readonly code: "feeds-trees" }
  /** Worms, their eggs and seeds are in it. */
  | { readonly code: "rescue-worms" }
  | { readonly code: "seeds-may-sprout" }
  /** Shell that the acid left: it serves again, so much of it; null where nobody knows how much went in. */
  | { readonly code: "shell-serves-again"; readonly leftKg: number | null }
  /** Steeped once it gives a second, weaker batch, about half as strong. */
  | { readonly code: "steeps-again" }
  /** Nothing more is in it. */
  | { readonly code: "spent" }
  /** The water that drains off char is food, and strong. */
  | { readonly code: "liquor-is-strong" };

interface MadeOf {
  readonly recipe: Pick<Recipe, "family" | "ingredients" | "yieldUnit">;
  readonly used: readonly { readonly ingredient: IngredientId; readonly amount: number }[];
}

const WORMY: readonly IngredientId[] = ["castings", "compost"];
const SHELLS: readonly IngredientId[] = ["eggshell", "shell-meal"];
const MILKS: readonly IngredientId[] = ["milk"];
/** Vinegar as it is usually bought, % w/v. */
const VINEGAR_PERCENT = 5;

const holds = ({ used }: MadeOf, kinds: readonly IngredientId[]): boolean =>
  used.some(({ ingredient, amount }) => amount > 0 && kinds.includes(ingredient));
const sumOf = ({ used }: MadeOf, kinds: readonly IngredientId[]): number =>
  used.reduce((sum, { ingredient, amount }) => sum + (kinds.includes(ingredient) ? amount : 0), 0);

/** What such a batch leaves, the most of it first. */
export function residuesOf(made: MadeOf): Residue[] {
  const { family } = made.recipe;
  const main: Residue = holds(made, SHELLS)
    ? "shell"
    : holds(made, MILKS)
      ? "curd"
      : family === "char"
        ? "liquor"
        : family === "bloom" && !holds(made, WORMY)
          ? "lees"
          : "solids";
  return [...new Set<Residue>([main, ...(family === "bloom" ? (["foam"] as const) : []), "rinse", "solids", "other"])];
}

/** Shell that the vinegar has not taken, kg, by its chemistry; null where no vinegar or no shell went in. */
function shellLeftKg(made: MadeOf): number | null {
  const [vinegarL, shellKg] = [sumOf(made, ["vinegar"]), sumOf(made, SHELLS)];
  if (!(vinegarL > 0) || !(shellKg > 0)) return null;
  return shellCalcium({ vinegarL, aceticPercent: VINEGAR_PERCENT, shellKg }).shellLeftKg;
}

/** What to know of a residue, and where it may go, the best first. */
export function adviseResidue(
  made: MadeOf,
  residue: Residue,
): { readonly to: readonly ResidueTo[]; readonly advice: readonly ResidueAdvice[] } {
  const carried = carriedBy(made.used.map(({ ingredient }) => ingredient));
  const fouls = carried.includes("dung") || carried.includes("urine");
  if (residue === "shell") {
    const leftKg = shellLeftKg(made);
    const serves = leftKg === null || leftKg > 0.005;
    return {
      to: serves ? ["kept", "compost", "dug-in", "nothing-left"] : ["nothing-left", "compost", "dug-in", "kept"],
      advice: serves ? [{ code: "shell-serves-again", leftKg }] : [{ code: "spent" }],
    };
  }
  if (residue === "curd")
    return { to: ["animals", "compost", "hot-compost", "nothing-left"], advice: [{ code: "feeds-trees" }] };
  if (fouls)
    return {
      to: ["trees", "hot-compost", "compost", "nothing-left"],
      advice: [{ code: "not-on-food-beds" }, ...(residue === "liquor" ? [{ code: "liquor-is-strong" } as const] : [])],
    };
  if (residue === "liquor" || residue === "rinse" || residue === "foam" || residue === "lees")
    return {
      to: ["compost", "trees", "under-mulch", "dug-in", "nothing-left"],
      advice: residue === "liquor" ? [{ code: "liquor-is-strong" }] : [],
    };
  if (holds(made, WORMY))
    return {
      to: ["dug-in", "under-mulch", "compost", "trees", "nothing-left"],
      advice: [{ code: "rescue-worms" }, { code: "seeds-may-sprout" }],
    };
  if (made.recipe.family === "sugar")
    return { to: ["second-steep", "compost", "nothing-left"], advice: [{ code: "steeps-again" }] };
  if (made.recipe.family === "soak")
    return {
      to: ["compost", "trees", "under-mulch", "nothing-left"],
      advice: [{ code: "feeds-trees" }, { code: "seeds-may-sprout" }],
    };
  return { to: ["compost", "under-mulch", "trees", "dug-in", "nothing-left"], advice: [{ code: "spent" }] };
}

/** Whether a destination puts what makes ill where food grows. */
export const foulsFood = (made: MadeOf, to: ResidueTo): boolean => {
  const carried = carriedBy(made.used.map(({ ingredient }) => ingredient));
  const fouls = carried.includes("dung") || carried.includes("urine");
  return fouls && (to === "dug-in" || to === "under-mulch" || to === "animals");
};

/** Something that is left of a batch: where it may go, the best first, what to know of it, and where it would make ill who eats of that bed. */
export interface ResidueLeft extends ReturnType<typeof adviseResidue> {
  readonly what: Residue;
  readonly fouls: readonly ResidueTo[];
}

/** All that a batch leaves, the most of it first. */
export const leavesOf = (made: MadeOf): ResidueLeft[] =>
  residuesOf(made).map((what) => ({
    what,
    ...adviseResidue(made, what),
    fouls: RESIDUE_TO.filter((to) => foulsFood(made, to)),
  }));
