import "server-only";
import { saveRecipe, chooseRecipe } from "../book/recipes";
import { resetLearning } from "../ferment/changes";

export const BOOK_ACTS = { saveRecipe, chooseRecipe, resetLearning } as const;
