import "server-only";
import { MEASURE_KINDS, SIGN_KINDS, type Act, type MeasureKind, type SignKind } from "@/core/book/words";
import type { LogItem } from "@/core/judge/log";
import type { Batch, Entry, EntryKind } from "@/data/batch";

const HOUR_MS = 3_600_000;

export const hourOf = (batch: Pick<Batch, "startedAt">, at: Date): number =>
  (at.getTime() - batch.startedAt.getTime()) / HOUR_MS;

const isMeasure = (kind: EntryKind): kind is MeasureKind => MEASURE_KINDS.some((measure) => measure === kind);
const isSign = (kind: EntryKind): kind is SignKind => SIGN_KINDS.some((sign) => sign === kind);

/** The log as the core reads it. */
export function logItemsOf(batch: Pick<Batch, "startedAt">, entries: readonly Entry[]): LogItem[] {
  return entries.flatMap((entry): LogItem[] => {
    const hour = Math.max(0, hourOf(batch, entry.at));
    const by = entry.actorName;
    switch (entry.kind) {
      case "ph":
        return [
          {
            hour,
            kind: "ph",
            value: entry.numberValue!,
            instrument: entry.instrument!,
            spot: entry.spot!,
            by,
            ...(entry.settled === null ? {} : { settled: entry.settled }),
          },
        ];
      case "act":
        return [
          {
            hour,
            kind: "act",
            act: entry.word as Act,
            by,
            ...(entry.numberValue === null ? {} : { amount: entry.numberValue }),
          },
        ];
      default:
        if (isMeasure(entry.kind)) return [{ hour, kind: entry.kind, value: entry.numberValue!, by }];
        return isSign(entry.kind) ? [{ hour, kind: entry.kind, word: entry.word!, by }] : [];
    }
  });
}
