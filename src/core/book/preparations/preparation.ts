import { from } from "../amounts";
import type { FreshReadiness, Method, Process } from "../types";

type Common = Pick<
  Method,
  | "family"
  | "goals"
  | "aerated"
  | "vesselUse"
  | "stages"
  | "tending"
  | "comfortC"
  | "risk"
  | "drawsOut"
  | "cautiousSchool"
> &
  Pick<Process, "headspaceFor" | "fillShare">;

/** What all ingredients made in the kitchen or the shed have in common; each says otherwise where it is otherwise. */
export const preparation = (why: string): Common => ({
  family: "preparation",
  goals: [{ goal: "ingredient", weight: 3, why }],
  aerated: false,
  vesselUse: "food-safe",
  stages: [],
  tending: [],
  fillShare: from(0.6, 0.8, 0.9),
  headspaceFor: "stirring",
  cautiousSchool: "standard",
  comfortC: { low: 5, high: 30 },
  risk: { level: "low", why: "Seen and smelled at once." },
  drawsOut: { minerals: from(1, 1, 1), sugarLeft: from(1, 1, 1) },
});

/** Nothing ripens: it is done when its steps are. */
export const doneAfter = (readyH: number, freshH: number): FreshReadiness => ({
  type: "fresh",
  readyH,
  freshH,
});
