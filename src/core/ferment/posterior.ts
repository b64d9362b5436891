import type { Cue, Readiness } from "../book/types";
import { marksOf, phAt } from "./marks";
import { normalCdf, normalPdf } from "./normal";
import { countedPh, signsOf, type Observation, type PhObservation, type SignObservation } from "./observations";
import { hourAtThermal, thermalAt, type ThermalTime } from "./thermalTime";

/** One way this batch may be running, how likely that is, and when its marks would fall (hours of the batch). */
export interface Pathway {
  readonly weight: number;
  readonly logRate: number;
  readonly floorShift: number;
  readonly startH: number;
  readonly peakH: number;
  readonly endH: number;
}

const RATE_NODES = 21;
const RATE_SPAN_SD = 2.8;
/** How far apart the grid's log rates lie. */
export const rateStep = (logRateSd: number): number => (2 * RATE_SPAN_SD * logRateSd) / (RATE_NODES - 1);
/** Pathways less likely than this change nothing that is shown. */
const LEAST_WEIGHT = 1e-5;
/** Floors worth telling apart, pH; the upper ones are batches that stick. */
const FLOOR_SHIFTS = [-0.3, -0.2, -0.1, 0, 0.1, 0.2, 0.3, 0.45, 0.65, 0.9, 1.2, 1.6];
/** Share of entries taken to be plainly wrong, so that no single one decides. */
const MISREPORT = 0.08;
const PH_SD = { meter: 0.1, strip: 0.3 } as const;
/** Batches scatter this far round their own curve, pH. */
const PH_PROCESS_SD = 0.12;
/** sd of ln(time) with which a nose places a mark. */
const SIGN_SD = 0.3;
/** Readings closer than this repeat each other rather than add to each other, h. */
const REPEAT_H = { bloom: 6, acid: 24, days: 24, fresh: 6 } as const;

function floorWeights(readiness: Readiness): { shift: number; weight: number }[] {
  if (readiness.type !== "acid") return [{ shift: 0, weight: 1 }];
  const { floorSd, stuck } = readiness;
  return FLOOR_SHIFTS.map((shift, index) => {
    const left = FLOOR_SHIFTS[index - 1] ?? shift - (FLOOR_SHIFTS[index + 1]! - shift);
    const right = FLOOR_SHIFTS[index + 1] ?? shift + (shift - left);
    const usual = ((1 - stuck.chance) * normalPdf(shift / floorSd)) / floorSd;
    const sticking = (stuck.chance * normalPdf((shift - stuck.meanShift) / stuck.sd)) / stuck.sd;
    return { shift, weight: ((right - left) / 2) * (usual + sticking) };
  });
}

function repeatPower(hours: readonly number[], hour: number, spanH: number): number {
  const neighbours = hours.reduce((sum, other) => sum + 0.5 * Math.exp(-Math.abs(other - hour) / spanH), 0) - 0.5;
  return 1 / (1 + Math.max(0, neighbours));
}

function phLikelihood(reading: PhObservation, expectedPh: number): number {
  const sd = Math.hypot(PH_SD[reading.instrument], PH_PROCESS_SD);
  return (1 - MISREPORT) * (normalPdf((reading.value - expectedPh) / sd) / sd) + MISREPORT / 7;
}

function signLikelihood(sign: SignObservation, cue: Cue, path: Pathway): number {
  const passed = (markH: number) =>
    Number.isFinite(markH) ? normalCdf(Math.log(Math.max(0.1, sign.hour) / Math.max(0.1, markH)) / SIGN_SD) : 0;
  const started = passed(path.startH);
  const over = Math.min(started, passed(path.endH));
  const p = cue.says === "not-yet" ? 1 - started : cue.says === "ready" ? started - over : over;
  return (1 - MISREPORT) * p + MISREPORT / 3;
}

/**
 * Every pathway with its weight, given what was read and smelt.
 * A grid over how fast the batch runs (and, for acid ferments, where its pH settles), weighted by Bayes' rule;
 * each reading counts with a chance of being plainly wrong, and readings close together count as few.
 */
export function pathways(
  readiness: Readiness,
  cues: readonly Cue[],
  theta: ThermalTime,
  observations: readonly Observation[],
  logRateSd: number,
): Pathway[] {
  const readings = readiness.type === "acid" ? countedPh(observations) : [];
  const signs = signsOf(observations).flatMap((sign) => {
    const cue = cues.find(
      (candidate) => candidate.kind === sign.kind && candidate.word === sign.word && candidate.says !== "failed",
    );
    return cue ? [{ sign, cue }] : [];
  });
  const spanH = REPEAT_H[readiness.type];
  const phHours = readings.map(({ hour }) => hour);
  const signHours = signs.map(({ sign }) => sign.hour);

  const logWeight = (path: Pathway): number => {
    let sum = Math.log(path.weight);
    for (const reading of readings) {
      const thermalD = (Math.exp(path.logRate) * thermalAt(theta, reading.hour)) / 24;
      const expected = readiness.type === "acid" ? phAt(readiness, thermalD, path.floorShift) : reading.value;
      sum += repeatPower(phHours, reading.hour, spanH) * Math.log(phLikelihood(reading, expected));
    }
    for (const { sign, cue } of signs)
      sum += repeatPower(signHours, sign.hour, spanH) * Math.log(signLikelihood(sign, cue, path));
    return sum;
  };

  const grid: Pathway[] = [];
  for (let i = 0; i < RATE_NODES; i += 1) {
    const z = RATE_SPAN_SD * ((2 * i) / (RATE_NODES - 1) - 1);
    for (const { shift, weight } of floorWeights(readiness)) {
      const logRate = z * logRateSd;
      const marks = marksOf(readiness, logRate, shift);
      grid.push({
        weight: normalPdf(z) * weight,
        logRate,
        floorShift: shift,
        startH: hourAtThermal(theta, marks.startTh),
        peakH: hourAtThermal(theta, marks.peakTh),
        endH: hourAtThermal(theta, marks.endTh),
      });
    }
  }
  const logs = grid.map(logWeight);
  const greatest = Math.max(...logs);
  const raw = logs.map((value) => Math.exp(value - greatest));
  const total = raw.reduce((sum, value) => sum + value, 0);
  const kept = grid
    .map((path, index) => ({ ...path, weight: raw[index]! / total }))
    .filter(({ weight }) => weight > LEAST_WEIGHT);
  const keptTotal = kept.reduce((sum, { weight }) => sum + weight, 0);
  return kept.map((path) => ({ ...path, weight: path.weight / keptTotal }));
}
