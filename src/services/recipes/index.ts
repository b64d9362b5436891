import "server-only";
/** The farm's own recipes beside the book's. What other places, pages and screens may use of it. */
export { chooseRecipe, pickRecipe, saveRecipe } from "./recipes";
