import "server-only";
import type { FitBand } from "@/core/apply/fitHours";
import {
  listLinesOfRunning,
  listRunningBatches,
  listStandingOfRunning,
  type Entry,
  listArranged,
  listTaskShares,
} from "@/data/batch";
import { listActors, type Farm } from "@/data/farm";
import { listOpenPlans, type Plan } from "@/data/shed";
import { listVesselStates, type Vessel, type VesselState } from "@/data/vessels";
import { assessBatch, readSituation } from "../ferment";
import { batchView, type BatchView } from "../batch";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { readWaters } from "../water";
import { doneToday, roundTasks } from "./round";
import { fieldTasks } from "./fieldRound";
import type { RoundDone, RoundTask, RunningBatch } from "./roundTask";
import { readOpenMixings, shedTasks, type OpenMixing } from "./shedRound";
import { airAhead, fitBands } from "../weather";
import { findMethod } from "@/core/book";
import { mayAs } from "@/core/people/roles";
import { countHeld } from "@/data/people";

const HOUR_MS = 3_600_000;
/** A task that was arranged longer ago is over. */
const ARRANGED_MS = 8 * 24 * HOUR_MS;

export type VesselStatus = "running" | "dirty" | "free";

export interface YardVessel extends Vessel {
  readonly status: VesselStatus;
  readonly batch: BatchView | null;
  /** A fill that is being done in it, step by step. */
  readonly mixing: OpenMixing | null;
  /** What is meant for it next; nothing while something runs in it. */
  readonly planned: { readonly planId: number; readonly shortName: string; readonly forDay: string } | null;
}

export interface AirPoint {
  readonly atMs: number;
  readonly airC: number;
  /** Nobody told it: what the air usually is. */
  readonly usual: boolean;
}

export interface YardView {
  readonly farm: FarmView;
  readonly nowMs: number;
  /** No vessel was ever set up here. */
  readonly isNew: boolean;
  readonly vessels: readonly YardVessel[];
  readonly bands: readonly FitBand[];
  readonly air: readonly AirPoint[];
  readonly round: readonly RoundTask[];
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly done: readonly RoundDone[];
  /** Entries that wait for a steward, where whoever looks is one. */
  readonly heldEntries: number;
}

export const statusOf = (vessel: VesselState): VesselStatus =>
  vessel.batchId === null || vessel.cleaned ? "free" : !vessel.ended ? "running" : "dirty";

export function groupByBatch(entries: readonly Entry[]): Map<number, Entry[]> {
  const groups = new Map<number, Entry[]>();
  for (const entry of entries) groups.set(entry.batchId, [...(groups.get(entry.batchId) ?? []), entry]);
  return groups;
}

const plainVessel = ({ id, name, kind, volumeL, diameterM, site, airW, heldBefore, state }: VesselState): Vessel => ({
  id,
  name,
  kind,
  volumeL,
  diameterM,
  site,
  airW,
  heldBefore,
  state,
});

/** What is meant for a vessel next; plans come soonest first. */
function plannedFor(plans: readonly Plan[], vesselId: number): YardVessel["planned"] {
  const plan = plans.find((one) => one.vesselId === vesselId);
  return plan ? { planId: plan.id, shortName: findMethod(plan.methodId).shortName, forDay: plan.forDay } : null;
}

/** The yard as it stands: vessels, ribbons, verdicts, fit hours, the round. */
export async function readYard(ctx: Context, farm: Farm): Promise<YardView> {
  const db = ctx.pool;
  const now = ctx.now();
  const [people, shares, arranged, lines, allVessels, batches, entries, waters, mixings, plans, heldEntries] =
    await Promise.all([
      listActors(db),
      listTaskShares(db),
      listArranged(db, new Date(now.getTime() - ARRANGED_MS)),
      listLinesOfRunning(db),
      listVesselStates(db),
      listRunningBatches(db),
      listStandingOfRunning(db),
      readWaters(ctx),
      readOpenMixings(ctx),
      listOpenPlans(db),
      mayAs(ctx.actor.role, "steward") ? countHeld(db) : 0,
    ]);
  const [shed, field] = await Promise.all([shedTasks(ctx, farm, mixings, plans), fieldTasks(ctx, farm)]);
  // What is lent, in repair or put away stands elsewhere.
  const states = allVessels.filter(({ state }) => state === "in-use");
  const byVessel = new Map(batches.map((batch) => [batch.vesselId, batch]));
  const logs = groupByBatch(entries);
  const situation = await readSituation(db, farm, batches, lines, now);
  const running: RunningBatch[] = states.flatMap((vessel, order) => {
    const batch = byVessel.get(vessel.id);
    if (!batch) return [];
    const log = logs.get(batch.id) ?? [];
    const assessment = assessBatch(batch, log, situation, now);
    return [
      { vessel, order, batch, entries: log, view: batchView(batch, log, assessment, farm, now, lines.get(batch.id)) },
    ];
  });
  const views = new Map(running.map(({ vessel, view }) => [vessel.id, view]));
  const dirty = states
    .map((vessel, order) => ({ vessel, order, next: plans.find(({ vesselId }) => vesselId === vessel.id) ?? null }))
    .filter(({ vessel }) => statusOf(vessel) === "dirty");
  const air = airAhead(farm, situation.air, now);
  const bands = fitBands(farm, air, now);
  return {
    farm: farmView(farm),
    nowMs: now.getTime(),
    people,
    heldEntries,
    isNew: allVessels.length === 0,
    vessels: states.map((state) => ({
      ...plainVessel(state),
      status: statusOf(state),
      batch: views.get(state.id) ?? null,
      mixing: mixings.find(({ vesselId }) => vesselId === state.id) ?? null,
      planned: views.has(state.id) ? null : plannedFor(plans, state.id),
    })),
    bands,
    air: air
      .filter(({ at }, index) => index % 2 === 0 || at.getTime() < now.getTime() + 48 * HOUR_MS)
      .map(({ at, airC, source }) => ({ atMs: at.getTime(), airC, usual: source === "usual" })),
    round: roundTasks({
      running,
      dirty,
      waters: waters.starts,
      shed: [...shed, ...field],
      bands,
      shares,
      arranged,
      clock: farm,
      units: farm.units,
      now,
    }),
    done: doneToday(running, farm, now),
  };
}
