import type { Recipe } from "../book/recipe";
import type { TendingTask } from "../book/types";
import type { LogItem } from "../judge/log";

export interface DueTask {
  readonly task: TendingTask;
  /** Hour of the batch at which it falls due. */
  readonly dueH: number;
  /** Late by more than half its own interval. */
  readonly late: boolean;
}

const answers = (task: TendingTask, item: LogItem): boolean => {
  if (task.act === "look") return item.kind !== "ph" && item.kind !== "act";
  if (task.act === "read-ph") return item.kind === "ph";
  return item.kind === "act" && item.act === task.act;
};

/**
 * What a batch's programme asks for up to an hour: each task once, due its interval after it was last done.
 * @param untilH look ahead to this hour of the batch
 */
export function dueTasks(recipe: Recipe, log: readonly LogItem[], nowH: number, untilH: number): DueTask[] {
  return recipe.tending.flatMap((task) => {
    const lastH = log
      .filter((item) => answers(task, item))
      .reduce((latest, item) => Math.max(latest, item.hour), -Infinity);
    const dueH = Math.max(task.fromH, lastH + task.everyH);
    if (dueH > untilH || (task.untilH !== undefined && dueH > task.untilH)) return [];
    return [{ task, dueH, late: nowH - dueH > task.everyH / 2 }];
  });
}
