import { traitsOf } from "../models/classes";
import { USUAL_START_HOUR, USUAL_SWING_C, type FermentBatch } from "../batch";
import type { FermentModel } from "../models/types";
import { airSeries, type AirSeries } from "./airSeries";
import { cardinalShare, rateAt } from "./rate";
import { gridOf, horizonOf } from "./courseGrid";
import { learnPlace, surroundingsOf, type LearnedPlace } from "./places";
import { warmingTimeH } from "./vessel";
import { Liquid, marksOf, PLACE_SD_C } from "./liquid";

/** Where a batch's temperature came from, best first; "place" is worked out from where it stands and the air outside. */
export type TemperatureBasis = "read" | "place" | "air" | "stated" | "guessed";

/**
 * A batch's temperatures and what they add up to, over all its hours. Blooms and beds have a node in the middle of each step as well:
 * steps are then two nodes wide.
 */
export interface Course {
  readonly hours: Float64Array;
  readonly airC: Float64Array;
  readonly liquidC: Float64Array;
  /** 1 at the reference temperature; with what overheating took for good. */
  readonly rate: Float64Array;
  /** Rate added up: hours (blooms) or days (all others) at the reference temperature. */
  readonly theta: Float64Array;
  /** How unsure theta is for what is not known of the air, in its unit. */
  readonly thetaSd: Float64Array;
  /** Degree hours above the greatest temperature so far. */
  readonly overheatCH: Float64Array;
  readonly tauH: number;
  readonly basis: TemperatureBasis;
  /** What was read in the liquid does not go with the place that was said. */
  readonly elsewhere: boolean;
}

const KILLING_DOSE_CH = 24;
/** A probe reads by the hour; the last few tell the place. */
const MOST_DIPS = 24;

/** Warms and cools the liquid from node to node, with readings and events at their own time between them. */
function liquidOf(
  batch: FermentBatch,
  hours: Float64Array,
  airC: Float64Array,
  airSdC: Float64Array,
  nowH: number,
): { liquidC: Float64Array; tauH: number } {
  const marks = marksOf(batch, nowH);
  const outside = Float64Array.from(airC);
  const liquid = new Liquid(batch, hours, outside);
  const liquidC = new Float64Array(hours.length);
  let next = 0;
  let atH = hours[0]!;
  for (let index = 0; index < hours.length; index += 1) {
    const toH = hours[index]!;
    while (next < marks.length && marks[next]!.hour <= toH) {
      const mark = marks[next]!;
      if (mark.hour > atH) {
        liquid.step(atH, mark.hour, liquid.around(atH), liquid.around(mark.hour));
        atH = mark.hour;
      }
      liquid.take(mark);
      next += 1;
    }
    // From node to node in the open the air is at hand; only a mark between them needs it looked up.
    const isWhole = index > 0 && atH === hours[index - 1]! && !liquid.place;
    if (isWhole) liquid.step(atH, toH, outside[index - 1]!, outside[index]!);
    else liquid.step(atH, toH, liquid.around(atH), liquid.around(toH));
    atH = toH;
    liquidC[index] = liquid.celsius;
    if (liquid.place) {
      airC[index] = liquid.around(toH);
      airSdC[index] = PLACE_SD_C;
    }
    if (liquid.heater) airSdC[index] = Math.min(airSdC[index]!, PLACE_SD_C);
  }
  return { liquidC, tauH: liquid.tauH };
}

/** How fast a model's brew goes at a temperature, 1 at its reference. */
function rateOf(model: FermentModel): (celsius: number) => number {
  const { temperatures } = model;
  if ("activationJPerMol" in temperatures) return (celsius) => rateAt(celsius, temperatures);
  const atReference = cardinalShare(temperatures.referenceC, temperatures);
  return (celsius) => cardinalShare(celsius, temperatures) / atReference;
}

/** A reading in the liquid stands for it while the vessel has not had time to take other warmth on, h. */
const READ_HOLDS_H = { least: 6, most: 24 } as const;

function basisOf(batch: FermentBatch, air: AirSeries["basis"], nowH: number, tauH: number): TemperatureBasis {
  const lastRead = (batch.readings ?? [])
    .filter(({ where, hour }) => where === "liquid" && hour <= nowH)
    .reduce((last, { hour }) => Math.max(last, hour), -Infinity);
  if (nowH - lastRead <= Math.min(READ_HOLDS_H.most, Math.max(READ_HOLDS_H.least, tauH))) return "read";
  if (air === "read" && batch.place && (batch.place.kind !== "unsaid" || batch.place.celsius)) return "place";
  return air === "read" ? "air" : air;
}

/**
 * The liquid's temperature over the whole horizon and the thermal time that it makes: from readings in the liquid, else from the air
 * through the vessel's own slowness, else from what was stated of the place.
 */
export const courseOf = (batch: FermentBatch, nowH: number): Course => coursesOf(batch, nowH)[0]!.course;

