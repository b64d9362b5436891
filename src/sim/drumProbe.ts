import { warmingTimeH, stepLiquid } from "@/core/ferment/temperature/vessel";
import type { Climate } from "@/core/weather/climate";
import { weather } from "./weatherStation";

/** A stand-in probe: where it hangs, and what it does wrong. */
export interface SimulatedProbe {
  readonly seed: number;
  readonly climate: Climate;
  readonly volumeL: number;
  /** When its liquid was filled, and how warm. */
  readonly filledAt: Date;
  readonly filledC: number;
  /** The brew's own pH at an hour of it; missing for a probe that reads warmth alone. */
  readonly ph?: (hour: number) => number;
  readonly phDriftPerD?: number;
}

export interface ProbeFigure {
  readonly at: Date;
  readonly quantity: "liquid" | "ph";
  readonly value: number;
}

const HOUR_MS = 3_600_000;
const NOISE_C = 0.15;
const NOISE_PH = 0.04;
/** One stretch in so many goes missing, and one figure in so many can't be. */
const DROPS = 0.07;
const STRETCH_H = 6;
const ABSURD = 0.006;

/** A repeatable draw from 0 to 1 for a whole number (mulberry32's mixing step). */
function draw(index: number, stream: number): number {
  let t = (index * 0x6d2b79f5 + stream * 0x9e3779b9) | 0;
  t = Math.imul(t ^ (t >>> 15), t | 1);
  t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
  return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
}

/** Near enough a normal draw: twelve uniform ones less six. */
const noise = (index: number, stream: number): number =>
  Array.from({ length: 12 }, (_, part) => draw(index * 12 + part, stream)).reduce((sum, value) => sum + value, -6);

/**
 * What a probe in a drum would post: the liquid through the vessel's own slowness, with noise; a pH that drifts; stretches that go missing
 * and now and then a figure that can't be. Same seed, same figures, whenever it is asked.
 */
export function probeFigures(probe: SimulatedProbe, from: Date, to: Date): ProbeFigure[] {
  const { seed, climate, volumeL, filledAt, filledC, ph, phDriftPerD = 0.015 } = probe;
  const air = weather(climate, filledAt, to, to);
  const tauH = warmingTimeH(volumeL, "plain");
  const figures: ProbeFigure[] = [];
  let celsius = filledC;
  air.forEach(({ at, airC }, index) => {
    const before = air[index - 1];
    if (before) celsius = stepLiquid(celsius, before.airC, airC, 1, tauH);
    const hour = Math.round(at.getTime() / HOUR_MS);
    if (at < from || at < filledAt || at > to) return;
    if (draw(Math.floor(hour / STRETCH_H), seed) < DROPS) return;
    const isAbsurd = draw(hour, seed + 1) < ABSURD;
    figures.push({
      at,
      quantity: "liquid",
      value: isAbsurd ? 85 : Number((celsius + NOISE_C * noise(hour, seed + 2)).toFixed(2)),
    });
    if (!ph) return;
    const age = (at.getTime() - filledAt.getTime()) / HOUR_MS;
    const drift = (phDriftPerD * age) / 24;
    figures.push({
      at,
      quantity: "ph",
      value: Number((ph(age) + drift + NOISE_PH * noise(hour, seed + 3)).toFixed(2)),
    });
  });
  return figures;
}
