import "server-only";
import { forecastBatch, type BatchForecast, type Quantiles } from "@/core/judge/forecastBatch";
import { SHOWN_AHEAD_H, shownUntilH } from "@/core/judge/shownUntil";
import { nextOne, warmthFor, whatIf, type Change, type NextOne } from "@/core/judge/whatIf";
import { listLinesOf, findBatch, listStanding } from "@/data/batch";
import type { Farm } from "@/data/farm";
import type { Context } from "../context";
import type { Course, MarkTimes } from "./course";
import { momentFor, wholeHours } from "./assessBatch";
import { inputFor } from "./inputFor";
import { peakStartsOf, type PeakStartView } from "./peakStarts";
import { readSituation } from "./situation";

const HOUR_MS = 3_600_000;
/** Another one that has yet to be begun is shown to its end, though it takes a season. */
const NEXT_SHOWN_AHEAD_H = 180 * 24;
const POINTS = 120;

export interface WhatIfAnswer {
  /** The batch as it stands; or, where another of the same was asked about, that one made as this and begun now. */
  readonly asIs: Course;
  readonly changed: Course | null;
  readonly of: "this" | "next";
  /** How warm it must be kept to be ready by the moment asked for; null where no warmth does it, or none is needed. */
  readonly warmthC: number | null;
  readonly warmthNeeded: "none" | "some" | "beyond" | null;
  /** Starts of such a brew that put its peak inside fit hours. */
  readonly starts: readonly PeakStartView[];
}

export interface WhatIfAsked extends Change, NextOne {
  readonly byMs?: number;
  readonly forPeak?: boolean;
}

/**
 * What would come of a batch done otherwise, beside what will come of it as it is; of another of the same made otherwise; how warm it must be kept to be ready by a day;
 * and when such a brew should be started to peak in fit hours. Writes nothing.
 * @returns null where there is no such batch, or it has ended
 */
export async function askWhatIf(
  ctx: Context,
  farm: Farm,
  batchId: number,
  { byMs, forPeak = false, ...change }: WhatIfAsked,
): Promise<WhatIfAnswer | null> {
  const batch = await findBatch(ctx.pool, batchId);
  if (!batch || batch.close) return null;
  const lines = await listLinesOf(ctx.pool, [batch.id]);
  const [situation, entries] = await Promise.all([
    readSituation(ctx.pool, farm, [batch], lines, ctx.now()),
    listStanding(ctx.pool, batch.id),
  ]);
  const now = momentFor(batch, entries, situation, ctx.now());
  const plain = inputFor(batch, entries, situation, now);
  const ms = (hour: number | null) => (hour === null ? null : batch.startedAt.getTime() + hour * HOUR_MS);
  const marks = ({ p10, p50, p90 }: Quantiles): MarkTimes => ({ p10: ms(p10), p50: ms(p50), p90: ms(p90) });
  const { placeC, heaterC, ...next } = change;
  const isNext = Object.keys(next).length > 0;
  const isOther = placeC !== undefined || heaterC !== undefined;
  const aheadH = isNext ? NEXT_SHOWN_AHEAD_H : SHOWN_AHEAD_H;
  const untilH = ({ window }: BatchForecast) => shownUntilH(window, plain.nowH, aheadH);
  const bare = { ...plain, curveHours: [] };
  const lastH = isNext ? Math.max(untilH(nextOne(bare, {})), untilH(nextOne(bare, next))) : plain.nowH + aheadH;
  const input = { ...plain, curveHours: wholeHours(plain.nowH, lastH - plain.nowH, POINTS) };
  const courseOf = (forecast: BatchForecast): Course => ({
    window: {
      start: marks(forecast.window.start),
      peak: marks(forecast.window.peak),
      end: marks(forecast.window.end),
    },
    ribbon: forecast.curve.map(({ hour, ready, past }) => ({ atMs: ms(hour)!, ready, past })),
    never: forecast.probabilityNever,
    untilMs: ms(untilH(forecast))!,
  });
  const standing = forecastBatch(input);
  const byH = byMs === undefined ? null : (byMs - batch.startedAt.getTime()) / HOUR_MS;
  const warmthC = byH === null ? null : warmthFor(input, byH);
  const comesByItself = byH !== null && (standing.window.start.p50 ?? Infinity) <= byH;
  return {
    asIs: courseOf(isNext ? nextOne(input, {}) : standing),
    changed: isNext ? courseOf(nextOne(input, next)) : isOther ? courseOf(whatIf(input, change)) : null,
    of: isNext ? "next" : "this",
    warmthC,
    warmthNeeded: byH === null ? null : comesByItself ? "none" : warmthC === null ? "beyond" : "some",
    starts: forPeak ? peakStartsOf(plain, farm, situation.air, now) : [],
  };
}