/** A course that a batch may have taken, and how likely its surroundings were before anything was seen of the brew. */
export interface PossibleCourse {
  readonly course: Course;
  readonly weight: number;
}

const airOf = (batch: FermentBatch, hours: Float64Array, nowH: number): AirSeries =>
  airSeries(hours, batch.readings ?? [], batch.forecast ?? [], {
    startHour: batch.startHour ?? USUAL_START_HOUR,
    nowH,
    ambientC: batch.ambientC,
    swingC: batch.swingC ?? USUAL_SWING_C,
    season: batch.season,
  });

const vesselOf = ({ model, startC, volumeL, setting }: FermentBatch) => ({
  startC,
  tauH: warmingTimeH(volumeL ?? model.volumeL, setting ?? model.setting),
});

/**
 * What a finished batch tells of where its vessel stands, besides what those before it told; unchanged where nothing was dipped, or no air
 * outside was read.
 */
export function placeToldBy(batch: FermentBatch, endH: number, before: LearnedPlace | null): LearnedPlace | null {
  const dips = dipsOf(batch, endH);
  if (dips.length === 0) return before;
  const hours = Float64Array.from({ length: Math.ceil(endH) + 1 }, (_, hour) => hour);
  const air = airOf(batch, hours, endH);
  if (air.basis !== "read") return before;
  return learnPlace({ hours, airC: air.celsius, sdC: air.sdC }, dips, vesselOf(batch), before);
}

/** As `courseOf`, one for each of the places that it may stand in, likeliest first. */
export function coursesOf(batch: FermentBatch, nowH: number): PossibleCourse[] {
  // Several places are not told apart finer than by two hours.
  const isOpen = batch.place?.kind === "unsaid" && !batch.place.celsius;
  const hours = gridOf(batch, nowH, horizonOf(batch.model, nowH), isOpen ? 2 : 1);
  const air = airOf(batch, hours, nowH);
  if (!batch.place) return [{ course: courseIn(batch, nowH, hours, { ...air, elsewhere: false }), weight: 1 }];
  const outside = { hours, airC: air.celsius, sdC: air.sdC };
  return surroundingsOf(batch.place, outside, dipsOf(batch, nowH), vesselOf(batch), batch.placeLearned)
    .toSorted((a, b) => b.weight - a.weight)
    .map(({ weight, airC, sdC, elsewhere }) => ({
      weight,
      course: courseIn(batch, nowH, hours, { celsius: airC, sdC, basis: air.basis, elsewhere }),
    }));
}

/** Dips that tell of the place: before the vessel was moved, heated or topped up. */
function dipsOf(batch: FermentBatch, nowH: number): { readonly hour: number; readonly celsius: number }[] {
  const changedH = (batch.events ?? []).reduce(
    (first, { type, hour }) =>
      type === "moved" || type === "heater_on" || type === "topped_up" ? Math.min(first, hour) : first,
    Infinity,
  );
  return (batch.readings ?? [])
    .filter(
      ({ where, hour, celsius }) =>
        where === "liquid" && hour <= nowH && hour <= changedH && celsius > -30 && celsius < 60,
    )
    .toSorted((a, b) => a.hour - b.hour)
    .slice(-MOST_DIPS);
}

function courseIn(
  batch: FermentBatch,
  nowH: number,
  hours: Float64Array,
  air: AirSeries & Pick<Course, "elsewhere">,
): Course {
  const { model } = batch;
  const { liquidC, tauH } = liquidOf(batch, hours, air.celsius, air.sdC, nowH);
  const length = hours.length;
  const [rate, theta, thetaSd, overheatCH] = [0, 1, 2, 3].map(() => new Float64Array(length)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const paceAt = rateOf(model);
  const { unitH, losesForGood } = traitsOf(model);
  const maxC = "maxC" in model.temperatures ? model.temperatures.maxC : Infinity;
  let slopeBefore = 0;
  for (let index = 0; index < length; index += 1) {
    const celsius = liquidC[index]!;
    const h = index > 0 ? hours[index]! - hours[index - 1]! : 0;
    overheatCH[index] = (index > 0 ? overheatCH[index - 1]! : 0) + Math.max(0, celsius - maxC) * h;
    const left = losesForGood && overheatCH[index]! > 0 ? Math.exp(-overheatCH[index]! / KILLING_DOSE_CH) : 1;
    rate[index] = paceAt(celsius) * left;
    const slope = (paceAt(celsius + 0.5) - paceAt(celsius - 0.5)) * air.sdC[index]!;
    if (index > 0) {
      theta[index] = theta[index - 1]! + ((rate[index - 1]! + rate[index]!) / 2) * (h / unitH);
      thetaSd[index] = thetaSd[index - 1]! + ((slopeBefore + slope) / 2) * (h / unitH);
    }
    slopeBefore = slope;
  }
  return {
    hours,
    airC: air.celsius,
    liquidC,
    rate,
    theta,
    thetaSd,
    overheatCH,
    tauH,
    basis: basisOf(batch, air.basis, nowH, tauH),
    elsewhere: air.elsewhere,
  };
}
