import { giveAllBack, take } from "./ingredients";
import { countCans, hasLine, isFree, occupy, takeLine } from "./resources";
import type { Source, TakePart, Use } from "./source";
import { SUM, type State } from "./state";
import { addUse, drawFeed, dropUse, wasteOf } from "./uses";

export interface NewBatch {
  readonly input: number;
  readonly vessel: number;
  readonly startDay: number;
  readonly readyDay: number;
  readonly id?: string | null;
  readonly isPinned?: boolean;
}

/** Minutes of tending on each day from the start to before it is ready. */
function tend(state: State, { startDay, readyDay }: { startDay: number; readyDay: number }, minutes: number): boolean {
  for (let day = startDay; day < readyDay; day += 1) if (!state.work(day, minutes)) return false;
  return true;
}

/** Price of a change against the plan before, for a batch that it had not; see `previous` of the season. */
export function changeCost(state: State, startDay: number): number {
  const { nearD, farD, changeNear, changeFar } = state.model.season.weights;
  const inD = startDay - state.model.nowDay;
  if (inD < 0) return 0;
  return inD <= nearD ? changeNear : inD <= farD ? changeFar : 0;
}
/** What the score makes of a batch for the plan before: nothing where there was none, a saving where it was in it. */
export function changeOf(
  state: State,
  { input, vessel, startDay }: Pick<NewBatch, "input" | "vessel" | "startDay">,
): number {
  const was = state.before;
  if (!was) return 0;
  return was.has(`${input}|${vessel}|${startDay}`) ? -changeCost(state, startDay) : changeCost(state, startDay);
}

/** Begins a batch at its least fill. @returns its source, or null where a rule forbids it; the journal then has what was changed */
export function startBatch(state: State, batch: NewBatch): Source | null {
  const { input: inputIndex, vessel, startDay, readyDay } = batch;
  const { season, inputs, days, nowDay } = state.model;
  const [input, { volumeL, cleanD, air }] = [inputs[inputIndex]!, season.vessels[vessel]!];
  if (startDay < nowDay || readyDay >= days) return null;
  if (!isFree(state, vessel, startDay, readyDay, readyDay + cleanD - 1)) return null;
  const usesLine = input.aerated && air === "line";
  if (usesLine && !hasLine(state, startDay, readyDay)) return null;
  if (
    !state.work(startDay, input.fillMin) ||
    !tend(state, batch, input.dayMin) ||
    !state.work(readyDay, input.closeMin)
  )
    return null;
  const fillL = input.low * volumeL;
  const takes: TakePart[] = [];
  for (const { index, perL } of input.ingredients) if (!take(state, index, startDay, perL * fillL, takes)) return null;
  const index = state.freeIndex();
  const source: Source = {
    index,
    id: batch.id ?? null,
    input: inputIndex,
    vessel,
    startDay,
    readyDay,
    lastDay: readyDay + input.lifeD,
    isFixed: false,
    isPinned: batch.isPinned ?? false,
    emptyDay: readyDay,
    fillL,
    outputL: fillL * input.yieldLPerL,
    givenL: 0,
    uses: [],
    laterL: input.living ? null : new Float64Array(days),
    takes,
    feeds: [],
  };
  state.addSource(source);
  occupy(state, vessel, startDay, readyDay + cleanD - 1, 1);
  if (usesLine) takeLine(state, startDay, readyDay, 1);
  for (const { index: fed, perL } of input.feeds) {
    const feeds = drawFeed(state, fed, startDay, perL * fillL, index);
    if (!feeds) return null;
    state.setParts(source, source.takes, [...source.feeds, ...feeds]);
  }
  state.add(SUM.waste, wasteOf(state, source));
  state.add(SUM.starts, 1);
  state.add(SUM.change, changeOf(state, batch));
  return source;
}

