import type { Recipe } from "../book/recipe";
import type { TendingTask } from "../book/types";
import type { LogItem } from "../judge/log";
import { programmeOf, sealedAtH } from "./programme";

export interface DueTask {
  readonly task: TendingTask;
  /** Hour of the batch at which it falls due. */
  readonly dueH: number;
  /** Late by more than half its own interval. */
  readonly late: boolean;
  /** Hour of the batch at which it was last done; null where it never was. */
  readonly lastH: number | null;
}

/** Whether a line of the log is a task done. */
export const answers = (task: TendingTask, item: LogItem): boolean => {
  if (task.act === "look") return item.kind !== "ph" && item.kind !== "act";
  if (task.act === "read-ph") return item.kind === "ph";
  return item.kind === "act" && item.act === task.act;
};

/** Gas comes faster in the warm: a lock is looked at as much sooner, within reason. */
const everyHours = ({ act, everyH }: TendingTask, rate: number): number =>
  act === "vented" ? everyH / Math.min(2, Math.max(0.75, rate)) : everyH;

/** What is done once stays due until it is done; done a little ahead of its hour counts. */
function onceDue(task: TendingTask, lastH: number, nowH: number, untilH: number): DueTask[] {
  if (lastH >= task.fromH - task.everyH / 2 || task.fromH > untilH) return [];
  return [{ task, dueH: task.fromH, late: nowH - task.fromH > task.everyH / 2, lastH: null }];
}

/** What had to be done once by now for the batch to become what it is meant to be, and was not logged. */
export const undoneOf = (recipe: Recipe, log: readonly LogItem[], nowH: number): TendingTask[] =>
  recipe.tending.filter(
    (task) =>
      task.once &&
      (task.act === "fed" || task.act === "joined") &&
      nowH >= task.fromH &&
      !log.some((item) => answers(task, item) && item.hour >= task.fromH - task.everyH / 2),
  );

/**
 * What a batch's programme asks for up to an hour: each task once, due its interval after it was last done.
 * @param untilH look ahead to this hour of the batch
 * @param rate how fast it works now against the usual
 */
export function dueTasks(recipe: Recipe, log: readonly LogItem[], nowH: number, untilH: number, rate = 1): DueTask[] {
  const sealedH = sealedAtH(log);
  return programmeOf(recipe, log).flatMap((task) => {
    // What ended with the closing is not made up for: nobody opens it again to stir.
    if (sealedH !== null && task.untilH === sealedH) return [];
    const everyH = everyHours(task, rate);
    const lastH = log
      .filter((item) => answers(task, item))
      .reduce((latest, item) => Math.max(latest, item.hour), -Infinity);
    if (task.once) return onceDue(task, lastH, nowH, untilH);
    const dueH = Math.max(task.fromH, lastH + everyH);
    if (dueH > untilH || (task.untilH !== undefined && dueH > task.untilH)) return [];
    return [{ task, dueH, late: nowH - dueH > everyH / 2, lastH: Number.isFinite(lastH) ? lastH : null }];
  });
}
