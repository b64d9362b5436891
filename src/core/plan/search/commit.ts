import { removeBatch, startBatch, meet } from "../state/batches";
import type { Source } from "../state/source";
import { TINY_L } from "../state/source";
import type { State } from "../state/state";
import { resize, roomL } from "../state/uses";
import type { Candidate } from "./candidates";
import { isFree } from "../state/resources";

/** A batch of a feed where none is left on the start day of what wants it: the smallest vessel that does, as late as may be. */
function makeFeed(state: State, input: number, day: number, litres: number, depth: number): boolean {
  const { inputs, classes, season, nowDay } = state.model;
  const of = inputs[input]!;
  const options: { vessel: number; startDay: number; readyDay: number; volumeL: number }[] = [];
  for (const { durations, classes: alike } of of.groups)
    for (const one of alike) {
      const { volumeL, cleanD, vessels } = classes[one]!;
      if (of.high * volumeL * of.yieldLPerL < litres) continue;
      for (let startDay = day, tried = 0; startDay >= nowDay && tried < 12; startDay -= 1) {
        const takes = durations[startDay]!;
        if (takes < 0 || startDay + takes > day) continue;
        const readyDay = startDay + takes;
        if (readyDay + of.lifeD < day) break;
        tried += 1;
        const vessel = vessels.find((free) => isFree(state, free, startDay, readyDay, readyDay + cleanD - 1));
        if (vessel !== undefined) options.push({ vessel, startDay, readyDay, volumeL });
      }
    }
  options.sort(
    (one, other) => one.volumeL - other.volumeL || other.startDay - one.startDay || one.vessel - other.vessel,
  );
  for (const { vessel, startDay, readyDay } of options) {
    const mark = state.journal.mark();
    if (!ensureFeeds(state, input, startDay, of.low * season.vessels[vessel]!.volumeL, depth - 1)) {
      state.journal.rollback(mark);
      continue;
    }
    if (startBatch(state, { input, vessel, startDay, readyDay })) return true;
    state.journal.rollback(mark);
  }
  return false;
}
/** Sees that each feed of a fill can be drawn on its start day. @param depth how far back feeds of feeds are made */
export function ensureFeeds(state: State, input: number, startDay: number, fillL: number, depth: number): boolean {
  for (const { index, perL } of state.model.inputs[input]!.feeds) {
    const wanted = perL * fillL;
    const there = state.sourcesOf[index]!.reduce((sum, one) => sum + roomL(state, state.source(one), startDay), 0);
    if (there >= wanted - TINY_L) continue;
    if (depth <= 0 || !makeFeed(state, index, startDay, wanted - there, depth)) return false;
  }
  return true;
}

/** Serves the picks out of a batch that has just been begun. @returns how many it serves; none where the first has to be and is not */
function serve(state: State, source: Source, { picks, litres }: Candidate, doses: Float64Array): number {
  let served = 0;
  let left = litres;
  // The last first: what stands until then is counted once, not anew with each.
  const fromTheEnd = [...picks].sort((one, other) => other.day - one.day || other.need - one.need);
  for (const { need, day } of fromTheEnd) {
    const amountL = Math.min(doses[need]!, left);
    const mark = state.journal.mark();
    if (meet(state, need, day, [{ source, amountL }])) {
      served += 1;
      left -= amountL;
    } else {
      state.journal.rollback(mark);
      if (need === picks[0]!.need) return 0;
    }
  }
  return served;
}

/** Makes a candidate so, with as many of its picks as the rules let. @returns whether it stands; nothing is left behind where it does not */
export function commit(state: State, candidate: Candidate, doses: Float64Array): boolean {
  const { input, vessel, startDay, readyDay, picks } = candidate;
  const of = state.model.inputs[input]!;
  const whole = state.journal.mark();
  for (let count = picks.length; count > 0; count = count === 1 ? 0 : Math.max(1, Math.floor(count * 0.7))) {
    const part = picks.slice(0, count);
    const litres = count === picks.length ? candidate.litres : part.reduce((sum, { need }) => sum + doses[need]!, 0);
    const { volumeL } = state.model.season.vessels[vessel]!;
    const fillL = Math.max(of.low * volumeL, litres / of.yieldLPerL);
    if (ensureFeeds(state, input, startDay, fillL, 2)) {
      const source = startBatch(state, { input, vessel, startDay, readyDay });
      // Not even its least fill: fewer picks would not help.
      if (!source) return state.journal.rollback(whole);
      const mark = state.journal.mark();
      // All at once where that is to be had, else as it grows.
      if (!resize(state, source, litres)) state.journal.rollback(mark);
      if (serve(state, source, { ...candidate, picks: part, litres }, doses) > 0) {
        if (resize(state, source, source.givenL)) return true;
      }
    }
    state.journal.rollback(whole);
  }
  return false;
}

/** Takes out batches that nothing draws on. */
export function prune(state: State): void {
  for (let again = true; again;) {
    again = false;
    for (const source of state.sources)
      if (source && !source.isFixed && !source.isPinned && source.uses.length === 0) {
        removeBatch(state, source, []);
        again = true;
      }
  }
}
