import type { IngredientId } from "../book/ingredients";

/** Two that never share a vessel, the first of which is left out, and why. */
export interface Conflict {
  readonly leaveOut: IngredientId;
  readonly because: IngredientId;
  readonly why: string;
}

const CONFLICTS: readonly Conflict[] = [
  {
    leaveOut: "ash",
    because: "urine",
    why: "Ash drives the ammonia out of urine as a choking gas, and the nitrogen is lost: ash never goes into a drum with urine.",
  },
];

/** What must be left out of such a mixture; null where all may share a vessel. */
export const conflictIn = (ingredients: readonly string[]): Conflict | null =>
  CONFLICTS.find(({ leaveOut, because }) => ingredients.includes(leaveOut) && ingredients.includes(because)) ?? null;
