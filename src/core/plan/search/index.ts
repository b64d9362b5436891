import { chanceFrom } from "@/core/chance";
import { possibleNeeds } from "../floor";
import { modelOf, type Model } from "../model";
import type { Application, PlanBatch, Season } from "../season";
import { emptyState } from "../state/begin";
import { START } from "../state/journal";
import { restore, snapshot, type Snapshot } from "../state/snapshot";
import type { State } from "../state/state";
import { cover, setDoses, type Covering } from "./cover";
import { buildFirst } from "./firstPlan";
import { tryOnce, type Improving } from "./improve";
import { loadPlan } from "./load";
import { PATIENT } from "./parameters";
import { Picker } from "./pick";
import { valueOf, type Value } from "./score";

export interface SearchStep {
  readonly rounds: number;
  readonly value: Value;
  /** Best so far; another one than at the step before where it is better. Nothing while the first plan is being built. */
  readonly best: Snapshot | null;
}
/** What was pinned in the plan before and does not hold any more. */
export interface LostPins {
  readonly batches: readonly PlanBatch[];
  readonly applications: readonly Application[];
}
export interface Search {
  readonly model: Model;
  /** A state to write plans from; whoever uses it restores what it wants into it. */
  readonly state: State;
  readonly possible: Uint8Array;
  readonly floorUnmet: number;
  readonly lostPins: LostPins;
  /** @param progress share of the time that is gone, 0 to 1: the search becomes choosier with it */
  steps(progress: () => number): Generator<SearchStep, void>;
  /** Tries what the best leaves out once more, with more starts and patience than a round has. @returns what is better, or the same */
  lastTries(best: Snapshot): Snapshot;
}

const better = (one: Value, other: Value): boolean =>
  one.unmet < other.unmet - 1e-9 || (one.unmet < other.unmet + 1e-9 && one.j < other.j - 1e-9);

/** Weight of the needs that no plan could meet. */
function floorOf(model: Model, possible: Uint8Array): number {
  let floor = 0;
  for (let need = 0; need < model.needs.count; need += 1) if (!possible[need]) floor += model.needs.weight[need]!;
  return floor;
}

/** The plan before, as far as it still holds: facts moved on, and what is pinned stays or is named. */
function loadBefore(state: State): LostPins {
  const { previous } = state.model.season;
  if (!previous) return { batches: [], applications: [] };
  const lost = loadPlan(state, { ...previous, mayMove: true });
  const { nowDay, indexOf } = state.model;
  for (const { need, pinned } of previous.applications) {
    const index = indexOf.needs.get(need);
    if (pinned && index !== undefined && state.needDay[index]! >= 0) state.isNeedPinned[index] = 1;
  }
  state.journal.keep();
  return {
    batches: lost.batches.filter(({ pinned, startDay }) => pinned && startDay >= nowDay),
    applications: lost.applications.filter(({ pinned, day }) => pinned && day >= nowDay),
  };
}

/**
 * Searches for a plan: a greedy one first (or the plan before, as far as it holds), then over and over a part taken out and put back otherwise (large neighbourhood search, Shaw
 * 1998). It can be stopped after any step. The same season, seed and number of rounds give the same plan.
 */
export function searchOf(season: Season, seed: number): Search {
  const model = modelOf(season);
  const state = emptyState(model);
  const possible = possibleNeeds(state);
  const chance = chanceFrom(seed);
  const failures = new Uint16Array(model.needs.count);
  const look: Omit<Covering, "parameters"> = {
    state,
    chance,
    picker: new Picker(state),
    doses: new Float64Array(model.needs.count),
    failures,
  };
  const from: Improving = { state, chance, failures, possible, look };
  const lostPins = loadBefore(state);

  function* steps(progress: () => number): Generator<SearchStep, void> {
    for (const built = buildFirst(look, possible); !built.next().done;) {
      state.journal.keep();
      yield { rounds: 0, value: valueOf(state), best: null };
    }
    let bestValue = valueOf(state);
    let best = snapshot(state);
    let current = bestValue;
    yield { rounds: 0, value: bestValue, best };
    for (let rounds = 1; ; rounds += 1) {
      const value = tryOnce(from);
      const heat = Math.max(2, 0.0005 * current.cost) * (1 - progress()) ** 2 + 0.01;
      const allowed = value.unmet > current.unmet + 1e-9 ? 0 : -heat * Math.log(1 - chance.uniform());
      if (value.j <= current.j + allowed) {
        state.journal.keep();
        current = value;
        if (better(value, bestValue)) {
          if (value.unmet < bestValue.unmet - 1e-9) failures.fill(0);
          bestValue = value;
          best = snapshot(state);
        }
      } else state.journal.rollback(START);
      if (chance.uniform() < 0.002) {
        restore(state, best);
        current = bestValue;
      }
      yield { rounds, value: bestValue, best };
    }
  }

  function lastTries(best: Snapshot): Snapshot {
    restore(state, best);
    const patient: Covering = { ...look, parameters: PATIENT };
    setDoses(patient);
    let value = valueOf(state);
    for (let need = 0; need < model.needs.count; need += 1) {
      if (!possible[need] || state.needDay[need]! >= 0) continue;
      cover(patient, model.needs.input[need]!, [need]);
      const now = valueOf(state);
      if (better(now, value)) {
        value = now;
        state.journal.keep();
      } else state.journal.rollback(START);
    }
    return snapshot(state);
  }
  return { model, state, possible, floorUnmet: floorOf(model, possible), lostPins, steps, lastTries };
}
