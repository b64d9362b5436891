import "server-only";
import { DAY, MOMENT, NAME, REQUEST_KEY, ROW_ID, object, orNull } from "@/contracts/parts";
import { isElsewhere, rateFor, usesOn } from "@/core/apply/elsewhere";
import { LAID, type JobStep } from "@/core/apply/job";
import { USE_IDS } from "@/core/book/uses";
import { parseDilution } from "@/core/quantity/ratio";
import { recipeFrom } from "@/core/recipe/document";
import type { Queryable } from "@/data/db";
import { findFarm, type Farm } from "@/data/farm";
import {
  findJob,
  insertJob,
  insertJobDone,
  insertLaid,
  listJobsDone,
  listMarks,
  listShapes,
  lockJob,
  type JobDone,
  type JobRow,
  type PlotShape,
} from "@/data/field";
import { lockStore } from "@/data/stores";
import { act, type Asked } from "../act";
import { momentOf } from "../checks";
import type { Context } from "../context";
import { atField, refuse } from "../refusal";
import { treatableBeside } from "./treatable";

const KEY = { type: "string", minLength: 1, maxLength: 12, pattern: "^[a-z0-9]+$" } as const;
const STEP_HEAD = {
  key: KEY,
  plotIds: { type: "array", minItems: 1, maxItems: 500, uniqueItems: true, items: ROW_ID },
  litresPerM2: { type: "number", minimum: 0.001, maximum: 1000 },
} as const;
const SET_JOB = object(["requestKey", "name", "forDay", "steps"], {
  requestKey: REQUEST_KEY,
  /** Null for a new one. */
  jobId: orNull(ROW_ID),
  name: NAME,
  forDay: DAY,
  steps: {
    type: "array",
    minItems: 1,
    maxItems: 20,
    items: object(["does", "key", "plotIds", "litresPerM2"], {
      does: { enum: ["put-on", "lay", "water"] },
      ...STEP_HEAD,
      storeId: ROW_ID,
      use: { enum: USE_IDS },
      ratio: { type: "string", minLength: 1, maxLength: 40 },
      priority: { enum: [1, 2, 3] },
      what: { enum: LAID },
      depthCm: orNull({ type: "number", minimum: 1, maximum: 100 }),
    }),
  },
  putAway: { type: "boolean" },
});
type StepAsked = Asked<typeof SET_JOB>["steps"][number];

/** A step as it was sent, once all that its kind wants is there. @throws {Refusal} */
async function stepOf(
  db: Queryable,
  farm: Farm,
  step: StepAsked,
  kinds: readonly PlotShape["kind"][],
  path: string,
): Promise<JobStep> {
  if (kinds.some(isElsewhere) && kinds.length > 1) throw refuse("beds-and-elsewhere", {}, `${path}/plotIds`);
  const head = { key: step.key, plotIds: step.plotIds, litresPerM2: step.litresPerM2 };
  if (step.does === "water") return { ...head, does: "water" };
  if (step.does === "lay") {
    if (!step.what) throw refuse("needed", {}, `${path}/what`);
    return { ...head, does: "lay", what: step.what, depthCm: step.depthCm ?? null };
  }
  const { storeId, use, ratio } = step;
  if (storeId === undefined) throw refuse("needed", {}, `${path}/storeId`);
  if (use === undefined) throw refuse("needed", {}, `${path}/use`);
  if (ratio === undefined) throw refuse("needed", {}, `${path}/ratio`);
  const store = await lockStore(db, storeId);
  if (!store) throw refuse("not-found", { thing: "store" }, `${path}/storeId`);
  const recipe = recipeFrom(store.recipe);
  if (!rateFor(recipe, use) || (kinds.some(isElsewhere) && !usesOn(recipe, kinds).includes(use)))
    throw refuse("use-not-of-method", { method: recipe.name }, `${path}/use`);
  atField(`${path}/ratio`, () => parseDilution(ratio, [], "/ratio", farm.units));
  return { ...head, does: "put-on", storeId, use, ratio, priority: step.priority ?? 2 };
}

