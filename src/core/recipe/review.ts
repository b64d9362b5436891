import { findRecipe } from "../book";
import { findIngredient } from "../book/ingredients";
import { findUse } from "../book/uses";
import type { MethodIngredient } from "../book/types";
import type { RecipeDocument } from "./document";
import type { RecipeFlag } from "./recipeFlag";
import { wordSlips } from "./wordSlips";

/** So many times off the book's own span before a figure is held. */
const FAR_OFF = 2;
/** Gas makers behind a tight lid burst. */
const FULL_SHARE = 0.92;
/** Less in a vessel than this is more likely a slip. */
const HARDLY_FILLED = 0.15;

const figure = (value: number) => String(Number(value.toPrecision(3)));

function amountFlags(document: RecipeDocument): RecipeFlag[] {
  const book = findRecipe(document.method, document.school);
  const inBook = (line: MethodIngredient) =>
    book.ingredients.find(
      ({ ingredient, amount }) => ingredient === line.ingredient && amount.type === line.amount.type,
    );
  return document.ingredients.flatMap((line, index): RecipeFlag[] => {
    const { name } = findIngredient(line.ingredient);
    const path = `/ingredients/${index}/amount`;
    const { amount } = line;
    const flags: RecipeFlag[] = [];
    if (amount.type === "per-basis") {
      const { low, default: usual, high } = amount.perBasis;
      if (low > usual || usual > high)
        flags.push({
          weight: "refused",
          path: `${path}/perBasis`,
          text: `${name}: the usual amount lies outside its own span.`,
        });
      const known = inBook(line);
      if (known?.amount.type === "per-basis") {
        const { low: least, high: most } = known.amount.perBasis;
        if (usual > most * FAR_OFF || usual < least / FAR_OFF)
          flags.push({
            weight: "unconfirmed",
            path: `${path}/perBasis/default`,
            text: `${name}: ${figure(usual)} ${amount.unit} to one is far from what growers use (${figure(least)} to ${figure(most)}). A slip, or meant?`,
          });
      }
      if (line.leastShare !== undefined && usual < line.leastShare)
        flags.push({
          weight: "unconfirmed",
          path: `${path}/perBasis/default`,
          text: `${name}: under ${figure(line.leastShare * 100)} % it may not start in useful time.`,
        });
    }
    if (line.ingredient === "sea-salt" && amount.type === "per-basis" && amount.perBasis.default > 0.02)
      flags.push({
        weight: "unconfirmed",
        path: `${path}/perBasis/default`,
        text: `Salt: ${figure(amount.perBasis.default * 1000)} g/L stays in the soil. A handful is no measure for it: weigh it.`,
      });
    return flags;
  });
}

/** How strong it goes on: beyond what the book has for that use it may burn, or do nothing. */
function strengthFlags(document: RecipeDocument): RecipeFlag[] {
  const book = findRecipe(document.method, document.school);
  return document.uses.flatMap(({ use, partsWater }, index): RecipeFlag[] => {
    const path = `/uses/${index}/partsWater/default`;
    const { strongest, default: usual, weakest } = partsWater;
    if (usual < strongest || usual > weakest)
      return [{ weight: "refused", path, text: `${findUse(use).name}: the usual strength lies outside its own span.` }];
    const known = book.uses.find((one) => one.use === use)?.partsWater;
    if (!known) return [];
    const said = `${findUse(use).name}: 1:${figure(usual)}`;
    if (usual < known.strongest)
      return [
        {
          weight: "unconfirmed",
          path,
          text: `${said} is stronger than growers go (1:${figure(known.strongest)}); it may burn. A slip, or meant?`,
        },
      ];
    return usual > Math.max(1, known.weakest) * FAR_OFF
      ? [{ weight: "unconfirmed", path, text: `${said} is far weaker than growers go (1:${figure(known.weakest)}).` }]
      : [];
  });
}

