import "server-only";
import { isFit, type FitBand } from "@/core/apply/fitHours";
import type { Act } from "@/core/book/words";
import { recipeFrom } from "@/core/recipe/document";
import { dueTasks } from "@/core/tend/dueTasks";
import { taskWordOf } from "@/core/tend/taskWords";
import type { VesselState } from "@/data/vessels";
import type { Plan } from "@/data/shed";
import type { Farm } from "@/data/farm";
import type { ArrangedTask, DaySlot, TaskShare } from "@/data/batch";
import { sayEntry } from "@/words/said";
import { sayVolume } from "@/formats/amounts";
import { clockTime, hourOfDay, isoDay, sayDay, sayDuration, sayForecastMoment, type FarmClock } from "@/formats/times";
import { hourOf, logItemsOf } from "../ferment";
import type { BatchView } from "../batch";
import type { RoundDone, RoundDraft, RoundTask, RoundTouch, RunningBatch } from "./roundTask";
import { standingTasks } from "./standingTasks";
import type { WaterStartView } from "../water";
import { afterColon, inText } from "@/formats/grammar";

/** Parts of the day that a task may be kept for, by the farm's clock. */
const SLOT_H = { morning: 7, midday: 12, evening: 18 } as const;

const HOUR_MS = 3_600_000;
/** The round looks this far ahead, and calls "now" what is due within an hour. */
const AHEAD_H = 40;
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

/** How long ago it was last done, in words. */
const sinceLast = (what: string, lastH: number | null, nowH: number): string =>
  lastH === null ? `not ${what} yet` : `last ${what} ${sayDuration(Math.max(0, nowH - lastH))} ago`;
const sentence = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;

/** What is over wants no more stirring and feeding. */
const isOver = ({ state, spoilt }: BatchView): boolean => state === "past" || spoilt === "discard";
/** Gas is let out of what is over until it is emptied; what is held back in doubt gets no food and no reading, only the look that settles it. */
const isAsked = (act: string, view: BatchView): boolean =>
  isOver(view) ? act === "vented" : view.spoilt !== "hold" || (act !== "fed" && act !== "read-ph");

function tendingTasks({ vessel, order, batch, entries, view }: RunningBatch, now: Date): RoundDraft[] {
  const nowH = hourOf(batch, now);
  return dueTasks(recipeFrom(batch.recipe.document), logItemsOf(batch, entries), nowH, nowH + AHEAD_H, view.rate)
    .filter(({ task: { act } }) => isAsked(act, view))
    .map(({ task, dueH, late, lastH }) => {
      const dueMs = batch.startedAt.getTime() + dueH * HOUR_MS;
      const since = task.act === "vented" ? [sinceLast("vented", lastH, nowH)] : [];
      return {
        key: `${batch.id}-${task.act}`,
        does: taskWordOf(task.act),
        on: vessel.name,
        dueMs,
        title: `${vessel.name}: ${afterColon(task.text)}`,
        why: late
          ? ["Late.", task.ifMissed, ...since.map(sentence)].join(" ")
          : [`${batch.recipe.shortName}${vessel.site ? `, ${vessel.site}` : ""}`, ...since].join("; "),
        urgency: urgencyOf(dueMs, now, late),
        touch: touchFor(task.act, batch.id),
        vesselOrder: order,
      };
    });
}

/** Whether fit hours come before a window closes, in words. */
function fitBefore(view: BatchView, bands: readonly FitBand[], now: Date, clock: FarmClock): string {
  const closes = view.window.end.p50;
  if (closes === null || closes > now.getTime() + 36 * HOUR_MS) return "";
  const band = bands.find((one) => isFit(one) && one.toMs > now.getTime() && one.fromMs < closes);
  const until = `Good until about ${sayForecastMoment(new Date(closes), now, clock)}`;
  return band
    ? `${until}; good time to apply before then: ${clockTime(new Date(Math.max(band.fromMs, now.getTime())), clock)} to ${clockTime(new Date(Math.min(band.toMs, closes)), clock)}. `
    : `${until}. No good time to apply before then: use bare soil or compost. `;
}

type Asked = Pick<RoundDraft, "key" | "does" | "title" | "touch"> & Partial<RoundDraft>;

/** What a verdict's next act is as a task; null for what stands in the round already, or is no task. */
function askedBy({ act, words }: BatchView["next"], batchId: number, name: string): Asked | null {
  const log = (focus: "ph" | "smell" | "temperature") => ({ type: "open-log", batchId, focus }) as const;
  const close = { type: "close", batchId } as const;
  switch (act) {
    case "strain":
    case "use-now":
      return { key: `${batchId}-close`, does: "strain", title: `${name}: strain and use`, touch: close };
    case "compost":
      return { key: `${batchId}-close`, does: "to-heap", title: `${name}: put it on hot compost`, touch: close };
    case "read-ph":
    case "repeat-ph":
      return {
        key: `${batchId}-read-ph`,
        does: "read-ph",
        title: `${name}: measure pH halfway down`,
        touch: log("ph"),
      };
    case "smell":
    case "look":
      return {
        key: `${batchId}-look`,
        does: act,
        title: `${name}: ${act === "look" ? "look at it" : "smell it"}`,
        touch: log("smell"),
      };
    case "warm":
    case "cool":
    case "feed":
      return {
        key: `${batchId}-rescue`,
        does: act,
        title: `${name}: ${inText(words)}, then measure its temperature`,
        urgency: "late",
        touch: log("temperature"),
      };
    case "stir":
      return {
        key: `${batchId}-stirred`,
        does: "stir",
        title: `${name}: stir it long`,
        touch: { type: "log-act", batchId, act: "stirred" },
      };
    // What was missed stands in the round as the task that it is.
    case "catch-up":
    case "wait":
      return null;
  }
}

