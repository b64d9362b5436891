import { requireWithin } from "../../errors";
import type { FermentBatch } from "../batch";
import type { Observation } from "../evidence/observations";
import type { Features } from "../kinetics/trajectory";
import type { TemperatureBasis } from "../temperature/course";
import { valueAt } from "../temperature/grid";
import {
  believe,
  expected,
  likeliestStart,
  overStarts,
  weightWhere,
  type Belief,
  type BeliefOptions,
  type PossibleStart,
  type Surprise,
} from "./belief";
import { atomsOf } from "./marks";
import { quantile, quantilesOf, weightUpTo, type Quantiles } from "./quantiles";
import { spoilageOf, type Spoilage } from "./spoilage";
import { stuckOf, type Stuck } from "./stuck";

export interface Forecast {
  readonly start: Quantiles;
  readonly peak: Quantiles;
  readonly end: Quantiles;
  readonly crash: Quantiles;
  /** Two-stage soaks: when the open stage is over; null for all others. */
  readonly seal: Quantiles | null;
  readonly times: readonly number[];
  readonly ready: Float64Array;
  readonly started: Float64Array;
  readonly past: Float64Array;
  readonly u: Belief["u"];
  /** What it should show now, mean over what is believed. */
  readonly state: Partial<Record<keyof Features, number>> & { readonly liquidC: number };
  readonly stuck: Stuck;
  readonly surprises: readonly Surprise[];
  /** No way of running explains all that was reported: the window is as wide as both together. */
  readonly contradictory: boolean;
  readonly spoilage: Spoilage;
  readonly readyNow: number;
  readonly pastNow: number;
  readonly usableNow: number;
  readonly nextCheckH: number;
  /** Reports of figures that can't be, which were not used. */
  readonly refused: readonly Observation[];
  readonly temperatureBasis: TemperatureBasis;
  readonly meanLiquidC24h: number;
  /** How unsure the liquid is for where it may stand, K. */
  readonly liquidSdC: number;
}

export interface ForecastOptions extends BeliefOptions {
  /** Hours of the batch at which the chances are wanted. */
  readonly times?: readonly number[];
  readonly processSd?: number;
}

const FEATURES = [
  "foam",
  "foamPhase",
  "phase",
  "gas",
  "viability",
  "ph",
  "parted",
  "sunk",
  "charged",
  "extent",
  "calciumGPerL",
  "shellLeft",
  "carbonDioxideLPerL",
  "coreC",
] as const satisfies readonly (keyof Features)[];

/** A batch is followed for so long: no method takes longer, nor keeps in its vessel. */
export const MAX_AGE_H = 24 * 800;
/** Reports contradict each other where fewer of the ways than this explain them all. */
const EXPLAINED = 0.2;

/** The forecast that follows from what is believed. */
export function forecastFrom(belief: Belief, { times = [], processSd }: ForecastOptions = {}): Forecast {
  const { nowH, batch } = belief;
  const isBloom = batch.model.cls === "bloom";
  const starts = atomsOf(belief, "startH", processSd);
  const ends = atomsOf(belief, "endH", processSd);
  const started = Float64Array.from(times, (hour) => weightUpTo(starts, hour));
  const past = Float64Array.from(times, (hour) => weightUpTo(ends, hour));
  const readyNow = weightWhere(belief, ({ path }, shiftH) => path.startH - shiftH <= nowH && path.endH - shiftH > nowH);
  const pastNow = weightWhere(belief, ({ path }, shiftH) => path.endH - shiftH <= nowH);
  const spoilage = spoilageOf(belief);
  const stuck = stuckOf(belief);
  const gapH = isBloom ? 3 : 12;
  const likely = quantile(starts, 0.15);
  const { course } = likeliestStart(belief);
  const shows = Object.fromEntries(
    FEATURES.flatMap((feature) => {
      const value = expected(belief, feature);
      return value === null ? [] : [[feature, value]];
    }),
  );
  const liquidIn = ({ course, shiftH }: PossibleStart, hour: number) =>
    valueAt(course.hours, course.liquidC, Math.max(0, hour + shiftH));
  const liquidAt = (hour: number) => overStarts(belief, (start) => liquidIn(start, hour));
  const lastDay = Array.from({ length: 25 }, (_, back) => Math.max(0, nowH - back));
  const meanLiquidC24h = lastDay.reduce((sum, hour) => sum + liquidAt(hour), 0) / lastDay.length;
  return {
    start: quantilesOf(starts),
    peak: quantilesOf(atomsOf(belief, "peakH", processSd)),
    end: quantilesOf(ends),
    crash: quantilesOf(atomsOf(belief, "crashH", processSd)),
    seal:
      batch.model.cls === "soak" && batch.model.sealD !== undefined
        ? quantilesOf(atomsOf(belief, "sealH", processSd))
        : null,
    times,
    started,
    past,
    ready: started.map((share, index) => Math.max(0, share - past[index]!)),
    u: belief.u,
    state: { ...shows, liquidC: liquidAt(nowH) },
    stuck,
    surprises: belief.surprises,
    contradictory: belief.explained < EXPLAINED,
    spoilage,
    readyNow,
    pastNow,
    usableNow: readyNow * (1 - spoilage.chance),
    nextCheckH: Math.min(
      Math.max(nowH + gapH, Number.isFinite(likely) ? likely : nowH + 2 * gapH),
      nowH + (isBloom ? 24 : 168),
    ),
    refused: belief.refused,
    temperatureBasis: course.basis,
    meanLiquidC24h,
    liquidSdC: Math.sqrt(overStarts(belief, (start) => (liquidIn(start, nowH) - liquidAt(nowH)) ** 2)),
  };
}

/**
 * When a batch's window is likely to open, be best, close and crash, from its liquid's temperature, moved by what was read and smelt.
 * Pure: the same batch and hour give the same answer.
 * @throws {DomainError} `out-of-range` (age, vessel)
 */
export function forecast(batch: FermentBatch, nowH: number, options: ForecastOptions = {}): Forecast {
  requireWithin("batch-age", nowH, "h", 0, MAX_AGE_H, "/now");
  requireWithin("vessel", batch.volumeL ?? batch.model.volumeL, "L", 0.1, 20_000, "/vesselVolume");
  return forecastFrom(believe(batch, nowH, options), options);
}
