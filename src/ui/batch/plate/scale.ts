import { scaleLinear, type ScaleLinear } from "d3-scale";
import type { BatchPage } from "@/services/readBatch";

/** Drawn wide, and scaled down as one; on a phone it is pushed sideways. */
export const PLATE_W = 1000;
export const PAD_X = 44;
const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;
const AHEAD_MS = 12 * DAY_MS;

export interface PlateScale {
  readonly x: ScaleLinear<number, number>;
  readonly fromMs: number;
  readonly toMs: number;
  /** The present, or the end of a batch that is closed. */
  readonly nowMs: number;
}

/** One axis for all that is drawn of a batch: from its start to where its window closes, or to its end. */
export function plateScale(page: Pick<BatchPage, "batch" | "close" | "nowMs">): PlateScale {
  const { batch } = page;
  const nowMs = page.close ? page.close.atMs : page.nowMs;
  const fromMs = batch.startedMs;
  const span = Math.max(nowMs - fromMs, 12 * HOUR_MS);
  const soon = (ms: number | null) => Math.min(ms ?? 0, nowMs + AHEAD_MS);
  const toMs = page.close
    ? nowMs
    : Math.max(
        nowMs + 0.5 * span,
        soon(batch.window.start.p90),
        soon(batch.window.peak.p90),
        soon(batch.window.end.p50),
      );
  return { x: scaleLinear([fromMs, toMs], [PAD_X, PLATE_W - 12]), fromMs, toMs, nowMs };
}

/** Where the present stands, as a share of the plate's width. */
export function nowShare(page: Pick<BatchPage, "batch" | "close" | "nowMs">): number {
  const { x, nowMs } = plateScale(page);
  return x(nowMs) / PLATE_W;
}

/** Ticks that leave about eight marks on the axis, at whole days or parts of one. */
export function timeTicks({ fromMs, toMs }: Pick<PlateScale, "fromMs" | "toMs">): {
  readonly step: "day" | "hour";
  readonly atMs: readonly number[];
} {
  const stepD = [0.25, 0.5, 1, 2, 4, 7, 14, 30].find((days) => (toMs - fromMs) / (days * DAY_MS) <= 9) ?? 60;
  const first = Math.ceil(fromMs / (stepD * DAY_MS)) * stepD * DAY_MS;
  return {
    step: stepD >= 1 ? "day" : "hour",
    atMs: Array.from({ length: 12 }, (_, index) => first + index * stepD * DAY_MS).filter((ms) => ms <= toMs),
  };
}
