import type { IngredientId } from "../book/ingredients";

const PICKED: readonly IngredientId[] = ["plant", "greens", "legume-leaf", "repellent-plant", "seaweed-fresh"];

/** Whether an ingredient is plants by another name: which ones is asked wherever it comes in. */
export const isPickedPlant = (id: string): boolean => PICKED.some((one) => one === id);
