import { METHODS } from "../book";
import type { GoalId } from "../book/goals";
import type { Method } from "../book/types";

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

/** Hands' time that a drum of it takes, all days counted, minutes. */
export const handsMin = ({ work }: Pick<Method, "work">, days: number): number =>
  work.fillMin + work.dayMin * days + work.closeMin;
