import { giveBack, take } from "./ingredients";
import { countCans, hasLine, isFree, occupy, standUntil, takeLine } from "./resources";
import { TINY_L, type FeedDraw, type Source, type TakePart, type Use } from "./source";
import { SUM, type State } from "./state";

/** What of a source nobody draws costs, where it is lost inside the season. */
export function wasteOf(state: State, source: Source): number {
  const input = state.model.inputs[source.input]!;
  const isLost = input.living || source.lastDay < state.model.days;
  return isLost ? Math.max(0, source.outputL - source.givenL) * input.wasteCostPerL : 0;
}
/** Changes litres of a source, and what is wasted with them. */
export function changeLitres(state: State, source: Source, fillL: number, outputL: number, givenL: number): void {
  const before = wasteOf(state, source);
  state.setLitres(source, fillL, outputL, givenL);
  const more = wasteOf(state, source) - before;
  if (more !== 0) state.add(SUM.waste, more);
}

/** Litres that could still be drawn from a source on a day, grown as far as its vessel takes it. */
export function roomL(state: State, source: Source, day: number): number {
  if (day < source.readyDay || day > source.lastDay) return 0;
  const spare = source.outputL - source.givenL;
  if (source.isFixed) return spare;
  const { high, yieldLPerL } = state.model.inputs[source.input]!;
  return Math.max(spare, high * state.model.season.vessels[source.vessel]!.volumeL * yieldLPerL - source.givenL);
}

/** Empties the vessel on another day. @returns false, and nothing changed, where vessel, line, hands or cans do not allow it */
export function emptyOn(state: State, source: Source, day: number): boolean {
  const mark = state.journal.mark();
  return moveEmptying(state, source, day) || state.journal.rollback(mark);
}
function moveEmptying(state: State, source: Source, day: number): boolean {
  const { closeMin, aerated, living } = state.model.inputs[source.input]!;
  const { cleanD, air } = state.model.season.vessels[source.vessel]!;
  const was = source.emptyDay;
  if (day === was) return true;
  if (day > was) {
    if (!isFree(state, source.vessel, was + cleanD, day, day + cleanD - 1)) return false;
    occupy(state, source.vessel, was + cleanD, day + cleanD - 1, 1);
    if (aerated && air === "line") {
      if (!hasLine(state, was + 1, day)) return false;
      takeLine(state, was + 1, day, 1);
    }
  } else {
    occupy(state, source.vessel, day + cleanD, was + cleanD - 1, 0);
    if (aerated && air === "line") takeLine(state, day + 1, was, -1);
  }
  state.work(was, -closeMin);
  if (!state.work(day, closeMin)) return false;
  if (
    !living &&
    !(day > was ? countCans(state, source.laterL!, was, day, -1) : countCans(state, source.laterL!, day, was, 1))
  )
    return false;
  state.setEmptyDay(source, day);
  return true;
}

/** Draws so much of an input on a day for a batch that it feeds: what is left over first, then what can grow, soonest over first. @returns null where there is not so much */
export function drawFeed(state: State, input: number, day: number, amountL: number, batch: number): FeedDraw[] | null {
  const draws: FeedDraw[] = [];
  let short = amountL;
  const open = state.sourcesOf[input]!.map((index) => state.source(index)).filter(
    (one) => one.index !== batch && roomL(state, one, day) > TINY_L,
  );
  open.sort((one, other) => one.lastDay - other.lastDay || one.index - other.index);
  for (const isGrown of [false, true])
    for (const source of open) {
      if (short <= TINY_L) return draws;
      const room = isGrown
        ? roomL(state, source, day)
        : Math.min(roomL(state, source, day), source.outputL - source.givenL);
      const from = Math.min(short, room);
      if (from <= TINY_L) continue;
      const mark = state.journal.mark();
      if (!addUse(state, source, { day, amountL: from, need: -1, batch })) {
        state.journal.rollback(mark);
        continue;
      }
      draws.push({ source: source.index, amountL: from });
      short -= from;
    }
  return short <= TINY_L ? draws : null;
}

