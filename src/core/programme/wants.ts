import { methodsFor } from "../choose/byGoal";
import { rateForStage, type CropStage } from "../choose/byStage";
import { findRecipe } from "../book";
import type { GoalId } from "../book/goals";
import type { UseId } from "../book/uses";
import type { GrowthStage } from "../land/planting";

/** Why a stage wants something: what growers look for then. */
export type WantReason =
  | "ready-before-planting"
  | "rest-bare-ground"
  | "roots-first"
  | "calcium-to-settle"
  | "leaf"
  | "turn"
  | "calcium-at-turn"
  | "fruit"
  | "perennial";

interface StageWant {
  readonly goal: GoalId;
  readonly because: WantReason;
}

/** By stage, what growers give first: calcium while it settles, leaf growth, the turn to flower, fruit. */
const WANTS: Readonly<Record<GrowthStage, readonly StageWant[]>> = {
  bare: [{ goal: "wake-soil", because: "rest-bare-ground" }],
  seedling: [{ goal: "settle-seedlings", because: "roots-first" }],
  settling: [
    { goal: "calcium", because: "calcium-to-settle" },
    { goal: "settle-seedlings", because: "roots-first" },
  ],
  growing: [{ goal: "leaf-growth", because: "leaf" }],
  flowering: [
    { goal: "flowering", because: "turn" },
    { goal: "calcium", because: "calcium-at-turn" },
  ],
  fruiting: [{ goal: "fruiting", because: "fruit" }],
  rest: [{ goal: "perennials", because: "perennial" }],
};

/** Something of the book that a plot may be given now, with why. */
export interface Suggestion extends StageWant {
  readonly methodId: string;
  readonly use: UseId;
  readonly partsWater: number;
  /** Days since it last got it; null where it never did. */
  readonly lastD: number | null;
}

const cropStage = (stage: GrowthStage, perennial: boolean): CropStage =>
  stage === "bare" ? "bare" : perennial || stage === "rest" ? "perennial" : stage === "settling" ? "seedling" : stage;

const EACH = 2;
/** What states no interval is not given again within this. */
const USUAL_GAP_D = 14;

/** The strength at a stage: the book's for it. Calcium goes on what has just been set out as on growing leaf, and at its weakest. */
function rateAt(methodId: string, goal: GoalId, { stage, perennial }: { stage: GrowthStage; perennial: boolean }) {
  const recipe = findRecipe(methodId);
  const rate = rateForStage(cropStage(stage, perennial), recipe);
  if (rate) return { rate, partsWater: rate.partsWater.default };
  const grown = stage === "settling" && goal === "calcium" ? rateForStage("growing", recipe) : null;
  return grown && { rate: grown, partsWater: grown.partsWater.weakest };
}

/**
 * What a plot may be given now, by the book: for what its stage is known to want, what serves it best and may go on at that stage; what it got within
 * the use's own interval is left out.
 * @param isToBePlanted bare ground with a planting ahead
 */
export function suggestionsFor(plot: {
  readonly stage: GrowthStage;
  readonly perennial: boolean;
  readonly isToBePlanted: boolean;
  readonly lastByMethod: Readonly<Record<string, number>>;
}): Suggestion[] {
  const wants: readonly StageWant[] =
    plot.stage === "bare" && plot.isToBePlanted
      ? [{ goal: "before-planting", because: "ready-before-planting" }]
      : plot.perennial && plot.stage === "growing"
        ? [{ goal: "perennials", because: "perennial" }]
        : WANTS[plot.stage];
  return wants.flatMap(({ goal, because }) =>
    methodsFor(goal)
      .flatMap(({ method }): Suggestion[] => {
        const found = rateAt(method.id, goal, plot);
        const lastD = plot.lastByMethod[method.id] ?? null;
        if (!found || (lastD !== null && lastD < (found.rate.everyD ?? USUAL_GAP_D))) return [];
        return [{ goal, because, methodId: method.id, use: found.rate.use, partsWater: found.partsWater, lastD }];
      })
      .slice(0, EACH),
  );
}
