import type { Recipe } from "../book/recipe";
import { actsOf, signsOf, type LogItem } from "./log";
import { latestAirOff } from "./reasons";

/**
 * The hour at which a batch's shelf clock began: when its air stopped, when it was first ready, when its solids came out, or when it was strained or closed.
 * A clock never begins later than the straining itself.
 * @param strainedH hour at which it was strained
 */
export function shelfStartH(recipe: Recipe, log: readonly LogItem[], strainedH: number): number {
  switch (recipe.keeping.from) {
    case "air-off": {
      const offH = latestAirOff(log.filter(({ hour }) => hour <= strainedH));
      return offH === null ? strainedH : Math.min(offH, strainedH);
    }
    case "ready": {
      const ready = signsOf(log).find(
        ({ kind, word, hour }) =>
          hour <= strainedH &&
          recipe.cues.some((cue) => cue.kind === kind && cue.word === word && cue.says === "ready"),
      );
      return ready ? ready.hour : strainedH;
    }
    case "made":
      return 0;
    case "strained":
    case "closed":
      // What is kept in its drum without its solids is kept from when they came out.
      return actsOf(log).find(({ act, hour }) => act === "bag-out" && hour <= strainedH)?.hour ?? strainedH;
  }
}
