import type { Recipe } from "../book/recipe";
import { actsOf, signsOf, type LogItem } from "./log";
import { latestAirOff, longestAirGap } from "./reasons";

/**
 * The hour at which a batch's shelf clock began: when its air stopped, when it was first ready, when its solids came out, or when it was strained or closed.
 * A clock never begins later than the straining itself.
 * @param strainedH hour at which it was strained
 */
export function shelfStartH(recipe: Recipe, log: readonly LogItem[], strainedH: number): number {
  switch (recipe.keeping.from) {
    case "air-off": {
      const before = log.filter(({ hour }) => hour <= strainedH);
      const offH = latestAirOff(before);
      const gapH = longestAirGap(before)?.hours ?? 0;
      // Hours without air count against it also where the air came back.
      const lostH = gapH > (recipe.keeping.afterH?.leaves ?? Infinity) ? gapH : 0;
      return Math.max(0, Math.min(offH ?? strainedH, strainedH) - lostH);
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
