import type { FermentBatch } from "../batch";
import type { AcidModel } from "../models/types";
import type { Course } from "../temperature/course";
import { hourOfValue, valueAt } from "../temperature/grid";
import { clamp, type Features, type Runner } from "./trajectory";

/** A batch's fall of pH over thermal days at its own pace. */
interface Fall {
  readonly startPh: number;
  readonly floorPh: number;
  readonly midpointD: number;
  readonly widthD: number;
  readonly k: number;
}

/**
 * Sugar, culture and alkalinity shift the floor and the middle of the fall.
 * @param floorShift how far this batch settles above the usual, pH
 */
export function fallOf(batch: FermentBatch, model: AcidModel, floorShift: number): Fall {
  const sugar = clamp(batch.sugar ?? 1, 0.05, 1.6);
  const inoculum = clamp(batch.inoculum ?? 1, 0.05, 10);
  const buffer = Math.log(batch.buffer ?? 1);
  const startPh = batch.startPh ?? model.startPh;
  const floorPh = Math.min(startPh - 0.05, model.floorPh + floorShift - 0.5 * Math.log10(sugar) + 0.4 * buffer);
  const midpointD = Math.max(
    0.3 * model.midpointD,
    (model.midpointD - model.widthD * Math.log(inoculum)) * (1 + 0.3 * buffer),
  );
  return { startPh, floorPh, midpointD, widthD: model.widthD, k: 1 + Math.exp(-midpointD / model.widthD) };
}

/** Logistic fall (Zwietering et al. 1990, Appl. Environ. Microbiol. 56:1875), scaled to begin exactly at the start's pH. */
export const phAfter = ({ startPh, floorPh, midpointD, widthD, k }: Fall, thermalD: number): number =>
  floorPh + ((startPh - floorPh) * k) / (1 + Math.exp((thermalD - midpointD) / widthD));

/** Thermal days until a pH; Infinity below the floor. Inverse of `phAfter`. */
export function thermalDaysToPh({ startPh, floorPh, midpointD, widthD, k }: Fall, ph: number): number {
  if (ph <= floorPh + 1e-6) return Infinity;
  if (ph >= startPh) return 0;
  return midpointD + widthD * Math.log((k * (startPh - floorPh)) / (ph - floorPh) - 1);
}

/** Acid ferments: pH decides; milk waits for its curd as well. */
export function acidRunner(batch: FermentBatch, model: AcidModel, course: Course): Runner {
  const { hours, theta, rate } = course;
  return (u, v, featureHours) => {
    const pace = Math.exp(u);
    const fall = fallOf(batch, model, v);
    const toTargetD = thermalDaysToPh(fall, model.targetPh);
    const { curd } = model;
    const startD = curd ? toTargetD - curd.timeD * Math.log(1 - curd.neededShare) : toTargetD;
    const peakD = curd
      ? startD + 0.5
      : Math.max(startD, thermalDaysToPh(fall, Math.max(model.bestPh, fall.floorPh + 0.1)));
    const hourOf = (days: number) => hourOfValue(hours, theta, days / pace);
    const features = featureHours.map((hour): Features => {
      const eta = pace * valueAt(hours, theta, hour);
      const ph = phAfter(fall, eta);
      const toReady = curd
        ? clamp(eta / startD, 0, 1)
        : clamp((fall.startPh - ph) / (fall.startPh - model.targetPh), 0, 1);
      const x = 1 / (1 + Math.exp(-(eta - fall.midpointD) / fall.widthD));
      return {
        ph,
        phase: eta < startD ? 2 * toReady : 2 + clamp((eta - startD) / model.agesD, 0, 1),
        gas: 4 * x * (1 - x) * valueAt(hours, rate, hour) * pace,
        ...(curd ? { parted: eta > toTargetD ? 1 - Math.exp(-(eta - toTargetD) / curd.timeD) : 0 } : {}),
        ...(model.partsAtPh ? { parted: 1 / (1 + Math.exp((ph - model.partsAtPh.ph) / model.partsAtPh.width)) } : {}),
      };
    });
    return {
      startH: hourOf(startD),
      peakH: hourOf(peakD),
      endH: hourOf(startD + model.keepsD),
      crashH: Infinity,
      settlesHigh: fall.floorPh > model.targetPh - 0.02,
      features,
    };
  };
}
