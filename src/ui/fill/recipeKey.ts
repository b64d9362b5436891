import { findRecipe, METHODS } from "@/core/book";
import type { OwnVersion, RecipeKey } from "@/core/recipe/pick";

interface RecipeQuery {
  readonly method?: string;
  readonly school?: string;
  readonly version?: string;
}

/** A recipe as an address names it; null where it names none, or none that is there. */
export function recipeKeyFrom(query: RecipeQuery, versions: readonly OwnVersion[]): RecipeKey | null {
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
