import "server-only";
import { ID, REQUEST_KEY, VERSION_NO, object } from "@/contracts/parts";
import { RECIPE_DOCUMENT } from "@/contracts/recipe/schema";
import { act } from "../act";
import { findMethod, findSchool } from "@/core/book";
import { recipeOf, type Recipe } from "@/core/book/recipe";
import { documentOf, recipeFrom, type RecipeDocument } from "@/core/recipe/document";
import { reviewRecipe } from "@/core/recipe/review";
import type { Queryable } from "@/data/db";
import { findRecipeVersion, insertRecipeChoice, insertRecipeVersion, lockVersionNos } from "@/data/recipes";
import { atField, refuse } from "../refusal";

export interface PickedRecipe {
  readonly recipe: Recipe;
  readonly document: RecipeDocument;
  readonly versionNo: number | null;
}

/** The recipe that a request names: the book's, or the farm's own version of it. @throws {Refusal} */
export async function pickRecipe(
  db: Queryable,
  picked: { readonly methodId: string; readonly schoolId: string; readonly versionNo?: number | null },
): Promise<PickedRecipe> {
  const method = atField("/methodId", () => findMethod(picked.methodId));
  const school = atField("/schoolId", () => findSchool(method, picked.schoolId));
  if (picked.versionNo === undefined || picked.versionNo === null) {
    const recipe = recipeOf(method, school);
    const about = { name: school.name, source: "the standard recipe", note: school.stance };
    return { recipe, document: documentOf(recipe, about), versionNo: null };
  }
  const version = await findRecipeVersion(db, method.id, school.id, picked.versionNo);
  if (!version) throw refuse("not-found", { thing: "recipe-version" }, "/versionNo");
  if (version.unconfirmed.length > 0)
    throw refuse("version-unconfirmed", { what: version.unconfirmed[0]!.text }, "/versionNo");
  return { recipe: recipeFrom(version.document), document: version.document, versionNo: version.versionNo };
}

const SAVE_RECIPE = object(["requestKey", "document", "basedOn"], {
  requestKey: REQUEST_KEY,
  document: RECIPE_DOCUMENT,
  /** The newest version that was known when typing began; 0 for none. */
  basedOn: { type: "integer", minimum: 0 },
  /** Figures far from what growers use are meant. */
  confirmed: { type: "boolean" },
});

/**
 * Keeps a new version of the farm's own recipe. Figures far from what growers use are held as unconfirmed until someone says
 * that they are meant; what can't stand is refused.
 * @throws {Refusal} at the fields of the document; `version-moved` where someone else has kept one meanwhile
 */
export const saveRecipe = act(
  { name: "saveRecipe", schema: SAVE_RECIPE, may: "grower" },
  async (db, request, ctx): Promise<{ versionNo: number; versionId: number; unconfirmed: number }> => {
    const document = request.document as RecipeDocument;
    const flags = atField("/document/school", () => reviewRecipe(document));
    const refused = flags.filter(({ weight }) => weight === "refused");
    if (refused.length > 0)
      throw refuse(
        "recipe-refused",
        { texts: refused.map(({ text }) => text) },
        ...refused.map(({ path }) => `/document${path}`),
      );
    const { lastNo, nextNo } = await lockVersionNos(db, document.method, document.school);
    if (lastNo !== request.basedOn) throw refuse("version-moved", { last: lastNo }, "/basedOn");
    const held = request.confirmed === true ? [] : flags;
    const versionId = await insertRecipeVersion(db, {
      methodId: document.method,
      schoolId: document.school,
      versionNo: nextNo,
      document,
      unconfirmed: held,
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    return { versionNo: nextNo, versionId, unconfirmed: held.length };
  },
);

const CHOOSE_RECIPE = object(["requestKey", "methodId", "schoolId"], {
  requestKey: REQUEST_KEY,
  methodId: ID,
  schoolId: ID,
  versionNo: VERSION_NO,
});

/** Says which school, or own version, the farm makes a method by. @throws {Refusal} */
export const chooseRecipe = act(
  { name: "chooseRecipe", schema: CHOOSE_RECIPE, may: "grower" },
  async (db, request, ctx): Promise<{ methodId: string }> => {
    const { recipe, versionNo } = await pickRecipe(db, request);
    await insertRecipeChoice(db, {
      methodId: recipe.id,
      schoolId: recipe.school.id,
      versionNo,
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    return { methodId: recipe.id };
  },
);