/** What the verdict itself asks for, where the programme does not ask for it already. */
function verdictTask(
  { vessel, order, batch, view }: RunningBatch,
  now: Date,
  bands: readonly FitBand[],
  clock: FarmClock,
): RoundDraft | null {
  const { next } = view;
  const asked = next.atMs > now.getTime() + AHEAD_H * HOUR_MS ? null : askedBy(next, batch.id, vessel.name);
  if (!asked) return null;
  const open = next.act === "strain" || next.act === "use-now";
  return {
    dueMs: next.atMs,
    vesselOrder: order,
    urgency: urgencyOf(next.atMs, now, false),
    on: vessel.name,
    // On a phone three lines are seen: when it closes comes first.
    why: `${open ? fitBefore(view, bands, now, clock) : ""}${view.reasons[0] ?? view.stateWords}`,
    ...asked,
  };
}

const washTask = ({ vessel, order, next }: RoundInput["dirty"][number], now: Date): RoundDraft => ({
  key: `wash-${vessel.id}`,
  does: "wash",
  on: vessel.name,
  dueMs: now.getTime(),
  title: `${vessel.name}: wash it out`,
  why: next ? `Clean by ${sayDay(next.forDay)}, for ${next.name}` : "Before the next fill",
  urgency: "now",
  touch: { type: "clean", vesselId: vessel.id },
  vesselOrder: order,
});

/** Water that was set aside is news when it is ready, and until it is used. */
function waterTask(start: WaterStartView, order: number, units: Farm["units"], now: Date): RoundDraft | null {
  if (start.readyMs > now.getTime() + AHEAD_H * HOUR_MS) return null;
  const ready = start.readyMs <= now.getTime();
  return {
    key: `water-${start.id}`,
    does: "use-water",
    on: start.sourceName,
    dueMs: start.readyMs,
    title: `${start.sourceName}: water for ${start.purpose === "brew" ? "brewing" : "dilution"} ${ready ? "is ready" : "will be ready"}`,
    why: `${sayVolume(start.leftL, units)}${start.place ? `, ${start.place}` : ""}`,
    urgency: ready ? "now" : "later",
    touch: { type: "go", href: "/shed#water" },
    vesselOrder: order,
  };
}

const RANK = { late: 0, now: 1, later: 2 } as const;

/** What a round is made of. */
export interface RoundInput {
  readonly running: readonly RunningBatch[];
  readonly dirty: readonly {
    readonly vessel: VesselState;
    readonly order: number;
    /** What is planned to go into it next; null where nothing is. */
    readonly next: Pick<Plan, "forDay" | "name"> | null;
  }[];
  readonly waters: readonly WaterStartView[];
  /** What shed and field have to say. */
  readonly shed: readonly RoundDraft[];
  readonly bands: readonly FitBand[];
  readonly shares: readonly TaskShare[];
  /** What somebody gave away or put off. */
  readonly arranged?: readonly ArrangedTask[];
  readonly clock: FarmClock;
  readonly units: Farm["units"];
  readonly now: Date;
}

/** A task kept for a part of the day falls due then, on its own day; one that is late already stays late. */
function atItsHour(task: RoundDraft, slot: DaySlot | null, clock: FarmClock): RoundDraft {
  if (slot === null || task.urgency === "late") return task;
  const due = new Date(task.dueMs);
  const dueMs = task.dueMs + (SLOT_H[slot] - hourOfDay(due, clock)) * HOUR_MS;
  return { ...task, dueMs };
}

/** Until when a task is put off, while that hour has not come. */
const putOffOf = (told: ArrangedTask | null, now: Date): RoundTask["putOff"] =>
  told?.untilAt && told.untilAt > now
    ? { untilMs: told.untilAt.getTime(), reason: told.reason, by: told.actorName }
    : null;

/** The round: late first, then what is due now in walking order along the vessels, then by the clock, tomorrow's last. */
export function roundTasks({
  running,
  dirty,
  waters,
  shed,
  bands,
  shares,
  arranged = [],
  clock,
  units,
  now,
}: RoundInput): RoundTask[] {
  const byKey = new Map<string, RoundTask>();
  const today = isoDay(now, clock);
  const offer = (draft: RoundDraft | null, share: TaskShare | null = null) => {
    if (!draft) return;
    const told = arranged.find(({ taskKey }) => taskKey === draft.key) ?? null;
    const putOff = putOffOf(told, now);
    const hourly = atItsHour(draft, share?.slot ?? null, clock);
    // Put off, it is late no more until its hour has come.
    const task: RoundDraft = putOff ? { ...hourly, dueMs: putOff.untilMs, urgency: "later" } : hourly;
    const known = byKey.get(task.key);
    if (known && task.dueMs >= known.dueMs) return;
    const urgency = task.urgency === "late" ? "late" : urgencyOf(task.dueMs, now, false);
    byKey.set(task.key, {
      ...task,
      urgency,
      tomorrow: urgency === "later" && isoDay(new Date(task.dueMs), clock) !== today,
      who: told ? told.personName : (share?.personName ?? null),
      putOff,
    });
  };
  for (const item of running) {
    const shareOf = (key: string) =>
      shares.find(({ batchId, act }) => batchId === item.batch.id && key === `${item.batch.id}-${act}`) ?? null;
    for (const task of tendingTasks(item, now)) offer(task, shareOf(task.key));
    for (const task of standingTasks(item, now)) offer(task);
    const asked = verdictTask(item, now, bands, clock);
    offer(asked, asked && shareOf(asked.key));
  }
  for (const one of dirty) offer(washTask(one, now));
  for (const task of shed) offer(task);
  for (const start of waters) offer(waterTask(start, dirty.length + running.length, units, now));
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
