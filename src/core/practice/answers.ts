import { findMethod } from "../book";
import type { CautionId } from "../book/cautions";
import { cropFacts } from "../book/crops";
import type { Recipe } from "../book/recipe";
import type { CueMeaning } from "../book/types";
import { USES, type UseId } from "../book/uses";
import { SMELLS } from "../book/words";
import { farmRecipe, chosenKey, type OwnVersion, type RecipeKey } from "../recipe/pick";
import { carriedBy, mattersOn, ruleDays, SOIL_ONLY, type Carried, type HarvestRule } from "../safety/carried";

/** What a helper may ask; each is answered from the farm's own recipe and rules. */
export type Question =
  | { readonly kind: "may-use"; readonly methodId: string; readonly crop: string; readonly on: "leaves" | "soil" }
  | { readonly kind: "smells"; readonly methodId: string; readonly word: (typeof SMELLS)[number] }
  | { readonly kind: "how-much"; readonly methodId: string; readonly canL: number }
  | { readonly kind: "how-long"; readonly methodId: string }
  | { readonly kind: "what-goes-in"; readonly methodId: string };
export type QuestionKind = Question["kind"];

/** Where an answer is from: the farm's own recipe or rule, or what Ruchka has for it. */
export type AnswerSource = "own-recipe" | "recipe" | "own-rule" | "default-rule";

/** An answer by its code; words are made of it elsewhere. `unknown` says that it is not known. */
export type Answer = { readonly sources: readonly AnswerSource[]; readonly cautions: readonly CautionId[] } & (
  | { readonly code: "no-such-use"; readonly on: "leaves" | "soil" }
  | { readonly code: "never-on-leaves"; readonly hazard: Carried }
  | {
      readonly code: "wait-before-harvest";
      readonly hazard: Carried;
      readonly days: number;
      readonly partsWater: number;
    }
  | { readonly code: "may"; readonly use: UseId; readonly partsWater: number }
  | { readonly code: "smell"; readonly word: string; readonly says: CueMeaning; readonly because: string }
  | { readonly code: "dose"; readonly use: UseId; readonly partsWater: number; readonly litres: number }
  | { readonly code: "keeps"; readonly isLiving: boolean; readonly hours: number | null; readonly place: string }
  | { readonly code: "contents"; readonly ingredients: readonly string[] }
  | { readonly code: "unknown" }
);

/** What an answer rests on. */
export interface AnswerFacts {
  readonly versions: readonly OwnVersion[];
  readonly choices: readonly RecipeKey[];
  readonly rules: readonly (HarvestRule & { readonly isOwn: boolean })[];
}

/** The careful reading of where an input goes: the first use of the recipe for leaves or for soil. */
const rateFor = ({ uses }: Recipe, on: "leaves" | "soil") =>
  uses.find(({ use }) => USES[use].target === on && (on === "leaves" || use === "drench-growing")) ??
  uses.find(({ use }) => USES[use].target === on);

const LEAF_CAUTIONS: readonly CautionId[] = ["leaf-eaten-soon", "sugar-regrowth", "milk", "manure", "urine"];

function mayUse(
  { crop, on }: Extract<Question, { kind: "may-use" }>,
  recipe: Recipe,
  rules: AnswerFacts["rules"],
  from: AnswerSource,
): Answer {
  const cautions = recipe.cautions.filter((caution) => LEAF_CAUTIONS.includes(caution) || caution === "spray-mist");
  const facts = cropFacts(crop, false);
  const carried = carriedBy(recipe.ingredients.map(({ ingredient }) => ingredient));
  const never = on === "leaves" ? carried.find((hazard) => SOIL_ONLY.includes(hazard)) : undefined;
  if (never) return { code: "never-on-leaves", hazard: never, sources: ["default-rule"], cautions };
  const use = rateFor(recipe, on);
  if (!use) return { code: "no-such-use", on, sources: [from], cautions: [] };
  const rated = carried.flatMap((hazard) => {
    if (!mattersOn(hazard, on === "leaves")) return [];
    const rule = rules.find((one) => one.hazard === hazard);
    return rule && facts ? [{ hazard, days: ruleDays(rule, facts), isOwn: rule.isOwn }] : [];
  });
  const longest = rated.toSorted((a, b) => b.days - a.days)[0];
  const partsWater = use.partsWater.default;
  if (longest && longest.days > 0)
    return {
      ...{ code: "wait-before-harvest", hazard: longest.hazard, days: longest.days, partsWater },
      sources: [from, longest.isOwn ? "own-rule" : "default-rule"],
      cautions,
    };
  return {
    ...{ code: "may", use: use.use, partsWater, sources: [from] },
    cautions: cautions.filter((caution) => on === "leaves" || !LEAF_CAUTIONS.includes(caution)),
  };
}

/** Answers a helper's question from the farm's recipe and rules; says so where it is not known. */
export function answerOf(question: Question, { versions, choices, rules }: AnswerFacts): Answer {
  const recipe = farmRecipe({ choices, versions }, question.methodId);
  const from: AnswerSource = chosenKey(question.methodId, choices).versionNo === null ? "recipe" : "own-recipe";
  const unknown: Answer = { code: "unknown", sources: [], cautions: [] };
  switch (question.kind) {
    case "may-use":
      return question.crop.trim() === "" ? unknown : mayUse(question, recipe, rules, from);
    case "smells": {
      const cue = recipe.cues.find(({ kind, word }) => kind === "smell" && word === question.word);
      const cautions: readonly CautionId[] = cue?.says === "failed" ? ["mould"] : [];
      return cue
        ? { code: "smell", word: cue.word, says: cue.says, because: cue.because, sources: [from], cautions }
        : unknown;
    }
    case "how-much": {
      const use = rateFor(recipe, "soil") ?? recipe.uses[0];
      if (!use || !(question.canL > 0)) return unknown;
      const partsWater = use.partsWater.default;
      return {
        ...{ code: "dose", use: use.use, partsWater, litres: question.canL / (1 + partsWater) },
        ...{ sources: [from], cautions: recipe.cautions.includes("root-burn") ? ["root-burn"] : [] },
      };
    }
    case "how-long": {
      const { living, afterH, shelfH, place } = recipe.keeping;
      const hours = living ? (afterH?.soil ?? null) : shelfH;
      return { code: "keeps", isLiving: living, hours, place, sources: [from], cautions: [] };
    }
    case "what-goes-in":
      return {
        code: "contents",
        ingredients: recipe.ingredients.map(({ ingredient }) => ingredient),
        ...{ sources: [from], cautions: recipe.cautions.slice(0, 2) },
      };
  }
}

/** Smells that a method's book has a word for, for a chooser. */
export const smellsKnown = (methodId: string): readonly string[] => {
  const method = findMethod(methodId);
  return SMELLS.filter((word) => (method.cues ?? []).some((cue) => cue.kind === "smell" && cue.word === word));
};
