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

/** The vessel that a grower would take: the largest free one up to a drum. */
function freeDrum(state: State, input: number, day: number): { vessel: number; readyDay: number } | null {
  const { inputs, classes, season, days } = state.model;
  let best: { vessel: number; readyDay: number } | null = null;
  for (const { durations, classes: alike } of inputs[input]!.groups) {
    const takes = durations[day]!;
    if (takes < 0 || day + takes >= days) continue;
    for (const one of alike)
      for (const vessel of classes[one]!.vessels) {
        const { volumeL, cleanD } = season.vessels[vessel]!;
        if (volumeL > DRUM_L || !isFree(state, vessel, day, day + takes, day + takes + cleanD - 1)) continue;
        if (!best || volumeL > season.vessels[best.vessel]!.volumeL) best = { vessel, readyDay: day + takes };
      }
  }
  return best;
}
/** Fills it to the brim, or as far as what is at hand goes. */
function fill(state: State, input: number, day: number): void {
  const found = freeDrum(state, input, day);
  if (!found) return;
  const { high, low, yieldLPerL } = state.model.inputs[input]!;
  const { volumeL } = state.model.season.vessels[found.vessel]!;
  const mark = state.journal.mark();
  const source =
    ensureFeeds(state, input, day, low * volumeL, 0) && startBatch(state, { input, ...found, startDay: day });
  if (!source) {
    state.journal.rollback(mark);
    return;
  }
  const grown = state.journal.mark();
  if (!resize(state, source, high * volumeL * yieldLPerL)) state.journal.rollback(grown);
}

/**
 * What a grower would do who thinks no further than the drum: a keeping input is made, a full drum of it, when it has run out; a living one each Sunday where something is due that week.
 * What is due is applied as it comes, the heavier first. The comparison that stands beside a plan.
 */
export function fullDrumHabit(season: Season): PlanBody {
  const state = emptyState(modelOf({ ...season, previous: null }));
  const { needs, needsOf, inputs, days, nowDay } = state.model;
  const weight = (need: number): number => needs.weight[need]!;
  for (let day = nowDay; day < days; day += 1)
    for (const input of state.model.order) {
      const { living } = inputs[input]!;
      const open = needsOf[input]!.filter((need) => state.needDay[need]! < 0 && needs.latest[need]! >= day);
      if (open.length === 0) continue;
      const there = state.sourcesOf[input]!.reduce((sum, index) => {
        const source = state.source(index);
        return sum + (source.readyDay > day ? source.outputL - source.givenL : roomL(state, source, day));
      }, 0);
      const isSunday = day % 7 === 6;
      const isDue = open.some((need) => needs.earliest[need]! <= day + 7);
      if (living ? isSunday && isDue : there < Math.min(...open.map((need) => needs.leastL[need]!)))
        fill(state, input, day);
      for (const need of open
        .filter((one) => needs.earliest[one]! <= day)
        .sort((one, other) => weight(other) - weight(one)))
        serveToday(state, need, day);
      state.journal.keep();
    }
  prune(state);
  return writePlan(state, season);
}
/** Applies what is due on its day, or on its last; out of what there is today and no other day. */
function serveToday(state: State, need: number, day: number): void {
  const { latest, preferred, preferredL, leastL, input } = state.model.needs;
  // What does not keep goes on as soon as it may; what keeps waits for its day.
  if (!state.model.inputs[input[need]!]!.living && preferred[need]! > day && latest[need]! > day) return;
  serveOn(state, need, day, preferredL[need]!, leastL[need]!, { left: 4 });
}
