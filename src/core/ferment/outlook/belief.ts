import { traitsOf } from "../models/classes";
import type { FermentBatch } from "../batch";
import { chanceOf, isBelievable, plainChance, randomChance, tellsOf, weightsOf } from "../evidence/likelihood";
import type { Observation } from "../evidence/observations";
import { runnerFor } from "../kinetics/runner";
import type { Features, Trajectory } from "../kinetics/trajectory";
import type { FermentModel } from "../models/types";
import { coursesOf, type Course } from "../temperature/course";
import { valueAt } from "../temperature/grid";
import { secondNodes, spaced } from "./nodes";

/** One way this batch may be running, how likely that is after all that was reported, and what it would show. */
export interface Way {
  readonly weight: number;
  readonly u: number;
  readonly v: number;
  readonly path: Trajectory;
  /** Which of the starts that are possible it belongs to. */
  readonly start: number;
}

/** One possible past: hours that the batch is older than its record says, and its course in one of the places it may stand in. */
export interface PossibleStart {
  readonly shiftH: number;
  readonly batch: FermentBatch;
  readonly course: Course;
}

export interface Surprise {
  readonly type: Observation["type"];
  readonly hour: number;
  /** Chance that such a batch would show this, and whether that is so small that it should be looked at again. */
  readonly chance?: number;
  readonly surprising?: boolean;
  /** Says nothing of this method's progress. */
  readonly ignored?: boolean;
}

/** All that is believed of a batch at an hour of it. */
export interface Belief {
  readonly batch: FermentBatch;
  readonly nowH: number;
  readonly ways: readonly Way[];
  readonly starts: readonly PossibleStart[];
  readonly u: { readonly mean: number; readonly sd: number; readonly priorMean: number; readonly priorSd: number };
  /** Distance of the grid's log rates. */
  readonly uStep: number;
  /** Reports that were taken, in the order given, and the index of each one's features; now's are the last. */
  readonly taken: readonly Observation[];
  readonly surprises: readonly Surprise[];
  /** Weight of the ways that explain every report; little where reports contradict each other. 1 with fewer than two. */
  readonly explained: number;
  readonly refused: readonly Observation[];
}

export interface BeliefOptions {
  /** Widens the prior of the log rate: 1 for a model that is right, 1.25 as shipped, since none is. */
  readonly spread?: number;
}

/** Priors are widened by so much, since the model is wrong in ways that nobody knows; measured in `bench/ferment`. */
export const SHIPPED_SPREAD = 1.25;
const U_SPAN_SD = 2.8;
/** Nodes of the log rate and of the second unknown: beds and blooms cost most a run, and several places are wide apart anyway. */
const NODES = { places: { u: 7, v: 3 }, costly: { u: 11, v: 5 }, other: { u: 17, v: 7 } } as const;
/** A report this much rarer than a random one would be should be taken again. */
const UNLIKELY = 0.15;
const LEAST_PRIOR = 3e-4;
const LEAST_WEIGHT = 1e-5;
/** Nodes of a normal start time by three-point Gauss-Hermite. */
const START_NODES = [
  { z: -Math.sqrt(3), weight: 1 / 6 },
  { z: 0, weight: 2 / 3 },
  { z: Math.sqrt(3), weight: 1 / 6 },
];

/** What is not known of past temperatures widens the prior: sd of ln(theta) so far. */
function gapSd({ hours, theta, thetaSd }: Course, nowH: number): number {
  const passed = valueAt(hours, theta, nowH);
  const unsure = Math.abs(valueAt(hours, thetaSd, nowH));
  if (unsure === 0) return 0;
  return passed > 0 ? Math.min(0.6, (0.7 * unsure) / passed) : 0.6;
}

/** The same batch begun so many hours earlier than its record says. What was reported of it is moved where it is weighed. */
function shifted(batch: FermentBatch, shiftH: number): FermentBatch {
  if (shiftH === 0) return batch;
  const moved = <T extends { readonly hour: number }>(items: readonly T[] | undefined): T[] =>
    (items ?? []).map((item) => ({ ...item, hour: item.hour + shiftH }));
  return {
    ...batch,
    readings: moved(batch.readings),
    forecast: moved(batch.forecast),
    events: moved(batch.events),
    startHour: (batch.startHour ?? 8) - shiftH,
  };
}

