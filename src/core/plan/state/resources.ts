import type { Source } from "./source";
import type { State } from "./state";

/** Whether a vessel stands free on all days from one to another, and is there on them. @param cleanedDay the last day of its cleaning */
export function isFree(state: State, vessel: number, fromDay: number, emptyDay: number, cleanedDay: number): boolean {
  const { fromDay: first, toDay } = state.model.season.vessels[vessel]!;
  if (fromDay < first || emptyDay > toDay) return false;
  const at = vessel * state.span;
  for (let day = Math.min(cleanedDay, state.span - 1); day >= fromDay; day -= 1)
    if (state.taken[at + day]) return false;
  return true;
}
/** Takes a vessel on these days, or gives it back; whoever asks has seen that it is free. */
export function occupy(state: State, vessel: number, fromDay: number, toDay: number, isTaken: 0 | 1): void {
  const at = vessel * state.span;
  const [first, last] = [at + Math.max(0, fromDay), at + Math.min(toDay, state.span - 1) + 1];
  state.taken.fill(isTaken, first, last);
  state.journal.did(() => state.taken.fill(1 - isTaken, first, last));
}
/** Whether an air line is free on each of these days. */
export function hasLine(state: State, fromDay: number, toDay: number): boolean {
  const most = state.model.season.airLines;
  for (let day = Math.max(fromDay, state.model.nowDay); day <= toDay && day < state.model.days; day += 1)
    if (state.lines[day]! >= most) return false;
  return true;
}
export function takeLine(state: State, fromDay: number, toDay: number, count: 1 | -1): void {
  for (let day = Math.max(fromDay, state.model.nowDay); day <= toDay && day < state.model.days; day += 1)
    state.journal.add(state.lines, day, count);
}

/** Less than this stands in no can, and so much more than a can's fill is still one: half the slack of the rules, so that rounding on the way to paper breaks none. */
const [NO_CAN_L, OVERFULL] = [5e-4, 5e-5] as const;

/** Cans that so many litres of one source take. */
export const cansFor = (state: State, litres: number): number =>
  litres > NO_CAN_L ? Math.ceil(litres / state.model.season.cans.volumeL - OVERFULL) : 0;

/** Cans of a source on the days from one to before another, as they stand now: taken, or given back. @returns false where a day has none left; the journal then has what was changed */
export function countCans(state: State, laterL: Float64Array, fromDay: number, toDay: number, by: 1 | -1): boolean {
  const most = state.model.season.cans.count;
  for (let day = Math.max(fromDay, state.model.nowDay); day < toDay && day < state.model.days; day += 1) {
    const count = cansFor(state, laterL[day]!);
    if (count === 0) continue;
    if (by > 0 && state.cans[day]! + count > most) return false;
    state.journal.add(state.cans, day, by * count);
  }
  return true;
}

/** So many litres more (or less) of a source are drawn on a day: they stand until then. @returns false, and nothing changed, where cans do not allow it */
export function standUntil(state: State, source: Source, day: number, litres: number): boolean {
  const { laterL, emptyDay } = source;
  if (!laterL) return true;
  const { nowDay, days, season } = state.model;
  const { cans } = state;
  const [first, last] = [Math.max(source.readyDay, nowDay, 0), Math.min(day, days)];
  if (last <= first) return true;
  const most = season.cans.count;
  const perL = 1 / season.cans.volumeL;
  // As `cansFor`, written out: this is where the search spends its time.
  const count = (stands: number): number => (stands > NO_CAN_L ? Math.ceil(stands * perL - OVERFULL) : 0);
  const outside = Math.max(first, emptyDay);
  if (litres > 0)
    for (let at = outside; at < last; at += 1)
      if (cans[at]! + count(laterL[at]! + litres) > most + count(laterL[at]!)) return false;
  const before = laterL.slice(first, last);
  state.journal.did(() => laterL.set(before, first));
  for (let at = first; at < outside && at < last; at += 1) laterL[at]! += litres;
  for (let at = outside; at < last; at += 1) {
    const was = laterL[at]!;
    const is = was + litres;
    laterL[at] = is;
    const more = count(is) - count(was);
    if (more !== 0) state.journal.add(cans, at, more);
  }
  return true;
}
