import type { Recipe } from "../book/recipe";
import { actsOf, type LogItem } from "../judge/log";

/** Ready and left in its drum for longer than this, the solids come out and shade goes over it. */
export const KEPT_LONG_H = 28 * 24;

/** Whether a liquid that keeps still stands on what it was drawn from: left in, that goes on rotting in it. */
export const solidsStillIn = ({ family, keeping, yieldUnit }: Recipe, log: readonly LogItem[]): boolean =>
  yieldUnit === "L" &&
  // Charged char is what was put in; nothing is lifted out of it.
  family !== "char" &&
  !keeping.living &&
  keeping.shelfH > KEPT_LONG_H &&
  !actsOf(log).some(({ act }) => act === "bag-out");
