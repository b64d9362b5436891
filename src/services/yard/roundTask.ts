import type { Act } from "@/core/book/words";
import type { TaskWord } from "@/core/tend/taskWords";
import type { Batch, Entry } from "@/data/batch";
import type { VesselState } from "@/data/vessels";
import type { BatchView } from "../batch";

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
  /** What it asks of the hand, and of which drum, jar or recipe: for pictures and cards in any language. */
  readonly does: TaskWord;
  readonly on: string;
  readonly touch: RoundTouch;
  readonly vesselOrder: number;
  /** Tomorrow's, by the farm's calendar. */
  readonly tomorrow: boolean;
  /** Whose it is; null for anyone. */
  readonly who: string | null;
  /** Put off to an hour, with why and by whom; null where it was not, or that hour has come. */
  readonly putOff: { readonly untilMs: number; readonly reason: string; readonly by: string } | null;
}

/** A task before it is placed in the day. */
export type RoundDraft = Omit<RoundTask, "tomorrow" | "who" | "putOff">;

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
