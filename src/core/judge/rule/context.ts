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

/**
 * What keeps for weeks can be waited for: its readiness is borne out by looks so far apart, as a share of its age. Signs come a little
 * before their time as often as after it; those that still say so a tenth of its life later are its own.
 */
export const BORNE_OUT_SHARE = 0.1;

/** Hour of the first of the last looks in a row that hold; null where the last does not. */
export function inARowFromH(looks: readonly Look[], holds: (look: Look) => boolean | null): number | null {
  let fromH: number | null = null;
  for (const look of looks.toReversed()) {
    const says = holds(look);
    if (says === null) continue;
    if (!says) break;
    fromH = look.hour;
  }
  return fromH;
}

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
