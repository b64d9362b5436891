import type { BatchPage } from "@/services/batch";
import { curveAxis, warmthAxis, type StripAxis } from "./axes";
import { plateScale, type PlateScale } from "./scale";

/** Heights of the plate's strips from the top, in its own units. */
export const TOP = 22;
export const RIBBON_H = 96;
const PINS_H = 34;
const CURVE_H = 150;
const WARMTH_H = 96;
const AXIS_H = 34;

export interface PlateLayout {
  readonly scale: PlateScale;
  /** Null where nothing leads its course. */
  readonly curve: StripAxis | null;
  readonly warmth: StripAxis;
  /** Where the strips end and the axis of time begins, and the whole height. */
  readonly bottom: number;
  readonly height: number;
}

/** Where the strips of a batch's plate stand, and their axes. */
export function plateLayout(
  page: Pick<BatchPage, "batch" | "close" | "nowMs" | "progress" | "targetPh" | "farm">,
): PlateLayout {
  const scale = plateScale(page);
  const { progress, targetPh, farm } = page;
  const curveTop = TOP + RIBBON_H + PINS_H;
  const warmthTop = curveTop + (progress.curve ? CURVE_H : 0);
  const bottom = warmthTop + WARMTH_H;
  return {
    scale,
    curve: progress.curve ? curveAxis(progress.curve.feature, targetPh, curveTop, CURVE_H) : null,
    warmth: warmthAxis(scale, progress, farm.units, warmthTop, WARMTH_H),
    bottom,
    height: bottom + AXIS_H,
  };
}
