import { isApart, meet, topUp, type NeedDraw } from "../state/batches";
import { TINY_L, type Source } from "../state/source";
import type { State } from "../state/state";
import { roomL } from "../state/uses";

/** What does not hold on the first days and sources seldom holds on the next. */
const MOST_TRIES = 4;

const isSpare = (source: Source): boolean => source.outputL - source.givenL > TINY_L;
const soonestFirst = (one: Source, other: Source): number =>
  Number(isSpare(other)) - Number(isSpare(one)) || one.lastDay - other.lastDay || one.index - other.index;

/** Sources of an input that have something on a day: what is left over and soonest over first, then what can grow. */
function sourcesOn(state: State, input: number, day: number): Source[] {
  const found: Source[] = [];
  for (const index of state.sourcesOf[input]!) {
    const source = state.sources[index]!;
    if (source.readyDay <= day && source.lastDay >= day && roomL(state, source, day) > TINY_L) found.push(source);
  }
  return found.length > 1 ? found.sort(soonestFirst) : found;
}
/** Whether any source has room for a need in its window: most have not, and are passed over here. */
function hasAny(state: State, need: number, leastL: number): boolean {
  const { needs } = state.model;
  let room = 0;
  for (const index of state.sourcesOf[needs.input[need]!]!) {
    const source = state.sources[index]!;
    if (source.lastDay < needs.earliest[need]! || source.readyDay > needs.latest[need]!) continue;
    room += roomL(state, source, Math.max(source.readyDay, needs.earliest[need]!));
    if (room >= leastL - TINY_L) return true;
  }
  return false;
}

/** Draws so many litres, from as few sources as may be. @returns nothing where there is not so much */
function drawsOf(state: State, sources: readonly Source[], day: number, litres: number, leastL: number): NeedDraw[] {
  const whole = sources.find((source) => roomL(state, source, day) >= litres - TINY_L);
  if (whole) return [{ source: whole, amountL: litres }];
  const draws: NeedDraw[] = [];
  let got = 0;
  for (const source of sources) {
    const amountL = Math.min(litres - got, roomL(state, source, day));
    if (amountL <= TINY_L) continue;
    draws.push({ source, amountL });
    got += amountL;
    if (got >= litres - TINY_L) return draws;
  }
  return got >= leastL - TINY_L ? draws : [];
}

/** Meets a need on a day out of what there is. @param tries meets that may fail before it is given up; what is left of them comes back in it */
export function serveOn(
  state: State,
  need: number,
  day: number,
  litres: number,
  leastL: number,
  tries: { left: number },
): boolean {
  const { needs } = state.model;
  if (!state.hasMinutes(day, needs.workMin[need]!) || !isApart(state, need, day)) return false;
  const sources = sourcesOn(state, needs.input[need]!, day);
  const draws = drawsOf(state, sources, day, litres, leastL);
  if (draws.length === 0) return false;
  const mark = state.journal.mark();
  if (meet(state, need, day, draws)) return true;
  state.journal.rollback(mark);
  tries.left -= 1;
  // What stands in the way of one may not stand in another's.
  for (const source of draws.length === 1 ? sources : []) {
    if (tries.left <= 0) return false;
    if (source === draws[0]!.source || roomL(state, source, day) < litres - TINY_L) continue;
    if (meet(state, need, day, [{ source, amountL: litres }])) return true;
    state.journal.rollback(mark);
    tries.left -= 1;
  }
  return false;
}

/**
 * Meets a need out of what there is already, on the day nearest to the one it would have.
 * @param litres dose that it is to get, @param leastL less than this does not count
 */
export function serveFromThere(state: State, need: number, litres: number, leastL: number): boolean {
  const { needs } = state.model;
  if (!hasAny(state, need, leastL)) return false;
  const [first, last] = [needs.earliest[need]!, needs.latest[need]!];
  const wanted = Math.min(last, Math.max(first, needs.preferred[need]!));
  const tries = { left: MOST_TRIES };
  for (let off = 0; (wanted - off >= first || wanted + off <= last) && tries.left > 0; off += 1) {
    if (wanted - off >= first && serveOn(state, need, wanted - off, litres, leastL, tries)) return true;
    if (off > 0 && tries.left > 0 && wanted + off <= last && serveOn(state, need, wanted + off, litres, leastL, tries))
      return true;
  }
  return false;
}

/** Gives weak doses what is left over, or what can grow for less than a weak dose costs. */
export function topUpAll(state: State): void {
  const { needs, inputs } = state.model;
  for (let need = 0; need < needs.count; need += 1) {
    const day = state.needDay[need]!;
    if (day < 0) continue;
    let missing = needs.preferredL[need]! - state.needL[need]!;
    if (missing <= 1e-6) continue;
    const own = new Set(state.needSources[need]);
    const sources = sourcesOn(state, needs.input[need]!, day).sort(
      (one, other) => Number(own.has(other.index)) - Number(own.has(one.index)),
    );
    for (const source of sources) {
      const worth =
        inputs[source.input]!.weakCostPerL > inputs[source.input]!.costPerL / inputs[source.input]!.yieldLPerL;
      const most = isSpare(source) && !worth ? source.outputL - source.givenL : roomL(state, source, day);
      const moreL = Math.min(missing, most);
      if (moreL <= 1e-6) continue;
      const mark = state.journal.mark();
      if (topUp(state, need, source, moreL)) missing -= moreL;
      else state.journal.rollback(mark);
      if (missing <= 1e-6) break;
    }
  }
}
