import type { Method, Process, School } from "./types";

/**
 * One school's input as it is made: the method's way with all that the school does differently, in one flat thing.
 * The rest of the core works on recipes; methods and schools are how the book arranges them.
 */
export interface Recipe
  extends
    Process,
    Omit<Method, keyof Process | "schools" | "cautiousSchool">,
    Pick<School, "ingredients" | "readiness" | "uses"> {
  readonly school: { readonly id: string; readonly name: string; readonly stance: string };
}

/**
 * The recipe of a school: what it does its own way goes before the method's, and the method's steps put in only what the school
 * has in its list.
 */
export function recipeOf(method: Method, school: School): Recipe {
  const { schools, cautiousSchool, ...common } = method;
  const { id, name, stance, ...own } = school;
  const has = new Set(school.ingredients.map(({ ingredient }) => ingredient));
  const steps = (own.steps ?? common.steps).map((step) => ({
    ...step,
    adds: step.adds.filter((ingredient) => has.has(ingredient)),
  }));
  return { ...common, ...own, steps, school: { id, name, stance } };
}

/** The pH that a recipe waits for; null where pH does not decide. */
export const phTarget = ({ readiness }: Recipe): number | null =>
  readiness.type === "ripens" && readiness.model.cls === "acid" ? readiness.model.targetPh : null;

/** Youngest age at which a recipe is called ready, d. */
export const minimumAgeD = ({ readiness }: Recipe): number =>
  readiness.type === "ripens" ? (readiness.minimumAgeD ?? 0) : 0;
