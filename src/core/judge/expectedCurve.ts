import type { FermentClass } from "../ferment/models/types";
import { runnerFor } from "../ferment/kinetics/runner";
import type { Features } from "../ferment/kinetics/trajectory";
import { quantile, sortAtoms } from "../ferment/outlook/quantiles";
import type { Belief } from "../ferment/outlook/belief";

/** What a batch's progress is drawn by: what a grower can read or see of it. */
export type LeadFeature = "ph" | "foam" | "viability" | "parted" | "extent" | "sunk" | "phase";

const LEADS: Record<FermentClass, LeadFeature> = {
  bloom: "viability",
  acid: "ph",
  drawn: "parted",
  shell: "extent",
  soak: "phase",
  char: "sunk",
  bed: "phase",
};

export interface ExpectedPoint {
  /** Hour of the batch. */
  readonly hour: number;
  readonly low: number;
  readonly mid: number;
  readonly high: number;
}

export interface ExpectedCurve {
  readonly feature: LeadFeature;
  readonly points: readonly ExpectedPoint[];
}

/** Ways less likely than this don't show in a band of 10 to 90 %. */
const DRAWN_WEIGHT = 1e-3;

/**
 * How what tells most of a batch should have gone and will go: middle and the band of 10 to 90 %, over what is believed.
 * @param hours hours of the batch
 * @param fromH hour at which the stage that the belief is of began
 */
export function expectedCurve(belief: Belief, hours: readonly number[], fromH: number): ExpectedCurve {
  const { model } = belief.batch;
  const feature: LeadFeature = model.cls === "bloom" && model.metric === "foam" ? "foam" : LEADS[model.cls];
  const drawn = hours.filter((hour) => hour >= fromH);
  const runs = belief.starts.map((start) => runnerFor(start.batch, start.course));
  const ways = belief.ways
    .filter(({ weight }) => weight > DRAWN_WEIGHT)
    .map(({ u, v, weight, start }) => ({
      weight,
      shows: runs[start]!(
        u,
        v,
        drawn.map((hour) => hour - fromH + belief.starts[start]!.shiftH),
      ).features,
    }));
  const total = ways.reduce((sum, { weight }) => sum + weight, 0);
  return {
    feature,
    points: drawn.map((hour, index) => {
      const atoms = sortAtoms(
        ways.map(({ shows }) => shows[index]![feature as keyof Features] ?? 0),
        ways.map(({ weight }) => weight / total),
      );
      return { hour, low: quantile(atoms, 0.1), mid: quantile(atoms, 0.5), high: quantile(atoms, 0.9) };
    }),
  };
}
