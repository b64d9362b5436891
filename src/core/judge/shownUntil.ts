import type { BatchForecast } from "./forecastBatch";

/** A course is shown no further than this beyond the present, h. */
export const SHOWN_AHEAD_H = 12 * 24;
/** And no shorter than for a batch of so many hours. */
const LEAST_H = 12;
/** Shown beyond the close, as a share of the time until then: enough for where the chance falls and what comes of it. */
const BEYOND = 0.1;

/** Hour of the batch up to which its course is shown: half as long again as it is old, or to a little after its window closes, `aheadH` at most. */
export function shownUntilH(
  { start, peak, end }: Pick<BatchForecast["window"], "start" | "peak" | "end">,
  nowH: number,
  aheadH = SHOWN_AHEAD_H,
): number {
  const closedH = end.p50 === null ? null : end.p50 * (1 + BEYOND);
  return Math.max(
    nowH + 0.5 * Math.max(nowH, LEAST_H),
    ...[start.p90, peak.p90, closedH].map((hour) => Math.min(hour ?? 0, nowH + aheadH)),
  );
}
