import { modelOf } from "./model";
import type { PlanBody, Season } from "./season";
import { emptyState } from "./state/begin";
import { startBatch } from "./state/batches";
import { isFree } from "./state/resources";
import type { State } from "./state/state";
import { resize, roomL } from "./state/uses";
import { ensureFeeds, prune } from "./search/commit";
import { serveOn } from "./search/serve";
import { writePlan } from "./search/write";

/** The largest drum that a habit fills. */
const DRUM_L = 200;

interface Taken {
  readonly vessel: number;
  readonly readyDay: number;
}
/** Vessels up to a drum that are free for an input on a day. */
function freeDrums(state: State, input: number, day: number): Taken[] {
  const { inputs, classes, season, days } = state.model;
  const found: Taken[] = [];
  for (const { durations, classes: alike } of inputs[input]!.groups) {
    const takes = durations[day]!;
    if (takes < 0 || day + takes >= days) continue;
    for (const one of alike)
      for (const vessel of classes[one]!.vessels) {
        const { volumeL, cleanD } = season.vessels[vessel]!;
        if (volumeL > DRUM_L || !isFree(state, vessel, day, day + takes, day + takes + cleanD - 1)) continue;
        found.push({ vessel, readyDay: day + takes });
      }
  }
  return found;
}
/** The largest of them, the first named of equals. */
const largest = (state: State, drums: readonly Taken[]): Taken | null =>
  drums.reduce<Taken | null>((best, one) => (best && volumeOf(state, best) >= volumeOf(state, one) ? best : one), null);
const volumeOf = (state: State, { vessel }: Taken): number => state.model.season.vessels[vessel]!.volumeL;

/** The smallest that gives so much, else the largest; one with air is kept for what wants it. */
function smallestThatDoes(state: State, input: number, drums: readonly Taken[], wantedL: number): Taken | null {
  const { inputs, season } = state.model;
  const { high, yieldLPerL, aerated } = inputs[input]!;
  const airless = drums.filter(({ vessel }) => aerated || season.vessels[vessel]!.air === "none");
  const some = airless.length > 0 ? airless : drums;
  const order = some.toSorted((one, other) => volumeOf(state, one) - volumeOf(state, other));
  return order.find((one) => high * volumeOf(state, one) * yieldLPerL >= wantedL - 1e-9) ?? largest(state, some);
}
/** Fills it, to the brim or for so many litres, or as far as what is at hand goes. */
function fill(state: State, input: number, day: number, taken: Taken | null, wantedL = Infinity): void {
  if (!taken) return;
  const { high, low, yieldLPerL } = state.model.inputs[input]!;
  const volumeL = volumeOf(state, taken);
  const mark = state.journal.mark();
  const source =
    ensureFeeds(state, input, day, low * volumeL, 0) && startBatch(state, { input, ...taken, startDay: day });
  if (!source) {
    state.journal.rollback(mark);
    return;
  }
  const grown = state.journal.mark();
  if (!resize(state, source, Math.min(wantedL, high * volumeL * yieldLPerL))) state.journal.rollback(grown);
}
/** Litres of an input that stand or will stand ready. */
const thereL = (state: State, input: number, day: number): number =>
  state.sourcesOf[input]!.reduce((sum, index) => {
    const source = state.source(index);
    return sum + (source.readyDay > day ? source.outputL - source.givenL : roomL(state, source, day));
  }, 0);

/** What a grower decides about an input on a day. @param open its needs that are neither met nor over */
type Decides = (state: State, input: number, day: number, open: readonly number[]) => void;

/** Day by day: first what is to be made, then what is due is applied, the heavier first. */
function dayByDay(season: Season, decides: Decides): PlanBody {
  const state = emptyState(modelOf({ ...season, previous: null }));
  const { needs, needsOf, days, nowDay } = state.model;
  const weight = (need: number): number => needs.weight[need]!;
  for (let day = nowDay; day < days; day += 1)
    for (const input of state.model.order) {
      const open = needsOf[input]!.filter((need) => state.needDay[need]! < 0 && needs.latest[need]! >= day);
      if (open.length === 0) continue;
      decides(state, input, day, open);
      for (const need of open
        .filter((one) => needs.earliest[one]! <= day)
        .sort((one, other) => weight(other) - weight(one)))
        serveToday(state, need, day);
      state.journal.keep();
    }
  prune(state);
  return writePlan(state, season);
}

/**
 * What a grower would do who thinks no further than the drum: a keeping input is made, a full drum of it, when it has run out; a living one each Sunday where something is
 * due that week. The comparison that stands beside a plan.
 */
export const fullDrumHabit = (season: Season): PlanBody =>
  dayByDay(season, (state, input, day, open) => {
    const { inputs, needs } = state.model;
    const isSunday = day % 7 === 6;
    const isDue = open.some((need) => needs.earliest[need]! <= day + 7);
    const isOut = thereL(state, input, day) < Math.min(...open.map((need) => needs.leastL[need]!));
    if (inputs[input]!.living ? isSunday && isDue : isOut)
      fill(state, input, day, largest(state, freeDrums(state, input, day)));
  });

/** A new batch is begun when what there is would not last until it could be ready and so many days more. */
const SPARE_D = 7;
/** A drum may not be free on the very day: so much sooner is as good. */
const EARLY_D = 1;
/**
 * What a careful grower would do: reorder. A keeping input is made when store and running batches do not last until a new one could be ready and a week more; a living one so
 * that it is ready on the last day that all have in common that are due then; each in the smallest vessel that does, with drums that have air kept for what wants it.
 */
export const reorderHabit = (season: Season): PlanBody =>
  dayByDay(season, (state, input, day, open) => {
    const { inputs, needs } = state.model;
    const drums = freeDrums(state, input, day);
    if (drums.length === 0) return;
    const litres = (some: readonly number[]): number => some.reduce((sum, need) => sum + needs.preferredL[need]!, 0);
    const readyDay = Math.min(...drums.map((one) => one.readyDay));
    if (inputs[input]!.living) {
      // What can't be made in time any more holds nothing up.
      const inReach = open.filter((need) => needs.latest[need]! >= readyDay);
      const lastDay = Math.min(...inReach.map((need) => needs.latest[need]!));
      const common = inReach.filter((need) => needs.earliest[need]! <= lastDay);
      const inTime = drums.filter((one) => one.readyDay <= lastDay && one.readyDay >= lastDay - EARLY_D);
      if (inTime.length === 0 || thereL(state, input, day) >= litres(common) - 1e-6) return;
      return fill(state, input, day, smallestThatDoes(state, input, inTime, litres(common)), litres(common));
    }
    const wantedL = litres(open.filter((need) => needs.preferred[need]! <= readyDay + SPARE_D));
    const shortL = wantedL - thereL(state, input, day);
    if (shortL > 1e-6) fill(state, input, day, smallestThatDoes(state, input, drums, shortL));
  });

/** Applies what is due on its day, or on its last; out of what there is today and no other day. */
function serveToday(state: State, need: number, day: number): void {
  const { latest, preferred, preferredL, leastL, input } = state.model.needs;
  // What does not keep goes on as soon as it may; what keeps waits for its day.
  if (!state.model.inputs[input[need]!]!.living && preferred[need]! > day && latest[need]! > day) return;
  serveOn(state, need, day, preferredL[need]!, leastL[need]!, { left: 4 });
}