/** Work on beds that belongs together, told or told anew; steps that are done stay done. @throws {Refusal} */
export const setJob = act(
  { name: "setJob", schema: SET_JOB, may: "grower" },
  async (db, request, ctx): Promise<{ jobId: number; rowId: number }> => {
    const farm = await findFarm(db);
    if (!farm) throw refuse("no-farm", {});
    const jobId = request.jobId ?? null;
    if (jobId !== null && !(await lockJob(db, jobId))) throw refuse("not-found", { thing: "job" }, "/jobId");
    const keys = request.steps.map(({ key }) => key);
    const twice = keys.findIndex((key, index) => keys.indexOf(key) !== index);
    if (twice >= 0) throw refuse("step-twice", {}, `/steps/${twice}/key`);
    const asked = await listShapes(
      db,
      false,
      request.steps.flatMap(({ plotIds }) => plotIds),
    );
    const kindOf = new Map(asked.map(({ id, kind }) => [id, kind]));
    const steps: JobStep[] = [];
    for (const [index, step] of request.steps.entries()) {
      const path = `/steps/${index}`;
      if (step.plotIds.some((id) => !kindOf.has(id))) throw refuse("not-found", { thing: "plot" }, `${path}/plotIds`);
      steps.push(
        await stepOf(
          db,
          farm,
          step,
          step.plotIds.map((id) => kindOf.get(id)!),
          path,
        ),
      );
    }
    const rowId = await insertJob(db, jobId, {
      name: request.name.trim(),
      forDay: request.forDay,
      steps,
      isPutAway: request.putAway ?? false,
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    return { jobId: jobId ?? rowId, rowId };
  },
);

/** The step of a job, and whether it is done. @throws {Refusal} `not-found` */
async function findStep(
  db: Queryable,
  jobId: number,
  stepKey: string,
): Promise<{ job: JobRow; step: JobStep; done: JobDone | null }> {
  if (!(await lockJob(db, jobId))) throw refuse("not-found", { thing: "job" }, "/jobId");
  const job = await findJob(db, jobId);
  const step = job?.steps.find(({ key }) => key === stepKey);
  if (!job || !step) throw refuse("not-found", { thing: "job" }, "/stepKey");
  const done = (await listJobsDone(db, [jobId])).find((one) => one.stepKey === stepKey) ?? null;
  return { job, step, done };
}

/** Writes down that an application was a step of a job. @throws {Refusal} for a step that there is not, or that is done */
export async function markStep(
  db: Queryable,
  ctx: Context,
  { jobId, stepKey }: { readonly jobId: number; readonly stepKey: string },
  applicationId: number,
  at: Date,
): Promise<void> {
  const { done } = await findStep(db, jobId, stepKey);
  if (done) throw refuse("step-done", { by: done.actorName }, "/jobStep");
  await insertJobDone(db, {
    jobId,
    stepKey,
    applicationId,
    note: "",
    takesBackId: null,
    at,
    actorId: ctx.actor.id,
    addedAt: ctx.now(),
  });
}

const DO_STEP = object(["requestKey", "jobId", "stepKey"], {
  requestKey: REQUEST_KEY,
  jobId: ROW_ID,
  stepKey: KEY,
  at: MOMENT,
  note: { type: "string", maxLength: 300 },
});

/** Something was laid on, or water poured: the plots keep it. What comes out of a store is put on in the field. @throws {Refusal} */
export const doJobStep = act(
  { name: "doJobStep", schema: DO_STEP, may: "helper" },
  async (db, request, ctx): Promise<{ doneId: number }> => {
    const { jobId, stepKey } = request;
    const { step, done } = await findStep(db, jobId, stepKey);
    if (done) throw refuse("step-done", { by: done.actorName }, "/stepKey");
    if (step.does === "put-on") throw refuse("step-is-put-on", {}, "/stepKey");
    const at = momentOf(ctx, request.at, new Date(0));
    const doneId = await insertJobDone(db, {
      jobId,
      stepKey,
      applicationId: null,
      note: request.note?.trim() ?? "",
      takesBackId: null,
      at,
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    const [beside, nowhere] = [treatableBeside(await listMarks(db)), treatableBeside([])];
    for (const { id, kind, ring } of await listShapes(db, false, step.plotIds))
      await insertLaid(db, doneId, id, {
        what: step.does === "water" ? "water" : step.what,
        // As the job counts it: without the strip that is kept from water.
        litres: (isElsewhere(kind) ? nowhere : beside)(ring).areaM2 * step.litresPerM2,
        depthCm: step.does === "lay" ? step.depthCm : null,
      });
    return { doneId };
  },
);

const TAKE_BACK_STEP = object(["requestKey", "jobId", "stepKey"], {
  requestKey: REQUEST_KEY,
  jobId: ROW_ID,
  stepKey: KEY,
});

/** A step that was a slip is open again; one that was an application is taken back where it was put on. @throws {Refusal} */
export const takeBackJobStep = act(
  { name: "takeBackJobStep", schema: TAKE_BACK_STEP, may: "helper" },
  async (db, request, ctx): Promise<{ jobId: number }> => {
    const { jobId, stepKey } = request;
    const { done } = await findStep(db, jobId, stepKey);
    if (!done) throw refuse("not-found", { thing: "job" }, "/stepKey");
    if (done.applicationId !== null) throw refuse("step-is-put-on", {}, "/stepKey");
    await insertJobDone(db, {
      jobId,
      stepKey,
      applicationId: null,
      note: "",
      takesBackId: done.id,
      at: ctx.now(),
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    return { jobId };
  },
);
