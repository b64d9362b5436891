import type { Recipe } from "../book/recipe";
import type { TendingTask } from "../book/types";
import type { LogItem } from "../judge/log";
import { answers } from "./dueTasks";
import { programmeOf } from "./programme";

export interface TendingHistory {
  readonly task: TendingTask;
  /** Hours at which it was done. */
  readonly doneH: readonly number[];
  /** Hours at which it had fallen due and was not done for half its interval after. */
  readonly missedH: readonly number[];
}

/** What of a batch's programme was done and what was missed, up to an hour of it. */
export function tendingHistory(recipe: Recipe, log: readonly LogItem[], nowH: number): TendingHistory[] {
  return programmeOf(recipe, log).map((task) => {
    const doneH = log
      .filter((item) => answers(task, item))
      .map(({ hour }) => hour)
      .toSorted((a, b) => a - b);
    if (task.once) {
      const done = doneH.some((hour) => hour >= task.fromH - task.everyH / 2);
      return { task, doneH, missedH: !done && nowH > task.fromH + task.everyH / 2 ? [task.fromH] : [] };
    }
    const missedH: number[] = [];
    const lastH = Math.min(task.untilH ?? Infinity, nowH - task.everyH / 2);
    for (let dueH = task.fromH; dueH <= lastH;) {
      // Done at any time since half an interval before counts; the next is then due an interval after it.
      const done = doneH.find((hour) => hour >= dueH - task.everyH / 2 && hour <= dueH + task.everyH / 2);
      if (done === undefined) {
        missedH.push(dueH);
        dueH += task.everyH;
      } else dueH = Math.max(done + task.everyH, dueH + task.everyH / 2);
    }
    return { task, doneH, missedH };
  });
}
