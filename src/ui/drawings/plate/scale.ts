import { shownUntilH } from "@/core/judge/shownUntil";
import { clockTime, dayMonth, midnights, weekday, type FarmClock } from "@/formats/times";
import type { MarkTimes } from "@/services/ferment";
import type { BatchPage } from "@/services/batch";
import { linear, type Linear } from "../linear";

/** Drawn wide, and scaled down as one; on a phone it is pushed sideways. */
export const PLATE_W = 1000;
export const PAD_X = 44;
const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;

export interface PlateScale {
  readonly x: Linear;
  readonly fromMs: number;
  readonly toMs: number;
  /** The present, or the end of a batch that is closed. */
  readonly nowMs: number;
}

/** Where a moment stands across the plate. */
export const acrossPlate = (fromMs: number, toMs: number): Linear => linear([fromMs, toMs], [PAD_X, PLATE_W - 12]);

/** One axis for all that is drawn of a batch: from its start to a little after its window closes, or to its end. */
export function plateScale({ batch, close, nowMs: at }: Pick<BatchPage, "batch" | "close" | "nowMs">): PlateScale {
  const nowMs = close ? close.atMs : at;
  const fromMs = batch.startedMs;
  const hourOf = (ms: number | null) => (ms === null ? null : (ms - fromMs) / HOUR_MS);
  const hoursOf = ({ p10, p50, p90 }: MarkTimes) => ({ p10: hourOf(p10), p50: hourOf(p50), p90: hourOf(p90) });
  const { start, peak, end } = batch.window;
  const window = { start: hoursOf(start), peak: hoursOf(peak), end: hoursOf(end) };
  const toMs = close ? nowMs : fromMs + shownUntilH(window, hourOf(nowMs)!) * HOUR_MS;
  return { x: acrossPlate(fromMs, toMs), fromMs, toMs, nowMs };
}

/** Points in the order of time that are seen on an axis, and one more beyond its end, so that a line runs on to the edge. */
export function seenOf<T extends { readonly atMs: number }>(
  points: readonly T[],
  { fromMs, toMs }: Pick<PlateScale, "fromMs" | "toMs">,
): T[] {
  const beyond = points.findIndex(({ atMs }) => atMs > toMs);
  return (beyond < 0 ? points : points.slice(0, beyond + 1)).filter(({ atMs }) => atMs >= fromMs);
}

/** Where the present stands, as a share of the plate's width. */
export function nowShare(page: Pick<BatchPage, "batch" | "close" | "nowMs">): number {
  const { x, nowMs } = plateScale(page);
  return x(nowMs) / PLATE_W;
}

export interface TimeTick {
  readonly atMs: number;
  readonly text: string;
  /** Whether a day begins there, where the others are hours. */
  readonly isDay: boolean;
}

/** About eight marks on the axis: the farm's days by date, or its hours with the days' names at midnight where that is short. */
export function timeTicks({ fromMs, toMs }: Pick<PlateScale, "fromMs" | "toMs">, clock: FarmClock): TimeTick[] {
  const stepD = [0.25, 0.5, 1, 2, 4, 7, 14, 30].find((days) => (toMs - fromMs) / (days * DAY_MS) <= 9) ?? 60;
  if (stepD >= 1)
    return midnights(fromMs, toMs, clock)
      .filter((_, index) => index % stepD === 0)
      .map((atMs) => ({ atMs, text: dayMonth(new Date(atMs), clock), isDay: false }));
  return midnights(fromMs - DAY_MS, toMs, clock)
    .flatMap((dayMs) =>
      Array.from({ length: 1 / stepD }, (_, step) => {
        const at = new Date(dayMs + step * stepD * DAY_MS);
        return { atMs: at.getTime(), text: step === 0 ? weekday(at, clock) : clockTime(at, clock), isDay: step === 0 };
      }),
    )
    .filter(({ atMs }) => atMs >= fromMs && atMs <= toMs);
}
