import { findPlant } from "../book/plants";
import { plantsIn } from "../book/plantNames";
import type { Recipe } from "../book/recipe";
import type { LogItem } from "./log";

/** Plants that smell of sulphur by nature: that smell says nothing of a brew of them. */
const SULPHUROUS = "cabbage";

const isSulphurous = (species: readonly string[]): boolean =>
  species.flatMap(plantsIn).some((name) => findPlant(name)?.family === SULPHUROUS);

/**
 * A batch as it is judged, by what went in: of cabbage and its kin sulphur is no sign.
 */
export function judgedByPlant(
  recipe: Recipe,
  log: readonly LogItem[],
  species: readonly string[],
): { readonly recipe: Recipe; readonly log: readonly LogItem[] } {
  const sulphur = isSulphurous(species);
  return {
    recipe: sulphur
      ? { ...recipe, cues: recipe.cues.filter(({ kind, word }) => !(kind === "smell" && word === "sulphur")) }
      : recipe,
    log: sulphur ? log.filter((item) => !(item.kind === "smell" && item.word === "sulphur")) : log,
  };
}