const startsOf = (batch: FermentBatch, nowH: number): { shiftH: number; weight: number }[] => {
  const sd = batch.startSdH ?? 0;
  if (sd <= 0) return [{ shiftH: 0, weight: 1 }];
  return START_NODES.map(({ z, weight }) => ({ shiftH: z * sd, weight })).filter(({ shiftH }) => nowH + shiftH >= 0);
};

interface LogWay extends Omit<Way, "weight"> {
  readonly logWeight: number;
}

/** Largest weight first taken off, so that nothing overflows; ways that no longer matter are dropped. */
function normalised(ways: readonly LogWay[]): Way[] {
  const greatest = ways.reduce((most, { logWeight }) => Math.max(most, logWeight), -Infinity);
  const raw = ways.map(({ logWeight }) => Math.exp(logWeight - greatest));
  const total = raw.reduce((sum, value) => sum + value, 0);
  const isKept = (value: number) => value / total > LEAST_WEIGHT;
  const keptTotal = raw.reduce((sum, value) => (isKept(value) ? sum + value : sum), 0);
  return ways.flatMap(({ u, v, path, start }, index) =>
    isKept(raw[index]!) ? [{ u, v, path, start, weight: raw[index]! / keptTotal }] : [],
  );
}

/** A past that the batch may have: begun so much earlier, in such a place. */
interface Past {
  readonly shiftH: number;
  readonly batch: FermentBatch;
  readonly course: Course;
  readonly weight: number;
}

const pastsOf = (batch: FermentBatch, nowH: number): Past[] =>
  startsOf(batch, nowH).flatMap(({ shiftH, weight }) => {
    const there = shifted(batch, shiftH);
    return coursesOf(there, nowH + shiftH).map((one) => ({
      shiftH,
      batch: there,
      course: one.course,
      weight: weight * one.weight,
    }));
  });

/** What was reported and can be believed at all, and what of it tells how far the batch is. */
interface Reports {
  readonly taken: readonly Observation[];
  readonly telling: readonly Observation[];
}

/** Every way on from one past: how fast, by its class's second unknown, each weighed by what was reported. */
function waysOf(
  { shiftH, batch, course, weight: startWeight }: Past,
  start: number,
  nodes: { readonly u: number; readonly v: number },
  prior: { readonly mean: number; readonly sd: number },
  { taken, telling }: Reports,
  nowH: number,
): LogWay[] {
  const { model } = batch;
  const run = runnerFor(batch, course);
  const at = (hour: number) => Math.max(0, hour + shiftH);
  const featureHours = [...taken.map(({ hour }) => at(hour)), nowH + shiftH];
  const indexOf = new Map(taken.map((observation, index) => [observation, index]));
  const moved = telling.map((observation) => ({ ...observation, hour: at(observation.hour) }));
  const weights = weightsOf(moved, model);
  const seconds = secondNodes(model, nodes.v);
  const ways: LogWay[] = [];
  for (const u of spaced(nodes.u, U_SPAN_SD, prior.mean, prior.sd))
    for (const v of seconds) {
      const chance = startWeight * u.weight * v.weight;
      if (chance < LEAST_PRIOR) continue;
      const path = run(u.value, v.value, featureHours);
      let logWeight = Math.log(chance);
      moved.forEach((observation, index) => {
        const shows = path.features[indexOf.get(telling[index]!)!]!;
        logWeight += weights[index]! * Math.log(chanceOf(observation, model, shows, path));
      });
      ways.push({ logWeight, u: u.value, v: v.value, path, start });
    }
  return ways;
}

/** How well what was reported goes with what is believed: report by report, and the share of ways that explain all of it. */
function surprisesOf(
  believed: readonly Way[],
  starts: readonly PossibleStart[],
  { taken, telling }: Reports,
  model: FermentModel,
): Pick<Belief, "surprises" | "explained"> {
  const there = (observation: Observation, start: number): Observation => ({
    ...observation,
    hour: Math.max(0, observation.hour + starts[start]!.shiftH),
  });
  // One row a report: what its chance is on each way.
  const chances = taken.map((observation, index) =>
    tellsOf(observation, model)
      ? believed.map(({ path, start }) => plainChance(there(observation, start), model, path.features[index]!, path))
      : null,
  );
  const surprises = taken.map((observation, index): Surprise => {
    const { type, hour } = observation;
    const row = chances[index];
    if (!row) return { type, hour, ...(type === "film" ? {} : { ignored: true }) };
    const chance = believed.reduce((sum, { weight }, way) => sum + weight * row[way]!, 0);
    return { type, hour, chance, surprising: chance < UNLIKELY * randomChance(observation) };
  });
  const explains = (way: number) =>
    chances.every((row, index) => !row || row[way]! >= UNLIKELY * randomChance(taken[index]!));
  const explained =
    telling.length < 2 ? 1 : believed.reduce((sum, { weight }, way) => (explains(way) ? sum + weight : sum), 0);
  return { surprises, explained };
}

