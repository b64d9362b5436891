import type { Model } from "./model";
import { isFree } from "./state/resources";
import { take } from "./state/ingredients";
import type { State } from "./state/state";
import { isApart } from "./state/batches";

/** Days on which an input could be begun at all, were nothing else planned; 1 by day. */
function startable(state: State, input: number, canBe: readonly Uint8Array[]): { start: Uint8Array; be: Uint8Array } {
  const { inputs, classes, days, nowDay, season } = state.model;
  const of = inputs[input]!;
  const [start, be] = [new Uint8Array(days), new Uint8Array(days)];
  for (const { durations, classes: alike } of of.groups)
    for (let day = nowDay; day < days; day += 1) {
      const takes = durations[day]!;
      if (takes < 0 || day + takes >= days) continue;
      const readyDay = day + takes;
      const fits = alike.filter((one) =>
        classes[one]!.vessels.some((vessel) =>
          isFree(state, vessel, day, readyDay, readyDay + classes[one]!.cleanD - 1),
        ),
      );
      if (fits.length === 0) continue;
      if (of.aerated && season.airLines < 1 && fits.every((one) => classes[one]!.air === "line")) continue;
      if (!of.feeds.every(({ index }) => canBe[index]![day])) continue;
      const leastL = of.low * Math.min(...fits.map((one) => classes[one]!.volumeL));
      if (!hasIngredients(state, input, day, leastL)) continue;
      start[day] = 1;
      be.fill(1, readyDay, Math.min(days, readyDay + of.lifeD + 1));
    }
  return { start, be };
}
function hasIngredients(state: State, input: number, day: number, fillL: number): boolean {
  const mark = state.journal.mark();
  const has = state.model.inputs[input]!.ingredients.every(({ index, perL }) => {
    const { pack, forage, lots } = state.model.ingredients[index]!;
    if (pack && day - pack.leadD >= state.model.nowDay) return true;
    return (forage.length > 0 || lots.length > 0) && take(state, index, day, perL * fillL, []);
  });
  state.journal.rollback(mark);
  return has;
}

/** Which needs some plan might meet, by the days that their input can be there at all; what it says of the rest is sure. @param state the empty plan */
export function possibleNeeds(state: State): Uint8Array {
  const model: Model = state.model;
  const { needs, days } = model;
  const canBe = model.inputs.map(() => new Uint8Array(days));
  for (const input of model.order) {
    const { be } = startable(state, input, canBe);
    for (const index of state.sourcesOf[input]!) {
      const { readyDay, lastDay, outputL } = state.source(index);
      if (outputL > 0) be.fill(1, Math.min(days, Math.max(0, readyDay)), Math.min(days, lastDay + 1));
    }
    canBe[input]!.set(be);
  }
  const possible = new Uint8Array(needs.count);
  for (let need = 0; need < needs.count; need += 1)
    for (let day = needs.earliest[need]!; day <= needs.latest[need]! && !possible[need]; day += 1)
      if (canBe[needs.input[need]!]![day] && isApart(state, need, day)) possible[need] = 1;
  return possible;
}
