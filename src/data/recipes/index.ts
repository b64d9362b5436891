import "server-only";
/** Rows of the farm's own recipes. */
export {
  findRecipeVersion,
  insertRecipeChoice,
  insertRecipeVersion,
  listRecipeChoices,
  listRecipeVersions,
  lockVersionNos,
  type RecipeChoice,
} from "./recipes";