/**
 * Bayes' rule over a grid of how fast the batch runs and of its class's second unknown. Every report counts with a chance of being
 * plainly wrong; reports near each other count as few.
 */
export function believe(batch: FermentBatch, nowH: number, { spread = SHIPPED_SPREAD }: BeliefOptions = {}): Belief {
  const { model } = batch;
  const given = (batch.observations ?? []).filter(({ hour }) => hour <= nowH);
  const taken = given.filter(isBelievable);
  const reports = { taken, telling: taken.filter((observation) => tellsOf(observation, model)) };
  const priorMean = batch.prior?.mean ?? 0;
  const ownSd = batch.prior?.sd ?? Math.hypot(model.prior.farmSd, model.prior.batchSd);
  const sdOf = ({ course, shiftH }: Past) => Math.hypot(spread * ownSd, gapSd(course, nowH + shiftH));
  const pasts = pastsOf(batch, nowH);
  // Several pasts share the grid's nodes: what they leave open is wider than its steps.
  const nodes = pasts.length > 1 ? NODES.places : traitsOf(model).isCostly ? NODES.costly : NODES.other;
  const starts: PossibleStart[] = pasts.map(({ shiftH, batch: there, course }) => ({ shiftH, batch: there, course }));
  const believed = normalised(
    pasts.flatMap((past, start) => waysOf(past, start, nodes, { mean: priorMean, sd: sdOf(past) }, reports, nowH)),
  );
  const mean = believed.reduce((sum, { weight, u }) => sum + weight * u, 0);
  const variance = believed.reduce((sum, { weight, u }) => sum + weight * (u - mean) ** 2, 0);
  const [first] = pasts;
  return {
    batch,
    nowH,
    ways: believed,
    starts,
    u: {
      mean,
      sd: Math.sqrt(variance),
      priorMean,
      priorSd: first?.shiftH === 0 ? sdOf(first) : ownSd,
    },
    uStep: (2 * U_SPAN_SD * sdOf(pasts.at(-1)!)) / (nodes.u - 1),
    taken,
    ...surprisesOf(believed, starts, reports, model),
    refused: given.filter((observation) => !isBelievable(observation)),
  };
}

/** How likely each of the possible pasts is after all that was reported, in their order. */
export function weightsOfStarts(belief: Belief): number[] {
  const weights = belief.starts.map(() => 0);
  for (const { start, weight } of belief.ways) weights[start]! += weight;
  return weights;
}

/** The past that is likeliest after all that was reported. */
export function likeliestStart(belief: Belief): PossibleStart {
  const weights = weightsOfStarts(belief);
  return belief.starts[weights.indexOf(Math.max(...weights))]!;
}

/** Mean over the possible pasts of something of each, by how likely each is after all that was reported. */
export function overStarts(belief: Belief, of: (start: PossibleStart) => number): number {
  const weights = weightsOfStarts(belief);
  return belief.starts.reduce(
    (sum, start, index) => (weights[index]! > 0 ? sum + weights[index]! * of(start) : sum),
    0,
  );
}

/** Mean over what is believed of a feature of now. */
export function expected(belief: Belief, feature: keyof Features): number | null {
  let sum = 0;
  for (const { weight, path } of belief.ways) {
    const value = path.features.at(-1)![feature];
    if (value === undefined) return null;
    sum += weight * value;
  }
  return sum;
}

/** Weight of the ways for which something holds; hours are the record's own. */
export const weightWhere = (belief: Belief, holds: (way: Way, shiftH: number) => boolean): number =>
  belief.ways.reduce((sum, way) => (holds(way, belief.starts[way.start]!.shiftH) ? sum + way.weight : sum), 0);
