import { findIngredient } from "../book/ingredients";
import type { IngredientAmount, MethodIngredient } from "../book/types";
import { recipeFrom, type RecipeDocument } from "./document";

/** One thing that differs between two versions; `null` for what is not there. */
export interface RecipeChange {
  readonly where: "amount" | "step" | "sign" | "tending" | "use" | "other";
  readonly what: string;
  readonly before: string | null;
  readonly after: string | null;
}

const figure = (value: number) => String(Number(value.toPrecision(4)));

function sayAmount(amount: IngredientAmount, basisUnit: "kg" | "L"): string {
  switch (amount.type) {
    case "per-basis":
      return `${figure(amount.perBasis.default * 1000)} ${amount.unit === "L" ? "mL" : "g"}/${basisUnit} (${figure(amount.perBasis.low * 1000)} to ${figure(amount.perBasis.high * 1000)})`;
    case "fixed":
      return `${figure(amount.amount.default)} ${amount.unit} whatever the size`;
    case "per-surface":
      return `${figure(amount.thicknessM.default * 1000)} mm over the top`;
    case "unknown":
      return "unknown, asked for";
  }
}

const sayIngredient =
  (basisUnit: "kg" | "L") =>
  (line: MethodIngredient): string =>
    [sayAmount(line.amount, basisUnit), line.optional ? "may go in" : "", line.onDay ? `on day ${line.onDay}` : ""]
      .filter((part) => part !== "")
      .join(", ");

/** Pairs two lists by key and tells what came, went or changed. */
function changes<T>(
  where: RecipeChange["where"],
  before: readonly T[],
  after: readonly T[],
  keyOf: (item: T) => string,
  say: (item: T) => string,
): RecipeChange[] {
  const keys = [...new Set([...before, ...after].map(keyOf))];
  return keys.flatMap((what): RecipeChange[] => {
    const [one, other] = [before, after].map((list) => {
      const found = list.filter((item) => keyOf(item) === what);
      return found.length === 0 ? null : found.map(say).join("; ");
    });
    return one === other ? [] : [{ where, what, before: one ?? null, after: other ?? null }];
  });
}

const scalar = (what: string, before: string, after: string): RecipeChange[] =>
  before === after ? [] : [{ where: "other", what, before, after }];

const percent = (share: number) => `${figure(share * 100)} %`;

/** What the second version does otherwise than the first; empty for the same recipe. */
export const diffRecipes = (before: RecipeDocument, after: RecipeDocument): RecipeChange[] => [
  ...changes(
    "amount",
    before.ingredients,
    after.ingredients,
    ({ ingredient }) => findIngredient(ingredient).name,
    sayIngredient(findIngredient(recipeFrom(before).basis).stockUnit),
  ),
  ...changes(
    "step",
    before.steps,
    after.steps,
    ({ id }) => id,
    ({ text, waitMin }) => (waitMin ? `${text} (wait ${waitMin} min)` : text),
  ),
  ...changes(
    "sign",
    before.cues,
    after.cues,
    ({ kind, word }) => `${kind}: ${word}`,
    ({ says }) => says,
  ),
  ...changes(
    "tending",
    before.tending,
    after.tending,
    ({ act, fromH }) => `${act} from hour ${fromH}`,
    ({ text, everyH, once }) => `${text}, ${once ? "once" : `every ${everyH} h`}`,
  ),
  ...changes(
    "use",
    before.uses,
    after.uses,
    ({ use }) => use,
    ({ partsWater, everyD }) => `1:${figure(partsWater.default)}${everyD === null ? "" : `, every ${everyD} d`}`,
  ),
  ...scalar("Filled to", percent(before.fillShare.default), percent(after.fillShare.default)),
  ...scalar("Lid", before.lid, after.lid),
  ...scalar("Keeps", `${figure(before.shelfH / 24)} d`, `${figure(after.shelfH / 24)} d`),
  ...scalar("Name", before.name, after.name),
  ...scalar("Source", before.source, after.source),
  ...scalar("Note", before.note, after.note),
];
