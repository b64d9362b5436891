import type { BatchView } from "@/services/batch";

export type LogFocus = "ph" | "smell" | "temperature" | "note";

/** What a log is opened for, by what the verdict asks next. */
export function focusFor({ next }: Pick<BatchView, "next">): LogFocus {
  if (next.act === "read-ph" || next.act === "repeat-ph") return "ph";
  return next.act === "warm" || next.act === "cool" || next.act === "feed" ? "temperature" : "smell";
}

/** An entry that the next one takes the place of. */
export interface Correcting {
  readonly entryId: number;
  readonly atMs: number;
  readonly was: string;
  readonly kind: "ph" | "temperature" | "words" | "measures" | "act" | "note";
}
