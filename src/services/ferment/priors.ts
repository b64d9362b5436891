import "server-only";
import type { FermentModel } from "@/core/ferment/models/types";
import { batchEstimate, farmPrior, type BatchEstimate } from "@/core/ferment/learning/farmPrior";
import { placeToldBy } from "@/core/ferment/temperature/course";
import type { LearnedPlace, Place } from "@/core/ferment/temperature/places";
import type { BatchInput } from "@/core/judge/batchInput";
import { modelBatch } from "@/core/judge/modelBatch";
import { believe } from "@/core/ferment/outlook/belief";
import { runningStage } from "@/core/judge/stage";
import { recipeFrom } from "@/core/recipe/document";
import {
  listLinesOf,
  closeVersion,
  listFinished,
  listStandingOf,
  type Entry,
  listLearningResets,
  type LearningReset,
} from "@/data/batch";
import type { Queryable } from "@/data/db";
import type { Farm } from "@/data/farm";
import { keeping, keepingNewest } from "../kept";
import { inputFor, NOTHING_LEARNT, type Learnt, type Situation } from "./inputFor";
import { airSince, type FarmAir } from "../weather";
import { listVesselReadings } from "@/data/devices";
import { listVesselPlaces } from "@/data/vessels";

/** What the farm's finished batches say of one model's pace. */
export interface Learned {
  readonly model: FermentModel;
  /** ln of how fast batches run here against the book, and its spread for the next one. */
  readonly mean: number;
  readonly sd: number;
  /** Batches that taught something, and all that were finished since the last reset. */
  readonly taught: number;
  readonly finished: number;
  readonly resets: readonly LearningReset[];
}

export interface Priors extends Learnt {
  readonly learned: readonly Learned[];
}

/** Older batches than these teach nothing: farms change. */
const MOST_BATCHES = 150;
const MOST_OF_A_MODEL = 12;

interface Taught {
  readonly model: FermentModel;
  readonly closedAt: Date;
  readonly estimate: BatchEstimate | null;
}

// What a finished batch teaches changes by a correction of its log, and by where its vessel is said to stand; worked out once for each.
const estimates = keepingNewest<{ readonly estimate: BatchEstimate | null }>("estimates", 2000);
const kept = keeping<Priors>("priors", 4);

function estimateOf(
  input: BatchInput,
  model: FermentModel,
  batchId: number,
  entries: readonly Entry[],
  { version }: FarmAir,
): BatchEstimate | null {
  const lines = entries.map(({ id }) => id).join(",");
  const slot = String(batchId);
  const restsOn = `${version.split("/")[0]}/${lines}/${JSON.stringify(input.place ?? null)}`;
  const known = estimates.get(slot, restsOn);
  if (known) return known.estimate;
  const { batch: stage, fromH } = runningStage(input, model);
  // A batch that was fed on the way tells of the feed as well; it teaches nothing of the plain recipe.
  const { u } = believe(stage, input.nowH - fromH);
  const estimate =
    fromH > 0 ? null : batchEstimate({ mean: u.mean, sd: u.sd, priorMean: u.priorMean, priorSd: u.priorSd });
  return estimates.set(slot, restsOn, { estimate }).estimate;
}

async function taughtBy(
  db: Queryable,
  farm: Farm,
  places: ReadonlyMap<number, Place>,
): Promise<{ readonly taught: Taught[]; readonly places: ReadonlyMap<number, LearnedPlace> }> {
  const finished = (await listFinished(db, MOST_BATCHES)).filter((batch) => {
    const { readiness } = recipeFrom(batch.recipe.document);
    return readiness.type === "ripens";
  });
  const counts = new Map<string, number>();
  const chosen = finished.filter((batch) => {
    const { readiness } = recipeFrom(batch.recipe.document);
    const id = readiness.type === "ripens" ? readiness.model.id : "";
    counts.set(id, (counts.get(id) ?? 0) + 1);
    return counts.get(id)! <= MOST_OF_A_MODEL;
  });
  const [first] = chosen.toSorted((a, b) => a.startedAt.getTime() - b.startedAt.getTime());
  if (!first) return { taught: [], places: new Map() };
  const ids = chosen.map(({ id }) => id);
  const [entries, lines] = await Promise.all([listStandingOf(db, ids), listLinesOf(db, ids)]);
  const latest = chosen.reduce((last, { close }) => (close!.at > last ? close!.at : last), first.close!.at);
  const [air, readings] = await Promise.all([
    airSince(db, first.startedAt, latest),
    listVesselReadings(db, first.startedAt, latest),
  ]);
  const probes = new Map<number, typeof readings>();
  for (const reading of readings) probes.set(reading.vesselId, [...(probes.get(reading.vesselId) ?? []), reading]);
  const taught: Taught[] = [];
  const learnedPlaces = new Map<number, LearnedPlace>();
  for (const batch of chosen.toSorted((a, b) => a.startedAt.getTime() - b.startedAt.getTime())) {
    const situation: Situation = {
      farm,
      now: batch.close!.at,
      air,
      probes,
      lines,
      priors: NOTHING_LEARNT,
      plants: new Map(),
      places,
    };
    const own = entries.filter(({ batchId }) => batchId === batch.id);
    const { readiness } = recipeFrom(batch.recipe.document);
    if (readiness.type !== "ripens") continue;
    const { model } = readiness;
    const input = inputFor(batch, own, situation, batch.close!.at);
    taught.push({ model, closedAt: batch.close!.at, estimate: estimateOf(input, model, batch.id, own, air) });
    const before = learnedPlaces.get(batch.vesselId) ?? null;
    const told = placeToldBy(modelBatch(input, model), input.nowH, before);
    if (told) learnedPlaces.set(batch.vesselId, told);
  }
  return { taught, places: learnedPlaces };
}

function learnedOf(model: FermentModel, taught: readonly Taught[], resets: readonly LearningReset[]): Learned {
  const since = resets.at(-1)?.at;
  const own = taught.filter(({ model: { id }, closedAt }) => id === model.id && (!since || closedAt > since));
  const found = own.flatMap(({ estimate }) => estimate ?? []);
  const { mean, sd } = farmPrior(found, model.prior.farmSd, model.prior.batchSd);
  return { model, mean, sd, taught: found.length, finished: own.length, resets };
}

/** What the farm's finished batches taught, by model and by vessel; worked out again when one more is finished, the learning is reset, or a place is said. */
export async function readPriors(db: Queryable, farm: Farm): Promise<Priors> {
  const [closed, resets, places] = await Promise.all([closeVersion(db), listLearningResets(db), listVesselPlaces(db)]);
  const version = `${closed}/${resets.length}/${resets.at(-1)?.at.getTime() ?? 0}/${JSON.stringify([...places])}`;
  const known = kept.get(version);
  if (known) return known;
  const { taught, places: learnedPlaces } = await taughtBy(db, farm, places);
  const models = new Map(taught.map(({ model }) => [model.id, model]));
  const learned = [...models.values()].map((model) =>
    learnedOf(
      model,
      taught,
      resets.filter(({ modelId }) => modelId === model.id),
    ),
  );
  return kept.set(version, {
    of: (modelId) => {
      const found = learned.find(({ model }) => model.id === modelId);
      return found && found.taught > 0 ? { mean: found.mean, sd: found.sd } : null;
    },
    placeOf: (vesselId) => learnedPlaces.get(vesselId) ?? null,
    learned,
    version,
  });
}
