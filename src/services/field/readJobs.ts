import "server-only";
import {
  layerFaults,
  shareOverSteps,
  type JobStep,
  type LayerFault,
  type PutOnStep,
  type StepShare,
} from "@/core/apply/job";
import { addDays } from "@/core/calendar";
import { parseDilution } from "@/core/quantity/ratio";
import type { Farm } from "@/data/farm";
import { listJobs, listJobsDone, type JobDone, type JobRow } from "@/data/field";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { readField, type FieldView } from "./readField";

/** So far back a job that nobody finished is still shown, d. */
const SHOWN_BACK_D = 60;

/** A step as screens show it: what it gets of what there is, and when it was done. */
export interface JobStepView {
  readonly step: JobStep;
  /** Of a store's step that is open: what it wants and gets. */
  readonly share: StepShare | null;
  readonly done: (Omit<JobDone, "at"> & { readonly atMs: number }) | null;
}
export interface JobView extends Omit<JobRow, "steps"> {
  readonly steps: readonly JobStepView[];
  readonly faults: readonly LayerFault[];
}
export interface JobsView {
  readonly field: FieldView;
  readonly today: string;
  /** The earliest first; those that are done whole come last. */
  readonly jobs: readonly JobView[];
}

/** What each open step of all jobs gets, store by store: jobs of earlier days come first, within one whoever wants it most. */
function sharesOf(
  jobs: readonly JobRow[],
  isDone: (jobId: number, key: string) => boolean,
  field: FieldView,
): Map<string, StepShare> {
  const plots = new Map(
    [...field.plots, ...field.elsewhere].map(({ id, treatableM2 }) => [id, { id, areaM2: treatableM2 }]),
  );
  const open = jobs.flatMap(({ id: jobId, steps }) =>
    steps.flatMap((step) =>
      step.does === "put-on" && !isDone(jobId, step.key) ? [{ ...step, key: `${jobId} ${step.key}` }] : [],
    ),
  );
  const shares = new Map<string, StepShare>();
  for (const storeId of new Set(open.map((step) => step.storeId))) {
    const store = field.stores.find(({ id }) => id === storeId);
    const own = open.filter((step) => step.storeId === storeId);
    const partsWaterOf = ({ ratio }: PutOnStep) => parseDilution(ratio, [], "/ratio", field.farm.units).partsWater;
    for (const share of shareOverSteps(store?.onHandL ?? 0, own, partsWaterOf, plots)) shares.set(share.key, share);
  }
  return shares;
}

/** The farm's jobs, with what each step gets of what there is. */
export async function readJobs(ctx: Context, farm: Farm): Promise<JobsView> {
  const now = ctx.now();
  const today = isoDay(now, farm);
  const [field, rows] = await Promise.all([readField(ctx, farm), listJobs(ctx.pool, addDays(today, -SHOWN_BACK_D))]);
  const done = await listJobsDone(
    ctx.pool,
    rows.map(({ id }) => id),
  );
  const doneOf = (jobId: number, key: string) => done.find((one) => one.jobId === jobId && one.stepKey === key) ?? null;
  const shares = sharesOf(rows, (jobId, key) => doneOf(jobId, key) !== null, field);
  const jobs = rows.map(({ steps, ...job }): JobView => ({
    ...job,
    faults: layerFaults(steps),
    steps: steps.map((step) => {
      const made = doneOf(job.id, step.key);
      return {
        step,
        share: shares.get(`${job.id} ${step.key}`) ?? null,
        done: made && (({ at, ...rest }) => ({ ...rest, atMs: at.getTime() }))(made),
      };
    }),
  }));
  const isWhole = ({ steps }: JobView) => steps.every((one) => one.done !== null);
  return { field, today, jobs: [...jobs.filter((job) => !isWhole(job)), ...jobs.filter(isWhole).toReversed()] };
}
