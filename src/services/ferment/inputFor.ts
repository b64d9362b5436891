import "server-only";
import { phTarget } from "@/core/book/recipe";
import type { LearnedPlace, Place } from "@/core/ferment/temperature/places";
import type { BatchInput, TemperaturePoint } from "@/core/judge/batchInput";
import type { LogItem } from "@/core/judge/log";
import { judgedByPlant } from "@/core/judge/judgedByPlant";
import { recipeFrom } from "@/core/recipe/document";
import { relativeAmounts, type WentIn } from "@/core/recipe/relative";
import { seasonBetween, usualAir } from "@/core/weather/climate";
import type { Batch, Entry } from "@/data/batch";
import type { VesselReading } from "@/data/devices";
import type { Farm } from "@/data/farm";
import { hourOfDay } from "@/formats/times";
import { airFrom, climateOf, type FarmAir } from "../weather";
import { hourOf, logItemsOf } from "./logItems";

/** What finished batches taught of each model's pace, and of where each vessel stands; its version changes with every one. */
export interface Learnt {
  readonly placeOf: (vesselId: number) => LearnedPlace | null;
  readonly of: (modelId: string) => { readonly mean: number; readonly sd: number } | null;
  readonly version: string;
}

/** Nothing learned yet. */
export const NOTHING_LEARNT: Learnt = { of: () => null, placeOf: () => null, version: "none" };

/** All that batches' forecasts depend on besides their own logs. */
export interface Situation {
  readonly farm: Farm;
  readonly now: Date;
  readonly air: FarmAir;
  readonly probes: ReadonlyMap<number, readonly VesselReading[]>;
  readonly lines: ReadonlyMap<number, readonly WentIn[]>;
  readonly priors: Learnt;
  /** Which plants went into each, by name. */
  readonly plants: ReadonlyMap<number, readonly string[]>;
  /** Where each vessel stands, as far as it was said. */
  readonly places: ReadonlyMap<number, Place>;
}

/** A probe left in a drum drifts; so far off may its pH be. */
const PROBE_PH_SD = 0.2;
/** More often than this a probe tells nothing new, h. */
const LIQUID_EVERY_H = 0.9;
const PH_EVERY_H = 4;
/** Slow soaks are foreseen for half a year. */
const SEASON_AHEAD_MS = 200 * 24 * 3_600_000;

/** Every so many hours one, the first of each stretch. */
function thinned<T extends { readonly hour: number }>(items: readonly T[], everyH: number): T[] {
  const kept: T[] = [];
  for (const item of items) if (kept.length === 0 || item.hour - kept.at(-1)!.hour >= everyH) kept.push(item);
  return kept;
}

interface Probed {
  readonly liquid: readonly TemperaturePoint[];
  readonly log: readonly LogItem[];
}

/** What probes in the vessel read while this batch stood in it, up to a moment. */
export function probedIn(batch: Batch, situation: Situation, at: Date): Probed {
  const readings = (situation.probes.get(batch.vesselId) ?? []).filter(
    (reading) => reading.at >= batch.startedAt && reading.at <= at,
  );
  const hours = readings.map(({ quantity, value, at: readAt }) => ({ quantity, value, hour: hourOf(batch, readAt) }));
  const of = (quantity: string) => hours.filter((reading) => reading.quantity === quantity);
  const decidesByPh = phTarget(recipeFrom(batch.recipe.document)) !== null;
  return {
    liquid: thinned(of("liquid"), LIQUID_EVERY_H).map(({ hour, value }) => ({ hour, celsius: value })),
    log: [
      ...(decidesByPh ? thinned(of("ph"), PH_EVERY_H) : []).map(({ hour, value }): LogItem => ({
        hour,
        kind: "ph",
        value,
        instrument: "meter",
        spot: "mid-depth",
        sd: PROBE_PH_SD,
      })),
      ...thinned(of("core"), PH_EVERY_H).map(({ hour, value }): LogItem => ({ hour, kind: "core", value })),
    ],
  };
}

/** A batch of the farm as the core takes it, as it stood at a moment. */
export function inputFor(batch: Batch, entries: readonly Entry[], situation: Situation, at: Date): BatchInput {
  const { farm, air, priors } = situation;
  const written = recipeFrom(batch.recipe.document);
  const probed = probedIn(batch, situation, at);
  const climate = climateOf(farm);
  const { recipe, log } = judgedByPlant(
    written,
    [...logItemsOf(batch, entries), ...probed.log],
    situation.plants.get(batch.id) ?? [],
  );
  const place = situation.places.get(batch.vesselId);
  const placeLearned = priors.placeOf(batch.vesselId);
  const farmPrior = recipe.readiness.type === "ripens" ? priors.of(recipe.readiness.model.id) : null;
  return {
    recipe,
    vesselL: batch.vesselL,
    filledL: batch.filledL,
    nowH: Math.max(0, hourOf(batch, at)),
    startHour: hourOfDay(batch.startedAt, farm),
    temperature: {
      liquid: [
        ...entries
          .filter(({ kind }) => kind === "temperature")
          .map((entry) => ({ hour: Math.max(0, hourOf(batch, entry.at)), celsius: entry.numberValue! })),
        ...probed.liquid,
      ],
      air: airFrom(air.hours, new Date(batch.startedAt.getTime() - 2 * 3_600_000)).map(({ at: hour, airC }) => ({
        hour: hourOf(batch, hour),
        celsius: airC,
      })),
      statedC: batch.statedC,
      usual: {
        ...usualAir(at, climate),
        season: seasonBetween(batch.startedAt, new Date(at.getTime() + SEASON_AHEAD_MS), climate).map((point) => ({
          hour: hourOf(batch, point.at),
          celsius: point.meanC,
        })),
      },
    },
    ...(place ? { place } : {}),
    ...(placeLearned ? { placeLearned } : {}),
    log,
    ...relativeAmounts(recipe, situation.lines.get(batch.id) ?? []),
    ...(farmPrior ? { farm: farmPrior } : {}),
  };
}
