import { inLayers, type JobStep, type Laid } from "@/core/apply/job";
import type { Priority } from "@/core/apply/allocate";
import { rateFor, usesOn } from "@/core/apply/elsewhere";
import { findUse, type UseId } from "@/core/book/uses";
import { recipeFrom } from "@/core/recipe/document";
import { sayDilution } from "@/formats/amounts";
import { inMixUnit, litresOfMix, typedInField, type MixPer } from "@/formats/fieldUnits";
import { parseNumber } from "@/formats/numbers";
import { centimetresOf } from "../useChoice";
import type { FieldView } from "@/services/field";

/** A step of a job as it is typed. */
export interface JobStepDraft {
  readonly key: string;
  readonly does: JobStep["does"];
  readonly storeId: number | null;
  readonly use: UseId;
  readonly ratio: string;
  readonly priority: Priority;
  readonly what: Laid;
  /** Down to where it is worked in, cm; empty where it stays on top. */
  readonly depth: string;
  /** In the farm's own unit. */
  readonly rate: string;
  readonly plotIds: readonly number[];
}
export interface JobDraft {
  readonly jobId: number | null;
  readonly name: string;
  readonly forDay: string;
  readonly steps: readonly JobStepDraft[];
}

const WATER_L = 5;
const LAID_L = 4;
const PLAIN_L = 2;
/** Where it is not on the plan: a can, until somebody says otherwise. */
const WHOLE_L = 10;

/** What a step's rate is counted to: by area on beds, all of it where it is not on the plan. */
export const perOf = (view: FieldView, plotIds: readonly number[]): MixPer =>
  plotIds.some((id) => view.elsewhere.some((one) => one.id === id)) ? "whole" : "m2";

const rateText = (litres: number, view: FieldView, plotIds: readonly number[]) =>
  String(inMixUnit(litres, perOf(view, plotIds), view.farm.units));

/** The use and strength that a store is usually put on at there. */
export function usualOf(view: FieldView, storeId: number, plotIds: readonly number[], wanted?: UseId) {
  const store = view.stores.find(({ id }) => id === storeId);
  if (!store) return {};
  const recipe = recipeFrom(store.recipe);
  const kinds = [...view.plots, ...view.elsewhere].filter(({ id }) => plotIds.includes(id)).map(({ kind }) => kind);
  const uses = usesOn(recipe, kinds);
  const use = wanted && uses.includes(wanted) ? wanted : (uses[0] ?? recipe.uses[0]!.use);
  const rate = rateFor(recipe, use);
  return {
    storeId,
    use,
    ratio: rate ? sayDilution(rate.partsWater.default).replace("\u202f", "") : "1:20",
    rate: rateText(
      perOf(view, plotIds) === "whole" ? WHOLE_L : (findUse(use).mixLPerM2?.default ?? PLAIN_L),
      view,
      plotIds,
    ),
  };
}

/** A key that no step of the job has. */
const freeKey = (steps: readonly { readonly key: string }[]): string => {
  let nth = steps.length + 1;
  while (steps.some(({ key }) => key === `s${nth}`)) nth += 1;
  return `s${nth}`;
};

/** One more step, on the plots of the one before. */
export function nextStep(view: FieldView, steps: readonly JobStepDraft[], does: JobStep["does"]): JobStepDraft {
  const plotIds = steps.at(-1)?.plotIds ?? [];
  const first = view.stores.find(({ expiresMs }) => expiresMs > view.nowMs) ?? view.stores[0];
  const head = {
    key: freeKey(steps),
    does,
    storeId: first?.id ?? null,
    use: "drench-growing" as UseId,
    ratio: "1:20",
    priority: 2 as const,
    what: "castings" as const,
    depth: "",
    rate: rateText(does === "water" ? WATER_L : does === "lay" ? LAID_L : PLAIN_L, view, plotIds),
    plotIds,
  };
  return does === "put-on" && first ? { ...head, ...usualOf(view, first.id, plotIds) } : head;
}

/** An empty job for today: castings, a brew, water, mulch are a start that most want to see. */
export const newJob = (view: FieldView, today: string): JobDraft => ({
  jobId: null,
  name: "",
  forDay: today,
  steps: [nextStep(view, [], view.stores.length > 0 ? "put-on" : "lay")],
});

/** A job as it is typed anew. */
export const draftOfJob = (
  job: { readonly id: number; readonly name: string; readonly forDay: string; readonly steps: readonly JobStep[] },
  view: FieldView,
): JobDraft => ({
  jobId: job.id,
  name: job.name,
  forDay: job.forDay,
  steps: job.steps.map((step) => ({
    key: step.key,
    does: step.does,
    storeId: step.does === "put-on" ? step.storeId : null,
    use: step.does === "put-on" ? step.use : "drench-growing",
    ratio: step.does === "put-on" ? step.ratio : "1:20",
    priority: step.does === "put-on" ? step.priority : 2,
    what: step.does === "lay" ? step.what : "castings",
    depth: step.does === "lay" && step.depthCm !== null ? typedInField(step.depthCm / 100, "cm", view.farm.units) : "",
    rate: rateText(step.litresPerM2, view, step.plotIds),
    plotIds: step.plotIds,
  })),
});

/** A step as it is sent; a figure that can't be read is NaN, and is refused at its field. */
const sentStep = (step: JobStepDraft, view: FieldView) => {
  const typed = parseNumber(step.rate);
  const head = {
    key: step.key,
    does: step.does,
    plotIds: [...step.plotIds],
    litresPerM2: typed === null ? NaN : litresOfMix(typed, perOf(view, step.plotIds), view.farm.units),
  };
  if (step.does === "water") return head;
  if (step.does === "lay")
    return {
      ...head,
      what: step.what,
      depthCm: step.depth.trim() === "" ? null : (centimetresOf(step.depth, view.farm.units) ?? NaN),
    };
  return {
    ...head,
    ...(step.storeId === null ? {} : { storeId: step.storeId }),
    use: step.use,
    ratio: step.ratio,
    priority: step.priority,
  };
};

/** As it is sent. */
export const requestOfJob = ({ jobId, name, forDay, steps }: JobDraft, view: FieldView) => ({
  jobId,
  name,
  forDay,
  steps: steps.map((step) => sentStep(step, view)),
});

/** The steps in the order in which layers go onto a bed. */
export const ordered = (steps: readonly JobStepDraft[], view: FieldView): JobStepDraft[] => {
  const sent = steps.map((draft) => ({ draft, ...(sentStep(draft, view) as unknown as JobStep) }));
  return inLayers(sent).map(({ draft }) => draft);
};
