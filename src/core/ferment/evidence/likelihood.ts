import { readableOf } from "../models/classes";
import type { Features, Trajectory } from "../kinetics/trajectory";
import type { FermentModel } from "../models/types";
import { normalCdf, normalPdf } from "../normal";
import { FOAMS, PH_BELIEVED, SMELL_CLASSES, type Observation } from "./observations";
import { chanceAt, FOAM_TABLE, SMELL_TABLES } from "./tables";

/** Share of reports taken to be plainly wrong, so that no single one decides. */
export const MISREPORT = 0.05;
const PH_SD = { meter: 0.1, strip: 0.3 } as const;
/** Batches scatter this far round their own curve, pH. */
const PH_PROCESS_SD = 0.12;
const BUBBLES_LOG_SD = 0.9;
const PARTED_SD = 0.12;
const SUNK_SD = 0.08;
const CORE_SD_C = 2.5;
/** sd of ln(time) with which a grower's own word places a mark. */
const JUDGE_SD = 0.12;

const normal = (x: number, mean: number, sd: number) => normalPdf((x - mean) / sd) / sd;

/** sd of one pH reading round the batch's own curve. */
export const phSd = (observation: Extract<Observation, { type: "ph" }>): number =>
  // Not Math.hypot: it is ten times as slow, and this is asked of every way.
  Math.sqrt((observation.sd ?? PH_SD[observation.method]) ** 2 + PH_PROCESS_SD ** 2);

/** What the report would be if it were drawn at random: uniform over the possible ones. */
export function randomChance({ type }: Observation): number {
  switch (type) {
    case "ph":
      return 1 / 7;
    case "foam":
      return 1 / FOAMS.length;
    case "smell":
      return 1 / SMELL_CLASSES.length;
    case "bubbles":
      return 1 / Math.log(201);
    case "core":
      return 1 / 50;
    case "judge":
      return 1 / 3;
    case "sep":
    case "sink":
      return 1;
    case "film":
      return 1 / 4;
  }
}

/** Whether a report says anything of how far a batch of this model is. */
export function tellsOf({ type }: Observation, model: FermentModel): boolean {
  switch (type) {
    case "ph":
      return readableOf(model).ph;
    case "foam":
      return readableOf(model).foam;
    case "smell":
      return model.smellTable !== null;
    case "bubbles":
      return model.bubblesPerMin > 0;
    case "sep":
      return readableOf(model).parted;
    case "sink":
      return readableOf(model).sunk;
    case "core":
      return readableOf(model).core;
    case "judge":
      return true;
    case "film":
      return false;
  }
}

/** Whether an instrument's figure can be believed at all. */
export const isBelievable = (observation: Observation): boolean => {
  if (observation.type === "ph") return observation.value >= PH_BELIEVED.min && observation.value <= PH_BELIEVED.max;
  return "value" in observation && (typeof observation.value !== "number" || Number.isFinite(observation.value));
};

type Marks = Pick<Trajectory, "startH" | "endH">;

/** Chance that a grower would say a mark has passed. */
function saidPassed(hour: number, markH: number): number {
  if (!Number.isFinite(markH)) return 0;
  return markH <= 0 ? 1 : normalCdf(Math.log(Math.max(1e-9, hour / markH)) / JUDGE_SD);
}

function judged(word: "not_yet" | "ready" | "past", hour: number, { startH, endH }: Marks): number {
  const started = saidPassed(hour, startH);
  const over = Math.min(started, saidPassed(hour, endH));
  return word === "not_yet" ? 1 - started : word === "ready" ? started - over : over;
}

/** Chance (or density) of a report if the batch shows these features, without misreports. */
export function plainChance(observation: Observation, model: FermentModel, shows: Features, marks: Marks): number {
  switch (observation.type) {
    case "ph":
      return normal(observation.value, shows.ph!, phSd(observation));
    case "foam":
      return chanceAt(FOAM_TABLE, shows.foamPhase!, FOAMS.indexOf(observation.value));
    case "smell":
      return chanceAt(SMELL_TABLES[model.smellTable!], shows.phase!, SMELL_CLASSES.indexOf(observation.value));
    case "bubbles": {
      const seen = Math.log(1 + Math.min(200, Math.max(0, observation.value)));
      return normal(seen, Math.log(1 + model.bubblesPerMin * shows.gas!), BUBBLES_LOG_SD);
    }
    case "sep":
      return normal(observation.value, shows.parted!, PARTED_SD);
    case "sink":
      return normal(observation.value, shows.sunk!, SUNK_SD);
    case "core":
      return normal(observation.value, shows.coreC!, CORE_SD_C);
    case "judge":
      return judged(observation.value, observation.hour, marks);
    case "film":
      return 1 / 4;
  }
}

/** Chance of a report, with some taken to be plainly wrong. */
export function chanceOf(observation: Observation, model: FermentModel, shows: Features, marks: Marks): number {
  const wrong = observation.eps ?? MISREPORT;
  return (1 - wrong) * plainChance(observation, model, shows, marks) + wrong * randomChance(observation);
}

/**
 * How much each report counts: those of one kind near each other repeat rather than add, so ten readings of an hour count as about two.
 * Foam counts less where air is blown in.
 */
export function weightsOf(observations: readonly Observation[], model: FermentModel): number[] {
  const foamWeight = model.cls === "bloom" ? model.foamWeight : 1;
  return observations.map((observation, index) => {
    const near = observations.reduce(
      (sum, other, at) =>
        at === index || other.type !== observation.type
          ? sum
          : sum + 0.5 * Math.exp(-Math.abs(observation.hour - other.hour) / model.repeatSpanH),
      0,
    );
    return (observation.type === "foam" ? foamWeight : 1) / (1 + near);
  });
}
