import "server-only";
import type { Act } from "@/core/book/words";
import { recipeFrom } from "@/core/recipe/document";
import { dueTasks } from "@/core/tend/dueTasks";
import type { Batch } from "@/data/batches";
import type { Entry } from "@/data/entries";
import type { VesselState } from "@/data/vessels";
import type { Farm } from "@/data/farm";
import { sayEntry } from "@/formats/entryText";
import { sayVolume } from "@/formats/amounts";
import { isoDay } from "@/formats/times";
import { hourOf, logItemsOf } from "./ferment/logItems";
import type { BatchView } from "./batchView";
import type { WaterStartView } from "./readWaters";

/** What one touch on a task does: log the act, open the log sheet, strain, or mark the vessel as washed. */
export type RoundTouch =
  | { readonly type: "log-act"; readonly batchId: number; readonly act: Act }
  | { readonly type: "open-log"; readonly batchId: number; readonly focus: "ph" | "smell" | "temperature" }
  | { readonly type: "close"; readonly batchId: number }
  | { readonly type: "clean"; readonly vesselId: number }
  | { readonly type: "go"; readonly href: string };

export interface RoundTask {
  readonly key: string;
  readonly dueMs: number;
  readonly title: string;
  readonly why: string;
  readonly urgency: "late" | "now" | "later";
  readonly touch: RoundTouch;
  readonly vesselOrder: number;
}

export interface RoundDone {
  readonly entryId: number;
  readonly batchId: number;
  readonly title: string;
  readonly atMs: number;
  readonly by: string;
}

export interface RunningBatch {
  readonly vessel: VesselState;
  readonly order: number;
  readonly batch: Batch;
  readonly entries: readonly Entry[];
  readonly view: BatchView;
}

const HOUR_MS = 3_600_000;
/** The round looks this far ahead, and calls "now" what is due within an hour. */
const AHEAD_H = 16;
const NOW_H = 1;

const urgencyOf = (dueMs: number, now: Date, late: boolean): RoundTask["urgency"] =>
  late ? "late" : dueMs <= now.getTime() + NOW_H * HOUR_MS ? "now" : "later";

function touchFor(act: string, batchId: number): RoundTouch {
  if (act === "read-ph") return { type: "open-log", batchId, focus: "ph" };
  // What is fed comes out of the shed, so it is said how much.
  if (act === "fed") return { type: "go", href: `/batches/${batchId}?open=add` };
  if (act === "look") return { type: "open-log", batchId, focus: "smell" };
  return { type: "log-act", batchId, act: act as Act };
}

function tendingTasks({ vessel, order, batch, entries }: RunningBatch, now: Date): RoundTask[] {
  const nowH = hourOf(batch, now);
  return dueTasks(recipeFrom(batch.recipe.document), logItemsOf(batch, entries), nowH, nowH + AHEAD_H).map(
    ({ task, dueH, late }) => {
      const dueMs = batch.startedAt.getTime() + dueH * HOUR_MS;
      return {
        key: `${batch.id}-${task.act}`,
        dueMs,
        title: `${vessel.name}: ${task.text.charAt(0).toLowerCase()}${task.text.slice(1)}`,
        why: late ? `Late. ${task.ifMissed}` : `${batch.recipe.shortName}${vessel.site ? `, ${vessel.site}` : ""}`,
        urgency: urgencyOf(dueMs, now, late),
        touch: touchFor(task.act, batch.id),
        vesselOrder: order,
      };
    },
  );
}

