import type { Recipe } from "../book/recipe";
import type { TendingTask } from "../book/types";
import { KEPT_LOOK_EVERY_H, keptOnAir, type KeptOnAir } from "../judge/keptOnAir";
import { actsOf, type LogItem } from "../judge/log";

/** A cloth, a loose lid or an open drum is looked at so often. Judged: flies breed in under a week in the warm. */
const LID_EVERY_H = 48;
const LID_IF_MISSED =
  "What got in may be in it since the last look: lift the cloth, look for maggots, ants and rain before you use it.";

const LID_TASK: TendingTask = {
  act: "lid-checked",
  text: "Lid or cloth tied, shaded, no flies?",
  everyH: LID_EVERY_H,
  fromH: LID_EVERY_H,
  ifMissed: LID_IF_MISSED,
};

const withoutEnd = ({ act, text, everyH, fromH, ifMissed }: TendingTask): TendingTask => ({
  act,
  text,
  everyH,
  fromH,
  ifMissed,
});

const judgedAnew = ({ fromH, untilH }: KeptOnAir): TendingTask[] => [
  {
    act: "look",
    text: "Smell it: is it still good on its air?",
    everyH: KEPT_LOOK_EVERY_H,
    fromH: fromH + KEPT_LOOK_EVERY_H,
    untilH,
    ifMissed: "It may have crashed unseen: smell it before anything goes out.",
  },
];

/** Whether its open stage gives way to a closed one. */
const closesLater = ({ stages }: Recipe): boolean =>
  stages.some(({ lid }, index) => lid === "airlock" && stages.slice(0, index).some((earlier) => earlier.lid !== lid));

/** Hour at which it was closed for its second stage; null while it stands open. */
export const sealedAtH = (log: readonly LogItem[]): number | null =>
  actsOf(log).findLast(({ act }) => act === "sealed")?.hour ?? null;

/**
 * What a batch asks for while it stands: its recipe's tasks, and the look at its lid where flies, rain and sun could get in.
 * The change from stirring to a lock goes by the closing itself, not by the calendar: a drum that the cold kept open is stirred on,
 * one that is closed is not opened to stir.
 */
export function programmeOf(recipe: Recipe, log: readonly LogItem[]): TendingTask[] {
  const sealedH = sealedAtH(log);
  const twoStage = closesLater(recipe);
  const own = recipe.tending.flatMap((task): TendingTask[] => {
    if (task.act === "stirred" && sealedH !== null) return [{ ...task, untilH: sealedH }];
    if (!twoStage) return [task];
    if (task.act === "stirred") return [withoutEnd(task)];
    if (task.act === "vented") return sealedH === null ? [] : [{ ...task, fromH: sealedH + task.everyH }];
    return [task];
  });
  const hold = keptOnAir(recipe, log, null);
  // While it is held it is judged anew every few hours, whatever its recipe asks for.
  if (hold) return [...own.filter(({ act }) => act !== "look"), ...judgedAnew(hold)];
  // What stands open altogether stands under air and is looked at every few hours anyway.
  if (recipe.lid !== "breathable" || recipe.tending.some(({ act }) => act === "lid-checked")) return own;
  return [...own, { ...LID_TASK, ...(sealedH === null ? {} : { untilH: sealedH }) }];
}
