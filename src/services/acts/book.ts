import "server-only";
import { saveRecipe, chooseRecipe } from "../recipes";
import { resetLearning } from "../ferment";

export const BOOK_ACTS = { saveRecipe, chooseRecipe, resetLearning } as const;
