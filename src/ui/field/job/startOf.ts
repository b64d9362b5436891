import type { JobsView } from "@/services/field";
import type { ApplyStart } from "../useChoice";

/** What the field begins with where a step of a job is put on; with nothing where there is no such open step. */
export function startOf(view: JobsView, jobId: number, stepKey: string): ApplyStart {
  const job = view.jobs.find(({ id }) => id === jobId);
  const one = job?.steps.find(({ step }) => step.key === stepKey);
  if (!job || !one || one.done || one.step.does !== "put-on") return { storeId: null, step: null };
  const { storeId, use, ratio, litresPerM2, plotIds, priority } = one.step;
  return {
    storeId,
    step: {
      jobId,
      stepKey,
      jobName: job.name,
      use,
      ratio,
      rateL: litresPerM2,
      plotIds,
      priority,
      // What other steps want of the same store stays for them.
      availableL: one.share?.givenL ?? 0,
    },
  };
}
