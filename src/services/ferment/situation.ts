import "server-only";
import { phTarget } from "@/core/book/recipe";
import type { BatchInput, TemperaturePoint } from "@/core/judge/batchInput";
import type { LogItem } from "@/core/judge/log";
import { recipeFrom } from "@/core/recipe/document";
import { relativeAmounts, type WentIn } from "@/core/recipe/relative";
import type { Batch } from "@/data/batches";
import type { Queryable } from "@/data/db";
import { listVesselReadings, type VesselReading } from "@/data/devices";
import type { Entry } from "@/data/entries";
import type { Farm } from "@/data/farm";
import { hourOfDay } from "@/formats/times";
import { usualAir } from "@/sim/weatherStation";
import { airFrom, airSince, climateOf, type FarmAir } from "../weather";
import { hourOf, logItemsOf } from "./logItems";
import { readPriors, type Priors } from "./priors";

/** All that batches' forecasts depend on besides their own logs. */
export interface Situation {
  readonly farm: Farm;
  readonly now: Date;
  readonly air: FarmAir;
  readonly probes: ReadonlyMap<number, readonly VesselReading[]>;
  readonly lines: ReadonlyMap<number, readonly WentIn[]>;
  readonly priors: Priors;
}

/** A probe left in a drum drifts; so far off may its pH be. */
const PROBE_PH_SD = 0.2;
/** More often than this a probe tells nothing new, h. */
const LIQUID_EVERY_H = 0.9;
const PH_EVERY_H = 4;

const oldest = (batches: readonly Batch[], now: Date): Date =>
  batches.reduce((first, { startedAt }) => (startedAt < first ? startedAt : first), now);

/**
 * Reads what the forecasts of some batches depend on, once for all.
 * @param lines what went into each, by batch
 */
export async function readSituation(
  db: Queryable,
  farm: Farm,
  batches: readonly Batch[],
  lines: ReadonlyMap<number, readonly WentIn[]>,
  now: Date,
): Promise<Situation> {
  const from = oldest(batches, now);
  const [air, readings, priors] = await Promise.all([
    airSince(db, farm, from, now),
    listVesselReadings(db, from, now),
    readPriors(db, farm),
  ]);
  const probes = new Map<number, VesselReading[]>();
  for (const reading of readings) {
    const known = probes.get(reading.vesselId);
    if (known) known.push(reading);
    else probes.set(reading.vesselId, [reading]);
  }
  return { farm, now, air, probes, lines, priors };
}

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
  const recipe = recipeFrom(batch.recipe.document);
  const probed = probedIn(batch, situation, at);
  const middle = new Date((batch.startedAt.getTime() + at.getTime()) / 2);
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
      usual: usualAir(middle, climateOf(farm)),
    },
    log: [...logItemsOf(batch, entries), ...probed.log],
    ...relativeAmounts(recipe, situation.lines.get(batch.id) ?? []),
    ...(farmPrior ? { farm: farmPrior } : {}),
  };
}
