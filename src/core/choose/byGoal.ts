import { METHODS } from "../book";
import { usualRate } from "../book/useRate";
import type { GoalId } from "../book/goals";
import type { Method, School, UseRate } from "../book/types";
import type { UseId } from "../book/uses";

export interface GoalFit {
  readonly method: Method;
  readonly weight: 1 | 2 | 3;
  readonly why: string;
}

/** What serves a goal, the fittest first, then what is least risky. */
export function methodsFor(goal: GoalId): GoalFit[] {
  const risk = { low: 0, some: 1, high: 2 } as const;
  return METHODS.flatMap((method) =>
    method.goals.filter((item) => item.goal === goal).map(({ weight, why }): GoalFit => ({ method, weight, why })),
  ).toSorted((a, b) => b.weight - a.weight || risk[a.method.risk.level] - risk[b.method.risk.level]);
}

/** The use by which each goal is served, where an input has it. */
const USE_OF_GOAL: Readonly<Partial<Record<GoalId, UseId>>> = {
  "before-planting": "drench-bare",
  "settle-seedlings": "seedling",
  "calcium": "foliar",
  "compost": "compost",
};

/** How strong an input may go on for a goal: by the goal's own use, else on growing plants, else however it goes on at all. */
export const rateFor = (goal: GoalId, recipe: Pick<School, "uses">): UseRate | null =>
  recipe.uses.find(({ use }) => use === USE_OF_GOAL[goal]) ?? usualRate(recipe);

/** Hands' time that a drum of it takes, all days counted, minutes. */
export const handsMin = ({ work }: Pick<Method, "work">, days: number): number =>
  work.fillMin + work.dayMin * days + work.closeMin;
