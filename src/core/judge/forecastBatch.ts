import { traitsOf } from "../ferment/models/classes";
import { requireWithin } from "../errors";
import type { FreshReadiness } from "../book/types";
import { believe, likeliestStart, type Belief, type Surprise } from "../ferment/outlook/belief";
import { MAX_AGE_H, forecastFrom, type Forecast } from "../ferment/outlook/forecast";
import type { Quantiles as Hours } from "../ferment/outlook/quantiles";
import type { Spoilage } from "../ferment/outlook/spoilage";
import type { Stuck } from "../ferment/outlook/stuck";
import type { FermentModel } from "../ferment/models/types";
import type { TemperatureBasis } from "../ferment/temperature/course";
import { horizonOf } from "../ferment/temperature/courseGrid";
import { valueAt } from "../ferment/temperature/grid";
import type { BatchInput } from "./batchInput";
import { runningStage } from "./stage";

/** Hours of the batch by which a mark has passed with 10, 50 and 90 % chance; null for not within the horizon. */
export interface Quantiles {
  readonly p10: number | null;
  readonly p50: number | null;
  readonly p90: number | null;
}

export interface CurvePoint {
  readonly hour: number;
  readonly ready: number;
  readonly past: number;
}

/** Where a forecast's temperature came from, best first. */
export type Basis = TemperatureBasis | "climate";

/** A forecast of a batch of the farm, in hours of the batch. */
export interface BatchForecast {
  readonly window: {
    readonly start: Quantiles;
    readonly peak: Quantiles;
    readonly end: Quantiles;
    readonly crash: Quantiles;
  };
  /** Two-stage soaks: when the open stage is over. */
  readonly seal: Quantiles | null;
  readonly probabilityReady: number;
  readonly probabilityPast: number;
  /** Chance that it never becomes ready within the horizon. */
  readonly probabilityNever: number;
  readonly curve: readonly CurvePoint[];
  readonly temperatureBasis: Basis;
  readonly liquidNowC: number;
  readonly meanLiquidC24h: number;
  /** How unsure that is for where it may stand, K. */
  readonly liquidSdC: number;
  /** What was read in the liquid does not go with the place that was said. */
  readonly placeDoubted: boolean;
  /** Hour of the last of readings that came often, and came no more; null where none did. */
  readonly readingsStoppedH: number | null;
  /** Mean rate over the last day, 1 at the method's reference temperature. */
  readonly meanRate24h: number;
  /** Thermal time so far over that which such a batch needs to start being ready. */
  readonly share: number;
  readonly horizonH: number;
  readonly nextCheckH: number;
  readonly spoilage: Spoilage;
  readonly stuck: Stuck;
  readonly surprises: readonly Surprise[];
  readonly contradictory: boolean;
  readonly shows: Forecast["state"] | null;
  readonly u: Belief["u"] | null;
  /** Hour at which the running stage began: its latest feed, or the start. */
  readonly stageFromH: number;
}

/** A forecast with what stands behind it, for asking what a look would change; no belief for what does not ripen. */
export interface Weighed {
  readonly forecast: BatchForecast;
  readonly belief: Belief | null;
}

const finite = (hour: number, offsetH = 0): number | null => (Number.isFinite(hour) ? hour + offsetH : null);
const quantilesIn = ({ p10, p50, p90 }: Hours, offsetH: number): Quantiles => ({
  p10: finite(p10, offsetH),
  p50: finite(p50, offsetH),
  p90: finite(p90, offsetH),
});
const notBefore = ({ p10, p50, p90 }: Quantiles, leastH: number): Quantiles => {
  const late = (hour: number | null) => (hour === null ? null : Math.max(hour, leastH));
  return { p10: late(p10), p50: late(p50), p90: late(p90) };
};
const exactly = (hour: number): Quantiles => ({ p10: hour, p50: hour, p90: hour });

const SOUND: Spoilage = { chance: 0.01, level: "ok", hard: [], needsSmellCheck: false };
const MOVING: Stuck = { codes: [], chanceNever: 0, chanceSettlesHigh: 0, meanRate24: 1, chanceCold: 0 };

/** Readings that come so often are a probe's; it is silent after so many hours without one. */
const PROBE = { readings: 5, withinH: 12, silentH: 6 } as const;

function readingsStoppedH({ temperature, nowH }: BatchInput): number | null {
  const hours = temperature.liquid.map(({ hour }) => hour).filter((hour) => hour <= nowH);
  const last = Math.max(-Infinity, ...hours);
  if (nowH - last < PROBE.silentH) return null;
  return hours.filter((hour) => last - hour <= PROBE.withinH).length >= PROBE.readings ? last : null;
}

