import type { UseId } from "../book/uses";
import { findUse } from "../book/uses";
import { allocate, type Priority, type WithoutReason } from "./allocate";
import { concentrateFor } from "./reach";

/** What is laid on or into a bed by hand. */
export const LAID = ["castings", "compost", "char", "manure", "leaf-mould", "mulch", "rock-dust"] as const;
export type Laid = (typeof LAID)[number];

interface Told {
  /** Its own within the job, whatever its place. */
  readonly key: string;
  readonly plotIds: readonly number[];
  /** Mix, solid or water, L to the square metre; what lies nowhere on the plan counts as one. */
  readonly litresPerM2: number;
}
/** A liquid of a store put on. */
export interface PutOnStep extends Told {
  readonly does: "put-on";
  readonly storeId: number;
  readonly use: UseId;
  readonly ratio: string;
  readonly priority: Priority;
}
/** A solid laid on top or worked in. */
export interface LayStep extends Told {
  readonly does: "lay";
  readonly what: Laid;
  /** Down to where it is worked in, cm; null where it stays on top. */
  readonly depthCm: number | null;
}
/** Plain water after it. */
export interface WaterStep extends Told {
  readonly does: "water";
}
/** One thing of a job. */
export type JobStep = PutOnStep | LayStep | WaterStep;

/** Lower goes first: what is worked in, what lies on top, what runs through it, water, and the cover over all. */
function layerOf(step: JobStep): number {
  if (step.does === "water") return 3;
  if (step.does === "put-on") return findUse(step.use).target === "leaves" ? 5 : 2;
  if (step.depthCm !== null) return 0;
  return step.what === "mulch" ? 4 : 1;
}

/** The steps in the order in which layers go onto a bed; what is of one layer keeps its order. */
export const inLayers = <S extends JobStep>(steps: readonly S[]): S[] =>
  steps.toSorted((a, b) => layerOf(a) - layerOf(b));

/** What is wrong with the order of a job. */
export interface LayerFault {
  readonly code: "covered-too-soon" | "dug-through";
  /** The step that comes too late, and the one that it should come before. */
  readonly stepKey: string;
  readonly beforeKey: string;
}

const sharesPlot = (a: JobStep, b: JobStep): boolean => a.plotIds.some((id) => b.plotIds.includes(id));

/** Whether what was done before is undone by what comes late: dug through, or left out of reach under the mulch. */
function faultOf(early: JobStep, late: JobStep): LayerFault["code"] | null {
  if (late.does === "lay" && late.depthCm !== null)
    return early.does === "lay" && early.depthCm === null ? "dug-through" : null;
  const covers = early.does === "lay" && early.what === "mulch" && early.depthCm === null;
  const goesUnder =
    late.does === "put-on" ? findUse(late.use).target !== "leaves" : late.does === "lay" && late.what !== "mulch";
  return covers && goesUnder ? "covered-too-soon" : null;
}

/** Steps that undo an earlier one on the same bed: dug in after something lay on top, or put on over the mulch. */
export const layerFaults = (steps: readonly JobStep[]): LayerFault[] =>
  steps.flatMap((late, at) => {
    const early = steps.slice(0, at).find((step) => sharesPlot(step, late) && faultOf(step, late) !== null);
    return early ? [{ code: faultOf(early, late)!, stepKey: late.key, beforeKey: early.key }] : [];
  });

/** A plot as far as a job counts it. */
export interface JobPlot {
  readonly id: number;
  readonly areaM2: number;
}

/** What a step of a job gets of what there is. */
export interface StepShare {
  readonly key: string;
  /** Concentrate wanted and given, L. */
  readonly wantedL: number;
  readonly givenL: number;
  readonly plots: readonly { readonly plotId: number; readonly concentrateL: number; readonly mixL: number }[];
  readonly without: readonly { readonly plotId: number; readonly reason: WithoutReason }[];
}

/** A plot gets so much of its wish at the least, or nothing. */
const LEAST_SHARE = 0.5;

/**
 * Shares one store out over the steps of a job that want it, each at its own strength: who wants it most first, then who comes first. Never more than
 * there is.
 * @param availableL concentrate in the store, L
 * @param partsWaterOf how strong each step is, by its key
 */
export function shareOverSteps(
  availableL: number,
  steps: readonly PutOnStep[],
  partsWaterOf: (step: PutOnStep) => number,
  plots: ReadonlyMap<number, JobPlot>,
): StepShare[] {
  const wishes = steps.flatMap((step) =>
    step.plotIds.flatMap((plotId) => {
      const plot = plots.get(plotId);
      if (!plot) return [];
      const preferredL = concentrateFor(plot.areaM2 * step.litresPerM2, partsWaterOf(step));
      return [{ step, plotId, preferredL }];
    }),
  );
  const answer = allocate(
    availableL,
    wishes.map(({ step, plotId, preferredL }) => ({
      id: `${step.key} ${plotId}`,
      priority: step.priority,
      preferredL,
      leastL: preferredL * LEAST_SHARE,
    })),
  );
  const given = new Map(answer.plots.map(({ id, concentrateL }) => [id, concentrateL]));
  const without = new Map(answer.without.map(({ id, reason }) => [id, reason]));
  return steps.map((step) => {
    const own = wishes.filter((wish) => wish.step === step);
    const shares = own.map(({ plotId }) => {
      const concentrateL = given.get(`${step.key} ${plotId}`) ?? 0;
      return { plotId, concentrateL, mixL: concentrateL * (1 + partsWaterOf(step)) };
    });
    return {
      key: step.key,
      wantedL: own.reduce((sum, { preferredL }) => sum + preferredL, 0),
      givenL: shares.reduce((sum, { concentrateL }) => sum + concentrateL, 0),
      plots: shares,
      without: own.flatMap(({ plotId }) => {
        const reason = without.get(`${step.key} ${plotId}`);
        return reason ? [{ plotId, reason }] : [];
      }),
    };
  });
}