/** What the verdict itself asks for, where the programme does not ask for it already. */
function verdictTask({ vessel, order, batch, view }: RunningBatch, now: Date): RoundTask | null {
  const base = { dueMs: view.next.atMs, vesselOrder: order, urgency: urgencyOf(view.next.atMs, now, false) };
  if (view.next.atMs > now.getTime() + AHEAD_H * HOUR_MS) return null;
  const why = view.reasons[0] ?? view.stateWords;
  switch (view.next.act) {
    case "strain":
    case "use-now":
      return {
        ...base,
        key: `${batch.id}-close`,
        title: `${vessel.name}: strain and use`,
        why,
        touch: { type: "close", batchId: batch.id },
      };
    case "compost":
      return {
        ...base,
        key: `${batch.id}-close`,
        title: `${vessel.name}: onto the compost`,
        why,
        touch: { type: "close", batchId: batch.id },
      };
    case "read-ph":
    case "repeat-ph":
      return {
        ...base,
        key: `${batch.id}-read-ph`,
        title: `${vessel.name}: read pH at mid-depth`,
        why,
        touch: { type: "open-log", batchId: batch.id, focus: "ph" },
      };
    case "smell":
    case "look":
      return {
        ...base,
        key: `${batch.id}-look`,
        title: `${vessel.name}: smell it`,
        why,
        touch: { type: "open-log", batchId: batch.id, focus: "smell" },
      };
    case "warm":
    case "feed":
      return {
        ...base,
        key: `${batch.id}-rescue`,
        title: `${vessel.name}: ${view.next.words.toLowerCase()}, then read its temperature`,
        why,
        urgency: "late",
        touch: { type: "open-log", batchId: batch.id, focus: "temperature" },
      };
    case "wait":
      return null;
  }
}

const washTask = (vessel: VesselState, order: number, now: Date): RoundTask => ({
  key: `wash-${vessel.id}`,
  dueMs: now.getTime(),
  title: `${vessel.name}: wash it out`,
  why: "Before the next fill",
  urgency: "now",
  touch: { type: "clean", vesselId: vessel.id },
  vesselOrder: order,
});

/** Water that was set aside is news when it is ready, and until it is used. */
function waterTask(start: WaterStartView, order: number, now: Date): RoundTask | null {
  if (start.readyMs > now.getTime() + AHEAD_H * HOUR_MS) return null;
  const ready = start.readyMs <= now.getTime();
  return {
    key: `water-${start.id}`,
    dueMs: start.readyMs,
    title: `${start.sourceName}: water for ${start.purpose === "brew" ? "brewing" : "thinning"} ${ready ? "is ready" : "will be ready"}`,
    why: `${sayVolume(start.leftL, "metric")}${start.place ? `, ${start.place}` : ""}`,
    urgency: ready ? "now" : "later",
    touch: { type: "go", href: "/shed#water" },
    vesselOrder: order,
  };
}

const RANK = { late: 0, now: 1, later: 2 } as const;

/** Today's round: late first, then what is due now in walking order along the vessels, then by the clock. */
export function roundTasks(
  running: readonly RunningBatch[],
  dirty: readonly { vessel: VesselState; order: number }[],
  waters: readonly WaterStartView[],
  now: Date,
  /** What the shed has to say. */
  shed: readonly RoundTask[] = [],
): RoundTask[] {
  const byKey = new Map<string, RoundTask>();
  const offer = (task: RoundTask | null) => {
    const known = task && byKey.get(task.key);
    if (task && (!known || task.dueMs < known.dueMs)) byKey.set(task.key, task);
  };
  for (const item of running) {
    tendingTasks(item, now).forEach(offer);
    offer(verdictTask(item, now));
  }
  for (const { vessel, order } of dirty) offer(washTask(vessel, order, now));
  shed.forEach(offer);
  for (const start of waters) offer(waterTask(start, dirty.length + running.length, now));
  return [...byKey.values()].toSorted(
    (a, b) =>
      RANK[a.urgency] - RANK[b.urgency] ||
      (a.urgency === "later" ? a.dueMs - b.dueMs : a.vesselOrder - b.vesselOrder) ||
      a.dueMs - b.dueMs ||
      a.key.localeCompare(b.key),
  );
}

/** What was done today, newest first. */
export function doneToday(running: readonly RunningBatch[], { timeZone, units }: Farm, now: Date): RoundDone[] {
  const today = isoDay(now, { timeZone });
  return running
    .flatMap(({ vessel, batch, entries }) =>
      entries
        .filter((entry) => isoDay(entry.at, { timeZone }) === today && entry.kind !== "note")
        .map((entry) => ({
          entryId: entry.id,
          batchId: batch.id,
          title: `${vessel.name}: ${sayEntry(entry, units)}`,
          atMs: entry.at.getTime(),
          by: entry.actorName,
        })),
    )
    .toSorted((a, b) => b.atMs - a.atMs)
    .slice(0, 8);
}
