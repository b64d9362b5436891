import "server-only";
import type { WentIn } from "@/core/recipe/relative";
import type { Batch } from "@/data/batch";
import type { Queryable } from "@/data/db";
import { listVesselReadings, type VesselReading } from "@/data/devices";
import type { Farm } from "@/data/farm";
import { listDrawnInto } from "@/data/shed";
import { listVesselPlaces } from "@/data/vessels";
import { airSince } from "../weather";
import type { Situation } from "./inputFor";
import { readPriors } from "./priors";

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
  const [air, readings, priors, drawn, places] = await Promise.all([
    airSince(db, from, now),
    listVesselReadings(db, from, now),
    readPriors(db, farm),
    listDrawnInto(
      db,
      batches.map(({ id }) => id),
    ),
    listVesselPlaces(db),
  ]);
  const probes = new Map<number, VesselReading[]>();
  for (const reading of readings) {
    const known = probes.get(reading.vesselId);
    if (known) known.push(reading);
    else probes.set(reading.vesselId, [reading]);
  }
  const plants = new Map<number, string[]>();
  for (const { batchId, provenance } of drawn) {
    const species = provenance?.plant?.species;
    if (species) plants.set(batchId, [...(plants.get(batchId) ?? []), species]);
  }
  return { farm, now, air, probes, lines, priors, plants, places };
}
