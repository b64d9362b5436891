import { findMethod, findRecipe } from "../book";
import type { Recipe } from "../book/recipe";
import { recipeFrom, type RecipeDocument } from "./document";

/** Names a recipe: a school of a method, or the farm's own version of it. */
export interface RecipeKey {
  readonly methodId: string;
  readonly schoolId: string;
  readonly versionNo: number | null;
}

export interface OwnVersion {
  readonly methodId: string;
  readonly schoolId: string;
  readonly versionNo: number;
  readonly document: RecipeDocument;
}

/** The recipe behind a choice: the farm's own version where there is one of that number, else the book's. */
export function recipeOfKey(key: RecipeKey, versions: readonly OwnVersion[]): Recipe {
  const own = versions.find(
    (version) =>
      version.methodId === key.methodId && version.schoolId === key.schoolId && version.versionNo === key.versionNo,
  );
  return own ? recipeFrom(own.document) : findRecipe(key.methodId, key.schoolId);
}

/** What the farm makes a method by: its own choice, else the cautious school. */
export const chosenKey = (methodId: string, choices: readonly RecipeKey[]): RecipeKey =>
  choices.find((choice) => choice.methodId === methodId) ?? {
    methodId,
    schoolId: findMethod(methodId).cautiousSchool,
    versionNo: null,
  };

/** The versions of a school worth offering: the newest, and the one that the farm goes by. */
export function versionsOffered<V extends OwnVersion>(
  { choices, versions }: { readonly choices: readonly RecipeKey[]; readonly versions: readonly V[] },
  methodId: string,
  schoolId: string,
): V[] {
  const own = versions.filter((version) => version.methodId === methodId && version.schoolId === schoolId);
  const chosen = chosenKey(methodId, choices);
  return own.filter(
    (version, index) =>
      index === own.length - 1 || (chosen.schoolId === schoolId && chosen.versionNo === version.versionNo),
  );
}

/** The recipe that a farm makes a method by. */
export const farmRecipe = (
  { choices, versions }: { readonly choices: readonly RecipeKey[]; readonly versions: readonly OwnVersion[] },
  methodId: string,
): Recipe => recipeOfKey(chosenKey(methodId, choices), versions);
