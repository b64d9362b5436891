import { fromBase } from "@/core/quantity/units";
import type { LeadFeature } from "@/core/judge/expectedCurve";
import type { UnitSystem } from "@/formats/amounts";
import { LEAD_WORDS } from "@/words/said";
import { formatNumber } from "@/formats/numbers";
import type { Progress } from "@/services/ferment";
import { linear, type Linear } from "../linear";
import type { PlateScale } from "./scale";

/** A strip's own axis: where a value stands, its marks in words, and what the strip shows. */
export interface StripAxis {
  readonly y: Linear;
  /** The values at its foot and at its head. */
  readonly span: readonly [number, number];
  readonly ticks: readonly { readonly y: number; readonly text: string }[];
  readonly title: string;
  readonly top: number;
}

const RANGES: Record<LeadFeature, readonly [number, number]> = {
  ph: [3, 7],
  foam: [0, 1.2],
  viability: [0, 1.2],
  parted: [0, 1],
  extent: [0, 1],
  sunk: [0, 1],
  phase: [0, 3],
};
const TICKS: Record<LeadFeature, readonly number[]> = {
  ph: [4, 5, 6],
  foam: [0, 0.5, 1],
  viability: [0, 0.5, 1],
  parted: [0, 0.5, 1],
  extent: [0, 0.5, 1],
  sunk: [0, 0.5, 1],
  phase: [1, 2, 3],
};

/** Of the course, by what leads it. */
export function curveAxis(feature: LeadFeature, targetPh: number | null, top: number, height: number): StripAxis {
  const y = linear(RANGES[feature], [top + height - 8, top + 20], true);
  const { scale, name } = LEAD_WORDS[feature];
  return {
    y,
    span: RANGES[feature],
    ticks: TICKS[feature].map((value) => ({ y: y(value), text: formatNumber(value * scale, 2) })),
    title:
      feature === "ph" && targetPh !== null ? `${name}; the band is ready, ${formatNumber(targetPh)} and under` : name,
    top,
  };
}

/** Three to five even degrees from one end to the other, both multiples of five. */
function degreesBetween(low: number, high: number): number[] {
  const step = high - low <= 20 ? 5 : high - low <= 45 ? 10 : 20;
  const first = Math.ceil(low / step) * step;
  return Array.from({ length: Math.floor((high - first) / step) + 1 }, (_, index) => first + index * step);
}

/** Of the warmth, over all that is drawn of it. */
export function warmthAxis(
  { fromMs, toMs }: PlateScale,
  { liquid, temperatures }: Pick<Progress, "liquid" | "temperatures">,
  units: UnitSystem,
  top: number,
  height: number,
): StripAxis {
  const isDrawn = ({ atMs }: { readonly atMs: number }) => atMs >= fromMs && atMs <= toMs;
  const all = [
    ...liquid.filter(isDrawn).flatMap(({ celsius, airC }) => [celsius, airC]),
    ...temperatures.filter(isDrawn).map(({ celsius }) => celsius),
  ];
  const [low, high] = [Math.floor(Math.min(12, ...all) / 5) * 5, Math.ceil(Math.max(25, ...all) / 5) * 5];
  const y = linear([low, high], [top + height - 6, top + 20]);
  const unit = units === "us" ? "°F" : "°C";
  return {
    y,
    span: [low, high],
    ticks: degreesBetween(low, high).map((celsius) => ({
      y: y(celsius),
      text: String(Math.round(fromBase({ dimension: "temperature", value: celsius }, unit).value)),
    })),
    title: `Liquid ${unit}; the thin line is the air`,
    top,
  };
}