function mergeFeeds(one: readonly FeedDraw[], other: readonly FeedDraw[]): FeedDraw[] {
  const merged = [...one];
  for (const draw of other) {
    const at = merged.findIndex(({ source }) => source === draw.source);
    if (at < 0) merged.push(draw);
    else merged[at] = { source: draw.source, amountL: merged[at]!.amountL + draw.amountL };
  }
  return merged;
}
function giveFeedBack(
  state: State,
  feeds: readonly FeedDraw[],
  input: number,
  batch: number,
  amountL: number,
): FeedDraw[] {
  const left = [...feeds];
  let short = amountL;
  for (let at = left.length - 1; at >= 0 && short > TINY_L; at -= 1) {
    const { source: index, amountL: has } = left[at]!;
    const source = state.source(index);
    if (source.input !== input) continue;
    const back = Math.min(short, has);
    lessen(state, source, batch, back);
    short -= back;
    if (has - back > TINY_L) left[at] = { source: index, amountL: has - back };
    else left.splice(at, 1);
  }
  return left;
}
/** A feeding draw becomes smaller, or goes. */
function lessen(state: State, source: Source, batch: number, backL: number): void {
  const use = source.uses.find((one) => one.batch === batch)!;
  dropUse(state, source, use);
  if (use.amountL - backL > TINY_L) addUse(state, source, { ...use, amountL: use.amountL - backL });
}

/** Fills a batch for so many litres given out, at least its least fill: ingredients, feeds and gathering follow. */
export function resize(state: State, source: Source, givenL: number): boolean {
  if (source.isFixed) return false;
  const input = state.model.inputs[source.input]!;
  const { volumeL } = state.model.season.vessels[source.vessel]!;
  const fillL = Math.max(input.low * volumeL, givenL / input.yieldLPerL);
  if (fillL > input.high * volumeL + TINY_L) return false;
  const moreL = fillL - source.fillL;
  if (Math.abs(moreL) <= TINY_L) return true;
  let takes: readonly TakePart[] = source.takes;
  for (const { index, perL } of input.ingredients) {
    if (moreL < 0) takes = giveBack(state, index, source.startDay, -moreL * perL, takes);
    else {
      const more: TakePart[] = [];
      if (!take(state, index, source.startDay, moreL * perL, more)) return false;
      takes = [...takes, ...more];
    }
  }
  let { feeds } = source;
  for (const { index, perL } of input.feeds) {
    if (moreL < 0) feeds = giveFeedBack(state, feeds, index, source.index, -moreL * perL);
    else {
      const more = drawFeed(state, index, source.startDay, moreL * perL, source.index);
      if (!more) return false;
      feeds = mergeFeeds(feeds, more);
    }
  }
  state.setParts(source, takes, feeds);
  changeLitres(state, source, fillL, fillL * input.yieldLPerL, source.givenL);
  return true;
}

/** The day until which a batch may be left in its vessel. */
const holdsUntil = (state: State, source: Source): number =>
  Math.max(source.readyDay, source.isFixed ? state.model.nowDay : -1) + state.model.inputs[source.input]!.holdD;

/** Keeps litres for a later use: in cans, or where there are none left, longer in their vessel. */
function standOrHold(state: State, source: Source, use: Use): boolean {
  if (standUntil(state, source, use.day, use.amountL)) return true;
  if (source.vessel < 0) return false;
  const day = Math.min(use.day, holdsUntil(state, source), state.model.days - 1);
  return day > source.emptyDay && emptyOn(state, source, day) && standUntil(state, source, use.day, use.amountL);
}

/** Draws on a source: it grows, its vessel is emptied later, or cans hold it until then. @returns false where a rule forbids it; the journal then has what was changed */
export function addUse(state: State, source: Source, use: Use): boolean {
  if (use.day < source.readyDay || use.day > source.lastDay || use.amountL <= 0) return false;
  const givenL = source.givenL + use.amountL;
  if (givenL > source.outputL + TINY_L && !resize(state, source, givenL)) return false;
  if (state.model.inputs[source.input]!.living) {
    if (use.day > source.emptyDay && !emptyOn(state, source, use.day)) return false;
  } else if (!standOrHold(state, source, use)) return false;
  const same = use.batch < 0 ? undefined : source.uses.find((one) => one.batch === use.batch);
  if (same) state.deleteUse(source, same);
  state.insertUse(source, same ? { ...use, amountL: use.amountL + same.amountL } : use);
  changeLitres(state, source, source.fillL, source.outputL, givenL);
  return true;
}

/** Takes a use away: the batch shrinks, and a living one is emptied as early as what is left allows. */
export function dropUse(state: State, source: Source, use: Use): void {
  const input = state.model.inputs[source.input]!;
  state.deleteUse(source, use);
  const { uses } = source;
  const givenL = uses.length === 0 ? 0 : Math.max(0, source.givenL - use.amountL);
  changeLitres(state, source, source.fillL, source.outputL, givenL);
  standUntil(state, source, use.day, -use.amountL);
  if (source.isFixed) return;
  resize(state, source, givenL);
  if (input.living) {
    const emptyDay = Math.max(source.readyDay, uses.at(-1)?.day ?? source.readyDay);
    // As early as there are hands for it.
    for (let day = emptyDay; day < source.emptyDay && !emptyOn(state, source, day); day += 1);
  }
}