/** Takes a batch out, with what draws on it: needs go unmet, and batches that it feeds go as well. @param freed takes the needs that lost it */
export function removeBatch(state: State, source: Source, freed: number[]): void {
  const fed = source.uses.flatMap(({ batch }) => (batch >= 0 ? [state.source(batch)] : []));
  for (const one of fed) if (state.sources[one.index] === one) removeBatch(state, one, freed);
  const input = state.model.inputs[source.input]!;
  // All at once: use by use, the batch would shrink and its cans be counted anew each time.
  if (source.laterL) countCans(state, source.laterL, source.emptyDay, state.model.days, -1);
  for (const { need } of source.uses) {
    freed.push(need);
    dropNeed(state, need, source);
  }
  const { cleanD, air } = state.model.season.vessels[source.vessel]!;
  for (const { source: index } of source.feeds) {
    const feeding = state.source(index);
    const use = feeding.uses.find((one) => one.batch === source.index);
    if (use) dropUse(state, feeding, use);
  }
  giveAllBack(state, source.startDay, source.takes);
  occupy(state, source.vessel, source.startDay, source.emptyDay + cleanD - 1, 0);
  if (input.aerated && air === "line") takeLine(state, source.startDay, source.emptyDay, -1);
  state.work(source.startDay, -input.fillMin);
  for (let day = source.startDay; day < source.readyDay; day += 1) state.work(day, -input.dayMin);
  state.work(source.emptyDay, -input.closeMin);
  state.add(SUM.waste, -wasteOf(state, source));
  state.add(SUM.starts, -1);
  state.add(SUM.change, -changeOf(state, source));
  state.removeSource(source);
}

/** Whether spacing lets a need be met on a day, as all others stand. */
export function isApart(state: State, need: number, day: number): boolean {
  const { firstNeighbour, neighbours, apartD, barred, earliest } = state.model.needs;
  if (barred[need]![day - earliest[need]!]) return false;
  const last = firstNeighbour[need + 1]!;
  for (let at = firstNeighbour[need]!; at < last; at += 1) {
    const other = state.needDay[neighbours[at]!]!;
    if (other >= 0 && Math.abs(other - day) < apartD[at]!) return false;
  }
  return true;
}

/** What a need that is met adds to the sums, or takes away. */
function countNeed(state: State, need: number, day: number, litres: number, by: 1 | -1): void {
  const { weight, preferred, preferredL, input } = state.model.needs;
  const { weakCostPerL } = state.model.inputs[input[need]!]!;
  state.add(SUM.unmet, -by * weight[need]!);
  state.add(SUM.lateD, by * Math.max(0, day - preferred[need]!));
  state.add(SUM.weak, by * Math.max(0, preferredL[need]! - litres) * weakCostPerL);
}
export interface NeedDraw {
  readonly source: Source;
  readonly amountL: number;
}
/** Meets a need on a day out of these sources; day, dose and spacing are the caller's to have looked at. @returns false where hands, vessel or cans forbid it; the journal then has what was changed */
export function meet(state: State, need: number, day: number, draws: readonly NeedDraw[]): boolean {
  if (!state.work(day, state.model.needs.workMin[need]!)) return false;
  let litres = 0;
  for (const { source, amountL } of draws) {
    const use: Use = { day, amountL, need, batch: -1 };
    if (!addUse(state, source, use)) return false;
    litres += amountL;
  }
  setNeed(
    state,
    need,
    day,
    draws.map(({ source }) => source.index),
    litres,
  );
  countNeed(state, need, day, litres, 1);
  return true;
}
function setNeed(state: State, need: number, day: number, sources: readonly number[], litres: number): void {
  const was = state.needSources[need]!;
  state.journal.set(state.needDay, need, day);
  state.journal.set(state.needL, need, litres);
  state.needSources[need] = sources;
  state.journal.did(() => {
    state.needSources[need] = was;
  });
}
/** Lets a need go unmet again. @param going a source that goes as a whole: what it gave is not given back to it */
export function dropNeed(state: State, need: number, going: Source | null = null): void {
  const day = state.needDay[need]!;
  countNeed(state, need, day, state.needL[need]!, -1);
  for (const index of state.needSources[need]!) {
    const source = state.source(index);
    if (source === going) continue;
    const use = source.uses.find((one) => one.need === need);
    if (use) dropUse(state, source, use);
  }
  state.work(day, -state.model.needs.workMin[need]!);
  setNeed(state, need, -1, [], 0);
}
/** Gives a need that is met more of one source. @returns false where there is no more */
export function topUp(state: State, need: number, source: Source, moreL: number): boolean {
  const day = state.needDay[need]!;
  const got = state.needL[need]!;
  const has = source.uses.find((one) => one.need === need);
  if (has) dropUse(state, source, has);
  if (!addUse(state, source, { day, amountL: (has?.amountL ?? 0) + moreL, need, batch: -1 })) return false;
  countNeed(state, need, day, got, -1);
  countNeed(state, need, day, got + moreL, 1);
  const sources = state.needSources[need]!;
  setNeed(state, need, day, has ? sources : [...sources, source.index], got + moreL);
  return true;
}
