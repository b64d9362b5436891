import type { UseId } from "../book/uses";
import {
  CALM_M_PER_S,
  DRY_AFTER_H,
  LEAF_C,
  LOW_SUN,
  RAIN_MM,
  SOIL_C,
  type SunTimes,
  type WeatherHour,
} from "./weatherHour";

/** The hour of an application, as far as anybody knows it. */
export interface HourCase {
  readonly atMs: number;
  /** Sunrise and sunset of the days about it. */
  readonly suns: readonly SunTimes[];
  /** Weather of the hours about it; rain and wind are null where nobody tells them. */
  readonly hours: readonly WeatherHour[];
}

/** What speaks against this hour. Overcast days are not known to anybody's instrument here, so that a reason always goes. */
export type HourCaution =
  | {
      readonly code: "full-sun";
      readonly weight: "blocked" | "reason";
      readonly onLeaves: boolean;
      /** Hours until the sun is low again. */
      readonly lowInH: number;
    }
  | { readonly code: "rain-on-leaves"; readonly weight: "reason"; readonly rainMm: number; readonly inH: number }
  | { readonly code: "leaves-wet"; readonly weight: "reason"; readonly rainMm: number }
  | { readonly code: "wind-drift"; readonly weight: "reason"; readonly windMPerS: number }
  | { readonly code: "too-hot-out"; readonly weight: "reason"; readonly airC: number; readonly onLeaves: boolean }
  | { readonly code: "too-cold-out"; readonly weight: "reason"; readonly airC: number; readonly onLeaves: boolean };

const HOUR_MS = 3_600_000;
/** Leaves are wet for so long after rain. */
const WET_AFTER_H = 2;

/** Poured or sprayed where the sun reaches it; what is dug in, dripped under mulch or given to a heap is not. */
const IN_THE_SUN: readonly UseId[] = ["foliar", "drench-bare", "drench-growing", "seedling"];

const fellIn = (hours: readonly WeatherHour[], fromMs: number, toMs: number): number =>
  hours.reduce((sum, { atMs, rainMm }) => (atMs > fromMs && atMs <= toMs ? sum + (rainMm ?? 0) : sum), 0);

/** When the sun stands high, and until when; null in the morning, the evening and the night. */
function highSunUntil({ atMs, suns }: HourCase): number | null {
  const day = suns.find(({ riseMs, setMs }) => atMs > riseMs && atMs < setMs);
  if (!day) return null;
  const fromMs = day.riseMs + LOW_SUN.afterRiseH * HOUR_MS;
  const toMs = day.setMs - LOW_SUN.beforeSetH * HOUR_MS;
  return atMs > fromMs && atMs < toMs ? toMs : null;
}

function skyCautions(at: HourCase, onLeaves: boolean): HourCaution[] {
  const { atMs, hours } = at;
  // Under rain the sun burns nothing.
  const isRaining = fellIn(hours, atMs - HOUR_MS, atMs + HOUR_MS) > RAIN_MM;
  const lowAgainMs = isRaining ? null : highSunUntil(at);
  const aheadMm = fellIn(hours, atMs - HOUR_MS / 2, atMs + DRY_AFTER_H * HOUR_MS);
  const first = hours.find((hour) => hour.atMs > atMs - HOUR_MS / 2 && (hour.rainMm ?? 0) > 0);
  const beforeMm = fellIn(hours, atMs - WET_AFTER_H * HOUR_MS, atMs - HOUR_MS / 2);
  const isRainAhead = onLeaves && aheadMm > RAIN_MM;
  return [
    ...(lowAgainMs === null
      ? []
      : [
          {
            code: "full-sun",
            weight: onLeaves ? "blocked" : "reason",
            onLeaves,
            lowInH: (lowAgainMs - atMs) / HOUR_MS,
          } as const,
        ]),
    ...(isRainAhead
      ? [
          {
            code: "rain-on-leaves",
            weight: "reason",
            rainMm: aheadMm,
            inH: Math.max(0, Math.round((first!.atMs - atMs) / HOUR_MS)),
          } as const,
        ]
      : []),
    ...(onLeaves && !isRainAhead && beforeMm > RAIN_MM
      ? [{ code: "leaves-wet", weight: "reason", rainMm: beforeMm } as const]
      : []),
  ];
}

/** What speaks against the hour at which something goes on; empty where nothing does or nobody knows. */
export function hourCautions(use: { readonly id: UseId; readonly target: string }, at: HourCase): HourCaution[] {
  if (!IN_THE_SUN.includes(use.id)) return [];
  const onLeaves = use.target === "leaves";
  const limits = onLeaves ? LEAF_C : SOIL_C;
  const now = at.hours
    .filter(({ atMs }) => Math.abs(atMs - at.atMs) <= HOUR_MS)
    .toSorted((a, b) => Math.abs(a.atMs - at.atMs) - Math.abs(b.atMs - at.atMs))[0];
  return [
    ...skyCautions(at, onLeaves),
    ...(onLeaves && now && (now.windMPerS ?? 0) > CALM_M_PER_S
      ? [{ code: "wind-drift", weight: "reason", windMPerS: now.windMPerS! } as const]
      : []),
    ...(now && now.airC > limits.max
      ? [{ code: "too-hot-out", weight: "reason", airC: now.airC, onLeaves } as const]
      : []),
    ...(now && now.airC < limits.min
      ? [{ code: "too-cold-out", weight: "reason", airC: now.airC, onLeaves } as const]
      : []),
  ];
}
