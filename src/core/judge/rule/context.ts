import type { Recipe } from "../../book/recipe";
import type { JudgeInput } from "../evidence";
import type { NextAct, Judged } from "../judged";
import type { SignKind } from "../../book/words";
import { looksOf, type Look, type ReadSign } from "./looks";

/** What a rule goes by: the looks of the running stage, and what the forecast says. */
export interface RuleContext {
  readonly input: JudgeInput;
  readonly recipe: Recipe;
  readonly nowH: number;
  readonly looks: readonly Look[];
  /** Chance that its window has opened, whether or not it has closed since. */
  readonly opened: number;
}

export function contextOf(input: JudgeInput): RuleContext {
  const { recipe, nowH, forecast, log } = input;
  return {
    input,
    recipe,
    nowH,
    looks: looksOf(recipe, log).filter(({ hour }) => hour >= forecast.stageFromH),
    opened: Math.min(1, forecast.probabilityReady + forecast.probabilityPast),
  };
}

/** Signs of some kinds, one list a look, oldest first; looks without one are left out. */
export const signsByLook = (looks: readonly Look[], kinds: readonly SignKind[]): ReadSign[][] =>
  looks.map(({ signs }) => signs.filter(({ sign }) => kinds.includes(sign.kind))).filter((signs) => signs.length > 0);

/** How many of the last looks in a row had a sign that says ready, and none that says otherwise. */
export function readyInARow(lists: readonly (readonly ReadSign[])[]): number {
  let count = 0;
  for (const signs of lists.toReversed()) {
    if (!signs.some(({ says }) => says === "ready") || signs.some(({ says }) => says !== "ready")) break;
    count += 1;
  }
  return count;
}

export const judged = (state: Judged["state"], reasons: Judged["reasons"], act: NextAct, hour: number): Judged => ({
  state,
  reasons,
  next: { act, hour },
});
