import { findRecipe } from "../book";
import type { Recipe } from "../book/recipe";
import type { Process, School } from "../book/types";

/**
 * A recipe as a grower writes it down, passes it on and changes it: amounts, steps, signs, tending, uses.
 * How it ripens and what it may hurt always come from the book's method, so a copied recipe can't drop a caution.
 */
export interface RecipeDocument
  extends Pick<School, "ingredients" | "uses">, Pick<Process, "fillShare" | "lid" | "steps" | "cues" | "tending"> {
  readonly format: "ruchka-recipe";
  readonly formatVersion: 1;
  readonly method: string;
  readonly school: string;
  readonly name: string;
  /** Where it comes from, in the grower's words. */
  readonly source: string;
  readonly note: string;
  /** How long it keeps from its keeping event, h. */
  readonly shelfH: number;
}

/** The recipe written down. */
export const documentOf = (recipe: Recipe, about: { name: string; source: string; note: string }): RecipeDocument => ({
  format: "ruchka-recipe",
  formatVersion: 1,
  method: recipe.id,
  school: recipe.school.id,
  ...about,
  ingredients: recipe.ingredients,
  fillShare: recipe.fillShare,
  lid: recipe.lid,
  steps: recipe.steps,
  cues: recipe.cues,
  tending: recipe.tending,
  uses: recipe.uses,
  shelfH: recipe.keeping.shelfH,
});

/** The book's own recipe of a school, written down. @throws {DomainError} `unknown-method`, `unknown-school` */
export function bookDocument(methodId: string, schoolId?: string): RecipeDocument {
  const recipe = findRecipe(methodId, schoolId);
  return documentOf(recipe, { name: recipe.school.name, source: "the standard recipe", note: recipe.school.stance });
}

/**
 * The recipe that a document stands for: its own figures on the book's method.
 * @throws {DomainError} `unknown-method`, `unknown-school`
 */
export function recipeFrom(document: RecipeDocument): Recipe {
  const book = findRecipe(document.method, document.school);
  return {
    ...book,
    school: { id: document.school, name: document.name, stance: document.note },
    ingredients: document.ingredients,
    fillShare: document.fillShare,
    lid: document.lid,
    steps: document.steps,
    cues: document.cues,
    tending: document.tending,
    uses: document.uses,
    keeping: { ...book.keeping, shelfH: document.shelfH },
  };
}
