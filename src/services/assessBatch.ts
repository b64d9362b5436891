import "server-only";
import { MEASURE_KINDS, SIGN_KINDS, type Act, type MeasureKind, type SignKind } from "@/core/book/words";
import { assess, type Assessment } from "@/core/judge/assess";
import type { LogItem } from "@/core/judge/log";
import { recipeFrom } from "@/core/recipe/document";
import type { Batch } from "@/data/batches";
import type { Entry, EntryKind } from "@/data/entries";
import type { HourOfWeather } from "@/sim/weatherStation";

const HOUR_MS = 3_600_000;
/** A forecast is worked out anew when an entry, the air, or a quarter of an hour has come in. */
const GRAIN_MS = 15 * 60_000;
const KEPT_MOST = 2000;

const kept = new Map<string, Assessment>();

export const hourOf = (batch: Pick<Batch, "startedAt">, at: Date): number =>
  (at.getTime() - batch.startedAt.getTime()) / HOUR_MS;

const isMeasure = (kind: EntryKind): kind is MeasureKind => MEASURE_KINDS.some((measure) => measure === kind);
const isSign = (kind: EntryKind): kind is SignKind => SIGN_KINDS.some((sign) => sign === kind);

/** The log as the core reads it. */
export function logItemsOf(batch: Pick<Batch, "startedAt">, entries: readonly Entry[]): LogItem[] {
  return entries.flatMap((entry): LogItem[] => {
    const hour = Math.max(0, hourOf(batch, entry.at));
    switch (entry.kind) {
      case "ph":
        return [
          {
            hour,
            kind: "ph",
            value: entry.numberValue!,
            instrument: entry.instrument!,
            spot: entry.spot!,
            ...(entry.settled === null ? {} : { settled: entry.settled }),
          },
        ];
      case "act":
        return [
          {
            hour,
            kind: "act",
            act: entry.word as Act,
            ...(entry.numberValue === null ? {} : { amount: entry.numberValue }),
          },
        ];
      default:
        if (isMeasure(entry.kind)) return [{ hour, kind: entry.kind, value: entry.numberValue! }];
        return isSign(entry.kind) ? [{ hour, kind: entry.kind, word: entry.word! }] : [];
    }
  });
}

/** Hours of the batch at which its ribbon is drawn: two days by the hour, then ten by four. */
export function ribbonHours(nowH: number): number[] {
  const near = Array.from({ length: 49 }, (_, hour) => nowH + hour);
  const far = Array.from({ length: 50 }, (_, step) => nowH + 52 + 4 * step);
  return [...near, ...far];
}

/** Everything that an assessment depends on, so that what is kept is never stale. */
const keyOf = (
  batch: Batch,
  entries: readonly Entry[],
  air: readonly HourOfWeather[],
  moment: Date,
  curve: string,
): string =>
  JSON.stringify([
    [batch.id, batch.vesselL, batch.statedC, batch.startedAt, curve, moment],
    [air.length, air[0]?.at, air[0]?.airC, air.at(-1)?.airC],
    entries.map(({ kind, numberValue, word, instrument, spot, at }) => [kind, numberValue, word, instrument, spot, at]),
  ]);

/**
 * Forecast and verdict of a batch as it stands, from its log and the farm's air.
 * Kept by everything it depends on: the entries, the air's last measured hour, the moment's quarter hour.
 */
export function assessBatch(
  batch: Batch,
  entries: readonly Entry[],
  air: readonly HourOfWeather[],
  now: Date,
  curve: "ribbon" | "whole" = "ribbon",
): Assessment {
  const moment = new Date(Math.floor(now.getTime() / GRAIN_MS) * GRAIN_MS);
  const key = keyOf(batch, entries, air, moment, curve);
  const known = kept.get(key);
  if (known) return known;
  const nowH = Math.max(0, hourOf(batch, moment));
  const assessment = assess({
    recipe: recipeFrom(batch.recipe.document),
    vesselL: batch.vesselL,
    nowH,
    temperature: {
      liquid: entries
        .filter(({ kind }) => kind === "temperature")
        .map((entry) => ({ hour: Math.max(0, hourOf(batch, entry.at)), celsius: entry.numberValue! })),
      air: air.map(({ at, airC }) => ({ hour: hourOf(batch, at), celsius: airC })).filter(({ hour }) => hour >= -2),
      statedC: batch.statedC,
    },
    log: logItemsOf(batch, entries),
    curveHours:
      curve === "ribbon"
        ? ribbonHours(nowH)
        : Array.from({ length: 160 }, (_, step) => ((nowH + 12 * 24) * step) / 159),
  });
  if (kept.size >= KEPT_MOST) kept.delete(kept.keys().next().value!);
  kept.set(key, assessment);
  return assessment;
}
