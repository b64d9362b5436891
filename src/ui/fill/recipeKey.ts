import { findRecipe, METHODS } from "@/core/book";
import { INGREDIENTS } from "@/core/book/ingredients";
import type { OwnVersion, RecipeKey } from "@/core/recipe/pick";
import type { Plan } from "@/services/types";

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

/** A size with all that was chosen for it, as a plan keeps it or as the scaling hands it on. */
export type FillStart = Pick<Plan, "basisAmount" | "choice">;

interface SizeQuery {
  /** Of what the recipe is counted against, in its stock unit. */
  readonly amount?: string;
  readonly include?: string;
  readonly stated?: string;
  readonly swaps?: string;
}

const isIngredient = (id: string | undefined): id is string => id !== undefined && Object.hasOwn(INGREDIENTS, id);
const listOf = (text: string | undefined) => (text ?? "").split(",").filter((part) => part !== "");

/** The size that an address names; null where it names none that can be made. What it does not know is left out. */
export function fillStartFrom({ amount, include, stated, swaps }: SizeQuery): FillStart | null {
  const basisAmount = Number(amount);
  if (!amount || !(basisAmount > 0) || !Number.isFinite(basisAmount)) return null;
  return {
    basisAmount,
    choice: {
      include: listOf(include).filter(isIngredient),
      stated: listOf(stated).flatMap((part) => {
        const [ingredient, kept] = part.split(":");
        return isIngredient(ingredient) && Number(kept) > 0 ? [{ ingredient, amount: Number(kept) }] : [];
      }),
      substitutes: listOf(swaps).flatMap((part) => {
        const [instead, use] = part.split(":");
        return isIngredient(instead) && isIngredient(use) ? [{ instead, use }] : [];
      }),
    },
  };
}

/** The address of a size. */
export const sizeQuery = ({ basisAmount, choice: { include, stated, substitutes } }: FillStart): string =>
  new URLSearchParams({
    amount: String(Number(basisAmount.toPrecision(8))),
    ...(include.length > 0 ? { include: include.join(",") } : {}),
    ...(stated.length > 0
      ? { stated: stated.map(({ ingredient, amount }) => `${ingredient}:${amount}`).join(",") }
      : {}),
    ...(substitutes.length > 0 ? { swaps: substitutes.map(({ instead, use }) => `${instead}:${use}`).join(",") } : {}),
  }).toString();
