import { isApart, meet, startBatch, type NeedDraw } from "../state/batches";
import { isFree } from "../state/resources";
import type { Source } from "../state/source";
import type { State } from "../state/state";
import { emptyOn, resize } from "../state/uses";
import type { Application, PlanBatch } from "../season";
import { ensureFeeds } from "./commit";

/** What of a plan did not go in. */
export interface Loaded {
  readonly batches: readonly PlanBatch[];
  readonly applications: readonly Application[];
}
export interface Loading {
  readonly batches: readonly PlanBatch[];
  readonly applications: readonly Application[];
  /** Whether what does not fit may move: some days, or to a vessel that is as good. */
  readonly mayMove: boolean;
}
const MOVES_D = [0, 1, -1, 2, -2, 3, -3] as const;

/** Vessels and days for a batch of a plan before: its own, then close by. */
function* places(state: State, batch: PlanBatch, mayMove: boolean): Generator<{ vessel: number; startDay: number }> {
  const { indexOf, classOf, classes, nowDay, days } = state.model;
  const vessel = indexOf.vessels.get(batch.vessel);
  if (vessel === undefined) return;
  const twins = mayMove && !batch.pinned ? classes[classOf[vessel]!]!.vessels.filter((one) => one !== vessel) : [];
  for (const move of mayMove && !batch.pinned ? MOVES_D : [0]) {
    const startDay = batch.startDay + move;
    if (startDay < nowDay || startDay >= days) continue;
    for (const one of [vessel, ...twins]) yield { vessel: one, startDay };
  }
}
function begin(state: State, batch: PlanBatch, mayMove: boolean): Source | null {
  const { indexOf, inputs, classOf, classes } = state.model;
  const input = indexOf.inputs.get(batch.input);
  if (input === undefined) return null;
  const of = inputs[input]!;
  for (const { vessel, startDay } of places(state, batch, mayMove)) {
    const { durations, cleanD } = classes[classOf[vessel]!]!;
    const takes = durations[input]?.[startDay] ?? -1;
    if (takes < 0 || !isFree(state, vessel, startDay, startDay + takes, startDay + takes + cleanD - 1)) continue;
    const mark = state.journal.mark();
    const readyDay = startDay + takes;
    const source =
      ensureFeeds(state, input, startDay, batch.fillL, 0) &&
      startBatch(state, { input, vessel, startDay, readyDay, id: null, isPinned: batch.pinned ?? false });
    if (!source) {
      state.journal.rollback(mark);
      continue;
    }
    const grown = state.journal.mark();
    if (!resize(state, source, batch.fillL * of.yieldLPerL)) state.journal.rollback(grown);
    const held = batch.emptyDay - batch.readyDay;
    if (held > 0 && !of.living) {
      const before = state.journal.mark();
      if (!emptyOn(state, source, Math.min(readyDay + held, readyDay + of.holdD))) state.journal.rollback(before);
    }
    return source;
  }
  return null;
}

/** Puts a plan into a state, pinned batches first, as far as the rules let it. @returns what does not fit */
export function loadPlan(state: State, { batches, applications, mayMove }: Loading): Loaded {
  const { indexOf, season, needs } = state.model;
  const sources = new Map<string, Source>();
  for (const source of state.sources) if (source?.id != null) sources.set(source.id, source);
  const lostBatches: PlanBatch[] = [];
  const inOrder = batches
    .filter(({ running }) => !running)
    .toSorted(
      (one, other) => Number(other.pinned ?? false) - Number(one.pinned ?? false) || one.startDay - other.startDay,
    );
  for (const batch of inOrder) {
    const source = begin(state, batch, mayMove);
    if (source) sources.set(batch.id, source);
    else lostBatches.push(batch);
  }
  const lost: Application[] = [];
  const isFixed = ({ draws }: Application): boolean => draws.every(({ from }) => sources.get(from)?.isFixed);
  const byPlace = applications.toSorted(
    (one, other) =>
      Number(other.pinned ?? false) - Number(one.pinned ?? false) ||
      Number(isFixed(other)) - Number(isFixed(one)) ||
      other.day - one.day,
  );
  for (const application of byPlace) {
    const need = indexOf.needs.get(application.need);
    const draws = application.draws.flatMap(({ from, amountL }): NeedDraw[] => {
      const source = sources.get(from);
      return source ? [{ source, amountL }] : [];
    });
    const litres = draws.reduce((sum, { amountL }) => sum + amountL, 0);
    const mark = state.journal.mark();
    const stands =
      need !== undefined &&
      state.needDay[need]! < 0 &&
      application.day >= needs.earliest[need]! &&
      application.day <= needs.latest[need]! &&
      litres >= needs.leastL[need]! - 1e-6 &&
      litres <= needs.preferredL[need]! + 1e-6 &&
      isApart(state, need, application.day) &&
      meet(state, need, application.day, draws);
    if (!stands) {
      state.journal.rollback(mark);
      if (need !== undefined || season.needs.length === 0) lost.push(application);
    }
  }
  return { batches: lostBatches, applications: lost };
}