function lidFlags(document: RecipeDocument): RecipeFlag[] {
  const book = findRecipe(document.method, document.school);
  const gas = book.cautions.some(
    (id) => id === "gas-pressure" || id === "breathable-lid" || id === "acid-gas" || id === "tank-gas",
  );
  return document.lid === "sealed" && gas
    ? [{ weight: "refused", path: "/lid", text: "It makes gas: behind a tight lid it bursts. A cloth, or a lock." }]
    : [];
}

/** The recipe's own ingredients must be put in at its steps, and its basis must be among them. */
function shapeFlags(document: RecipeDocument): RecipeFlag[] {
  const { basis } = findRecipe(document.method, document.school);
  const added = document.steps.flatMap(({ adds }) => adds);
  const missing = document.ingredients.findIndex(({ ingredient }) => !added.includes(ingredient));
  const stray = document.steps.findIndex(({ adds }) =>
    adds.some((id) => !document.ingredients.some(({ ingredient }) => ingredient === id)),
  );
  const flags: RecipeFlag[] = [];
  const counted = document.ingredients.find(
    ({ ingredient, amount }) => ingredient === basis && amount.type === "per-basis",
  );
  if (!counted)
    flags.push({
      weight: "refused",
      path: "/ingredients",
      text: `The amounts are counted against ${findIngredient(basis).name.toLowerCase()}: it must be in the list.`,
    });
  else if (counted.amount.type === "per-basis" && counted.amount.perBasis.default !== 1)
    flags.push({
      weight: "refused",
      path: "/ingredients",
      text: `${findIngredient(basis).name} is what the rest is counted against: its own amount is 1.`,
    });
  if (missing >= 0)
    flags.push({
      weight: "refused",
      path: `/ingredients/${missing}/ingredient`,
      text: `${findIngredient(document.ingredients[missing]!.ingredient).name} goes in at no step.`,
    });
  if (stray >= 0)
    flags.push({
      weight: "refused",
      path: `/steps/${stray}/adds`,
      text: "This step puts in what is not in the list of ingredients.",
    });
  if (!document.cues.some(({ says }) => says === "ready"))
    flags.push({ weight: "refused", path: "/cues", text: "No sign says that it is ready." });
  if (document.fillShare.default > FULL_SHARE)
    flags.push({
      weight: "unconfirmed",
      path: "/fillShare/default",
      text: "Hardly any headspace: foam and gas climb.",
    });
  if (document.fillShare.default < HARDLY_FILLED)
    flags.push({
      weight: "unconfirmed",
      path: "/fillShare/default",
      text: "That leaves the vessel almost empty. A slip, or meant?",
    });
  const { low, default: usual, high } = document.fillShare;
  if (low > usual || usual > high)
    flags.push({ weight: "refused", path: "/fillShare", text: "The usual fill lies outside its own span." });
  return flags;
}

/** The failure signs of the book: a farm's own version may add signs, not drop these. */
function failureFlags(document: RecipeDocument): RecipeFlag[] {
  const book = findRecipe(document.method, document.school);
  const lost = book.cues.find(
    (cue) =>
      cue.says === "failed" &&
      !document.cues.some(({ kind, word, says }) => kind === cue.kind && word === cue.word && says === "failed"),
  );
  return lost
    ? [{ weight: "refused", path: "/cues", text: `“${lost.word}” must stay a sign of failure: ${lost.because}.` }]
    : [];
}

/**
 * What a grower's own recipe must be asked about, the refusals first.
 * @throws {DomainError} `unknown-method`, `unknown-school`
 */
export const reviewRecipe = (document: RecipeDocument): RecipeFlag[] =>
  [
    ...shapeFlags(document),
    ...lidFlags(document),
    ...failureFlags(document),
    ...amountFlags(document),
    ...strengthFlags(document),
    ...wordSlips(document),
  ].toSorted((a, b) => Number(b.weight === "refused") - Number(a.weight === "refused"));
