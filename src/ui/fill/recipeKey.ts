import { findMethod, findRecipe, METHODS } from "@/core/book";
import type { Recipe } from "@/core/book/recipe";
import { recipeFrom } from "@/core/recipe/document";
import type { MakingView } from "@/services/readMaking";

/** Names a recipe: a school of a method, or the farm's own version of it. */
export interface RecipeKey {
  readonly methodId: string;
  readonly schoolId: string;
  readonly versionNo: number | null;
}

/** The recipe behind a choice: the book's, or the farm's own version. */
export function recipeOfKey(key: RecipeKey, versions: MakingView["versions"]): Recipe {
  const own = versions.find(
    (version) =>
      version.methodId === key.methodId && version.schoolId === key.schoolId && version.versionNo === key.versionNo,
  );
  return own ? recipeFrom(own.document) : findRecipe(key.methodId, key.schoolId);
}

/** What the farm makes a method by: its own choice, else the cautious school. */
export const chosenKey = (methodId: string, choices: MakingView["choices"]): RecipeKey =>
  choices.find((choice) => choice.methodId === methodId) ?? {
    methodId,
    schoolId: findMethod(methodId).cautiousSchool,
    versionNo: null,
  };

interface RecipeQuery {
  readonly method?: string;
  readonly school?: string;
  readonly version?: string;
}

/** A recipe as an address names it; null where it names none, or none that is there. */
export function recipeKeyFrom(query: RecipeQuery, versions: MakingView["versions"]): RecipeKey | null {
  const method = METHODS.find(({ id }) => id === query.method);
  if (!method) return null;
  const school = method.schools.find(({ id }) => id === query.school) ?? findRecipe(method.id).school;
  const version = versions.find(
    ({ methodId, schoolId, versionNo }) =>
      methodId === method.id && schoolId === school.id && String(versionNo) === query.version,
  );
  return { methodId: method.id, schoolId: school.id, versionNo: version?.versionNo ?? null };
}

/** The address of a recipe in a query. */
export const queryOf = ({ methodId, schoolId, versionNo }: RecipeKey): string =>
  new URLSearchParams({
    method: methodId,
    school: schoolId,
    ...(versionNo === null ? {} : { version: String(versionNo) }),
  }).toString();
