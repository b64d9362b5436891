import type { FermentBatch } from "../batch";
import type { CharModel, DrawnModel, SoakModel } from "../models/types";
import type { Course } from "../temperature/course";
import { hourOfValue, valueAt } from "../temperature/grid";
import { clamp, type Features, type Runner } from "./trajectory";

/** Phase of what ripens by thermal days: 0 raw, 2 ready, 3 old. */
export function ripePhase(days: number, startD: number, endD: number): number {
  if (days < startD) return clamp((2 * days) / startD, 0, 2);
  return 2 + clamp((days - startD) / Math.max(1, Math.min(endD, 3 * startD) - startD), 0, 1);
}

/** Sugar-drawn juices and soaks: thermal time after a lag. */
export function soakRunner(batch: FermentBatch, model: DrawnModel | SoakModel, course: Course): Runner {
  const { hours, theta, rate } = course;
  const drawn = model.cls === "drawn" ? model : null;
  // More starter shortens a soak's lag; sugar keeps a juice longer.
  const shiftD = drawn ? 0 : -0.4 * Math.log(clamp(batch.inoculum ?? 1, 0.2, 5));
  const endD = drawn
    ? model.startD + (model.endD - model.startD) * clamp(batch.sugar ?? 1, 0.4, 1.5) ** 0.3
    : model.endD;
  return (u, v, featureHours) => {
    const pace = Math.exp(u);
    const lagD = Math.max(0, model.lagD * Math.exp(v) + shiftD);
    const daysAt = (hour: number) => pace * valueAt(hours, theta, hour) - lagD + model.lagD;
    const hourOf = (days: number) => hourOfValue(hours, theta, (days - model.lagD + lagD) / pace);
    const features = featureHours.map((hour): Features => {
      const days = daysAt(hour);
      const phase = ripePhase(days, model.startD, endD);
      if (!drawn) return { phase };
      return {
        phase,
        parted: 1 - Math.exp(-Math.max(0, days - model.lagD) / drawn.partsD),
        gas: (valueAt(hours, rate, hour) * pace) / (1 + Math.exp(-(days - 5) / 0.8)),
      };
    });
    return {
      startH: hourOf(model.startD),
      peakH: hourOf(model.peakD),
      endH: hourOf(endD),
      crashH: Infinity,
      ...(model.cls === "soak" && model.sealD !== undefined ? { sealH: hourOf(model.sealD) } : {}),
      features,
    };
  };
}

/** Thermal days in which char takes up 63 % of what it will. */
const CHARGING_D = 8.7;

/** Char: sinks as it fills; never over. */
export function charRunner(batch: FermentBatch, model: CharModel, course: Course): Runner {
  const { hours, theta } = course;
  return (u, v, featureHours) => {
    const pace = Math.exp(u);
    const first = batch.sunkAtStart ?? model.sunkAtStart;
    const last = clamp(model.sunkInTheEnd + v, first + 0.05, 1);
    const hourOf = (days: number) => hourOfValue(hours, theta, days / pace);
    return {
      startH: hourOf(model.startD),
      peakH: hourOf(model.peakD),
      endH: Infinity,
      crashH: Infinity,
      features: featureHours.map((hour): Features => {
        const days = pace * valueAt(hours, theta, hour);
        return {
          sunk: first + (last - first) * (1 - Math.exp(-days / model.sinkD)),
          charged: 1 - Math.exp(-days / CHARGING_D),
          phase: clamp((2 * days) / model.startD, 0, 3),
        };
      }),
    };
  };
}