/** Made and used: its hours are hands' work, and known. */
function freshForecast(input: BatchInput, { readyH, freshH }: FreshReadiness): BatchForecast {
  const { nowH, temperature } = input;
  const at = (hour: number) => ({ hour, ready: hour >= readyH && hour < freshH ? 1 : 0, past: hour >= freshH ? 1 : 0 });
  const celsius = temperature.liquid.at(-1)?.celsius ?? temperature.statedC ?? temperature.usual?.meanC ?? 20;
  return {
    window: { start: exactly(readyH), peak: exactly(readyH), end: exactly(freshH), crash: exactly(freshH) },
    seal: null,
    probabilityReady: at(nowH).ready,
    probabilityPast: at(nowH).past,
    probabilityNever: 0,
    curve: (input.curveHours ?? []).map(at),
    temperatureBasis: temperature.liquid.length > 0 ? "read" : "stated",
    liquidNowC: celsius,
    meanLiquidC24h: celsius,
    liquidSdC: 0,
    placeDoubted: false,
    readingsStoppedH: readingsStoppedH(input),
    meanRate24h: 1,
    share: Math.min(1, nowH / readyH),
    horizonH: Math.max(nowH, freshH) + 24,
    nextCheckH: Math.max(nowH, readyH),
    spoilage: SOUND,
    stuck: MOVING,
    surprises: [],
    contradictory: false,
    shows: null,
    u: null,
    stageFromH: 0,
  };
}

/** Thermal time so far over what is needed to start, mean over what is believed. */
function shareOf(belief: Belief): number {
  const { course } = likeliestStart(belief);
  const passed = valueAt(course.hours, course.theta, belief.nowH);
  const total = course.theta.at(-1)!;
  return belief.ways.reduce((sum, { weight, path }) => {
    const needed = Number.isFinite(path.startH)
      ? valueAt(course.hours, course.theta, path.startH)
      : Math.max(total, 1e-6);
    return sum + weight * (needed > 0 ? Math.min(2, passed / needed) : 1);
  }, 0);
}

/** Brews on air differ in yards most of all. */
const AIRED_SPREAD = 1.9;
const yardSpread = (model: FermentModel): number =>
  model.cls === "bloom" && model.air ? AIRED_SPREAD : traitsOf(model).yardSpread;

/**
 * When a batch's window is likely to open, be best and close: from its liquid's temperature, moved by what was read and smelt.
 * @throws {DomainError} `out-of-range` (age, vessel)
 */
export function weigh(input: BatchInput): Weighed {
  requireWithin("batch-age", input.nowH, "h", 0, MAX_AGE_H, "/now");
  requireWithin("vessel", input.vesselL, "L", 0.1, 20_000, "/vesselVolume");
  const { readiness } = input.recipe;
  if (readiness.type === "fresh") return { forecast: freshForecast(input, readiness), belief: null };
  const { batch, fromH } = runningStage(input, readiness.model);
  const nowH = input.nowH - fromH;
  const belief = believe(batch, nowH, { spread: yardSpread(readiness.model) });
  const curveHours = input.curveHours ?? [];
  const found = forecastFrom(belief, { times: curveHours.map((hour) => hour - fromH) });
  const { temperatureBasis } = found;
  const shifted = (mark: Hours) => quantilesIn(mark, fromH);
  // Before its least age it is not called ready, so its window does not open before either.
  const leastH = (readiness.minimumAgeD ?? 0) * 24;
  const opens = (mark: Hours) => notBefore(shifted(mark), leastH);
  const chance = (hour: number, ready: number) => (hour < leastH ? 0 : ready);
  const forecast: BatchForecast = {
    window: {
      start: opens(found.start),
      peak: opens(found.peak),
      end: shifted(found.end),
      crash: shifted(found.crash),
    },
    seal: found.seal ? shifted(found.seal) : null,
    probabilityReady: chance(input.nowH, found.readyNow),
    probabilityPast: found.pastNow,
    probabilityNever: found.stuck.chanceNever,
    curve: curveHours.map((hour, index) => ({
      hour,
      ready: chance(hour, found.ready[index]!),
      past: found.past[index]!,
    })),
    temperatureBasis: temperatureBasis === "stated" && input.temperature.usual ? "climate" : temperatureBasis,
    liquidNowC: found.state.liquidC,
    meanLiquidC24h: found.meanLiquidC24h,
    liquidSdC: found.liquidSdC,
    placeDoubted: likeliestStart(belief).course.elsewhere,
    readingsStoppedH: readingsStoppedH(input),
    meanRate24h: found.stuck.meanRate24,
    share: shareOf(belief),
    horizonH: horizonOf(readiness.model, nowH) + fromH,
    nextCheckH: found.nextCheckH + fromH,
    spoilage: found.spoilage,
    stuck: found.stuck,
    contradictory: found.contradictory,
    surprises: found.surprises.map((surprise) => ({ ...surprise, hour: surprise.hour + fromH })),
    shows: found.state,
    u: found.u,
    stageFromH: fromH,
  };
  return { forecast, belief };
}

/** As `weigh`, the forecast alone. @throws {DomainError} `out-of-range` */
export const forecastBatch = (input: BatchInput): BatchForecast => weigh(input).forecast;
