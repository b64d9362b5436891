import "server-only";
import { MAX_AGE_H } from "@/core/ferment/outlook/forecast";
import { assess, type Assessment } from "@/core/judge/assess";
import { SHOWN_AHEAD_H, shownUntilH } from "@/core/judge/shownUntil";
import type { Batch, Entry } from "@/data/batch";
import { hourOf } from "./logItems";
import { keepingNewest } from "../kept";
import { inputFor, type Situation } from "./inputFor";

const HOUR_MS = 3_600_000;
/** A forecast is worked out anew when an entry, a reading, the air, or a quarter of an hour has come in. */
const GRAIN_MS = 15 * 60_000;
const kept = keepingNewest<Assessment>("assessments", 1000);

/** Hours of the batch at which its ribbon is drawn: two days by the hour, then ten by four. */
export function ribbonHours(nowH: number): number[] {
  const near = Array.from({ length: 49 }, (_, hour) => nowH + hour);
  const far = Array.from({ length: 50 }, (_, step) => nowH + 52 + 4 * step);
  return [...near, ...far];
}

/** Points of a course that is drawn. */
const COURSE_POINTS = 72;

/** Hours over a batch's whole life and some days on. */
export const wholeHours = (nowH: number, aheadH = SHOWN_AHEAD_H, count = 160): number[] =>
  Array.from({ length: count }, (_, step) => ((nowH + aheadH) * step) / (count - 1));

/**
 * The moment that a forecast is of: the quarter of an hour that has begun, or the last entry or reading since, so that what was just
 * logged counts at once; never before the batch, and never later than a batch is followed.
 */
export function momentFor(
  batch: Pick<Batch, "startedAt" | "vesselId">,
  entries: readonly Pick<Entry, "at">[],
  { probes }: Pick<Situation, "probes">,
  at: Date,
): Date {
  const nowMs = at.getTime();
  const quarterMs = Math.floor(nowMs / GRAIN_MS) * GRAIN_MS;
  const told = [...entries, ...(probes.get(batch.vesselId) ?? [])].map((item) => item.at.getTime());
  const startedMs = batch.startedAt.getTime();
  const latest = told.filter((ms) => ms <= nowMs).reduce((a, b) => Math.max(a, b), Math.max(startedMs, quarterMs));
  // A drum that was forgotten for years, or a clock far off, keeps no page from opening.
  return new Date(Math.min(latest, startedMs + MAX_AGE_H * HOUR_MS));
}

/** Everything that an assessment depends on, so that what is kept is never stale. */
const keyOf = (batch: Batch, entries: readonly Entry[], situation: Situation, moment: Date): string => {
  const probes = situation.probes.get(batch.vesselId) ?? [];
  return JSON.stringify([
    [batch.startedAt, moment, situation.priors.version],
    [situation.air.version, situation.air.hours.length, situation.air.hours.at(-1)?.at, situation.farm.climateMeanC],
    [probes.length, probes.at(-1)?.at, situation.places.get(batch.vesselId)],
    entries.map(({ id, kind, numberValue, word, spot, settled, at }) => [
      id,
      kind,
      numberValue,
      word,
      spot,
      settled,
      at,
    ]),
  ]);
};

/**
 * Forecast and verdict of a batch as it stands, from its log, its probes, the farm's air and what the farm's batches taught.
 * Kept by everything it depends on, the moment's quarter hour among it.
 */
export function assessBatch(
  batch: Batch,
  entries: readonly Entry[],
  situation: Situation,
  at: Date,
  curve: "ribbon" | "whole" = "ribbon",
): Assessment {
  const moment = momentFor(batch, entries, situation, at);
  const slot = `${batch.id}/${curve}`;
  const restsOn = keyOf(batch, entries, situation, moment);
  const known = kept.get(slot, restsOn);
  if (known) return known;
  const nowH = Math.max(0, hourOf(batch, moment));
  const input = inputFor(batch, entries, situation, moment);
  return kept.set(
    slot,
    restsOn,
    curve === "ribbon"
      ? assess({ ...input, curveHours: ribbonHours(nowH) })
      : assess({ ...input, curveHours: wholeHours(nowH) }, ({ window }) =>
          wholeHours(nowH, batch.close ? 0 : shownUntilH(window, nowH) - nowH, COURSE_POINTS),
        ),
  );
}
