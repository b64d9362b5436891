import { METHODS } from "../book";
import { findIngredient, isPickedFresh, type IngredientId, isWater } from "../book/ingredients";
import { PLANT_SLOTS, type Plant } from "../book/plants";
import type { StockUnit } from "../book/range";
import { recipeOf, type Recipe } from "../book/recipe";
import { substitutesFor } from "../book/substitutes";
import { roomLPerUnit } from "../recipe/room";

/** Something that is there and wants using: a plant by name, or an ingredient of the shed. */
export interface HandItem {
  readonly text: string;
  readonly plant: Plant | null;
  readonly ingredient: IngredientId | null;
  /** kg, or L for a liquid; null where nobody knows yet. */
  readonly amount: number | null;
  /** Bruised, overripe, gone soft: fine for some inputs, not for all. */
  readonly spoiled: boolean;
}

export interface Need {
  readonly ingredient: IngredientId;
  readonly unit: StockUnit;
  /** For all of what is at hand; null while its amount is not known. */
  readonly amount: number | null;
  readonly held: number;
  readonly enough: boolean;
  /** In the shed, and may stand in. */
  readonly standIn: IngredientId | null;
}

export interface Possibility {
  readonly recipe: Recipe;
  /** The ingredient it goes in as. */
  readonly slot: IngredientId;
  readonly why: string;
  /** Of what is at hand, as much as the farm's largest vessel takes; null while its amount is not known. */
  readonly usedAmount: number | null;
  /** Vessel that takes so much, filled as usual, L. */
  readonly vesselL: number | null;
  readonly yieldAmount: number | null;
  readonly needs: readonly Need[];
  readonly lacking: number;
}

export interface Excluded {
  readonly methodName: string;
  readonly because: string;
}

export interface HandAnswer {
  readonly item: HandItem;
  readonly refused: string | null;
  readonly cautions: readonly string[];
  readonly possibilities: readonly Possibility[];
  readonly excluded: readonly Excluded[];
}

/** Only fast-growing, healthy tips give juice; bruised fruit is for extracts and soaks. */
const WANTS_FRESH: readonly string[] = ["plant-juice"];

const perBasisOf = (recipe: Recipe, slot: IngredientId): number =>
  recipe.ingredients
    .filter(({ ingredient }) => ingredient === slot)
    .reduce((sum, { amount }) => sum + (amount.type === "per-basis" ? amount.perBasis.default : 0), 0);

function needsOf(
  recipe: Recipe,
  slot: IngredientId,
  basisAmount: number | null,
  shed: ReadonlyMap<string, number>,
): Need[] {
  const wanted = [
    ...new Set(recipe.ingredients.filter(({ optional }) => !optional).map(({ ingredient }) => ingredient)),
  ];
  return wanted
    .filter((ingredient) => ingredient !== slot && !isWater(ingredient))
    .map((ingredient) => {
      const perBasis = perBasisOf(recipe, ingredient);
      const held = shed.get(ingredient) ?? 0;
      const amount = basisAmount === null || perBasis === 0 ? null : perBasis * basisAmount;
      const enough = amount === null ? held > 0 : held >= amount * 0.999;
      const standIn = enough
        ? null
        : (substitutesFor(ingredient).find(
            ({ use, factor }) => (shed.get(use) ?? 0) >= (amount ?? 0) * factor && shed.has(use),
          )?.use ?? null);
      return { ingredient, unit: findIngredient(ingredient).stockUnit, amount, held, enough, standIn };
    });
}

/** What a recipe makes of it: of all of it, or of as much as the largest vessel takes. */
function possibility(
  recipe: Recipe,
  slot: IngredientId,
  item: HandItem,
  shed: ReadonlyMap<string, number>,
  largestL: number,
): Possibility {
  const perBasis = perBasisOf(recipe, slot);
  const roomL = recipe.ingredients
    .filter(({ optional }) => !optional)
    .reduce((sum, { ingredient, amount }) => {
      const each = amount.type === "per-basis" ? amount.perBasis.default : 0;
      return sum + each * roomLPerUnit(recipe, ingredient);
    }, 0);
  const most = (largestL * recipe.fillShare.default) / roomL;
  const basisAmount = item.amount === null ? null : Math.min(item.amount / perBasis, most);
  const needs = needsOf(recipe, slot, basisAmount, shed);
  return {
    recipe,
    slot,
    why: recipe.purpose,
    usedAmount: basisAmount === null ? null : basisAmount * perBasis,
    vesselL: basisAmount === null ? null : (basisAmount * roomL) / recipe.fillShare.default,
    yieldAmount: basisAmount === null ? null : basisAmount * recipe.yieldPerBasis.default,
    needs,
    lacking: needs.filter(({ enough, standIn }) => !enough && standIn === null).length,
  };
}

/** What a thing serves as once it is prepared: shells are roasted and crushed, charcoal crushed, potatoes boiled. */
const BECOMES: Partial<Record<IngredientId, readonly IngredientId[]>> = {
  "shell-raw": ["eggshell"],
  "char-lump": ["char"],
  "dung-aged": ["manure-aged"],
  "manure-aged": ["dung-aged"],
};

/**
 * What can be made of one thing at hand, what it still wants, and what it must not go into.
 * @param largestL the farm's largest vessel, L
 */
export function possibilitiesOf(item: HandItem, shed: ReadonlyMap<string, number>, largestL: number): HandAnswer {
  const { plant } = item;
  if (plant?.refused) return { item, refused: plant.refused, cautions: [], possibilities: [], excluded: [] };
  const slots: readonly IngredientId[] = plant
    ? PLANT_SLOTS[plant.kind].slots
    : item.ingredient
      ? [item.ingredient, ...(BECOMES[item.ingredient] ?? [])]
      : [];
  const possibilities: Possibility[] = [];
  const excluded: Excluded[] = [];
  for (const method of METHODS) {
    // The cautious school where it takes it, else the first that does: milk is soured by one school of serum only.
    const schools = method.schools.toSorted(
      (a, b) => Number(b.id === method.cautiousSchool) - Number(a.id === method.cautiousSchool),
    );
    const found = schools
      .map((school) => recipeOf(method, school))
      .flatMap((recipe) => {
        const slot = slots.find((candidate) => perBasisOf(recipe, candidate) > 0);
        return slot === undefined ? [] : [{ recipe, slot }];
      })[0];
    if (!found) continue;
    const { recipe, slot } = found;
    if (item.spoiled && WANTS_FRESH.includes(method.id))
      excluded.push({ methodName: method.name, because: "It needs fresh, healthy tips." });
    else possibilities.push(possibility(recipe, slot, item, shed, largestL));
  }
  const cautions = [
    ...(plant?.caution ? [plant.caution] : []),
    ...(item.spoiled ? ["Bruised or overripe is fine; anything mouldy goes on the compost."] : []),
  ];
  return {
    item,
    refused: null,
    cautions,
    possibilities: possibilities.toSorted((a, b) => a.lacking - b.lacking),
    excluded,
  };
}

export type StockFit = "now" | "lacks-one" | "lacks-more";

/** What is not there, and what would close the gap. */
export interface Lack {
  readonly ingredient: IngredientId;
  readonly standIn: IngredientId | null;
  /** Itself, or what may stand in, where all of it lies held back; told only where nothing sound would do. */
  readonly held: IngredientId | null;
}

export interface StockAnswer {
  readonly recipe: Recipe;
  readonly fit: StockFit;
  readonly lacking: readonly Lack[];
  /** Picked or drawn fresh, so no shed holds it. */
  readonly fresh: readonly IngredientId[];
}

/**
 * What the shed would let be made today, at whatever size: everything there, or one thing short and what would close the gap.
 * @param shed what may go in today, by ingredient, in its stock unit
 * @param held ingredients of which something lies there that is held back
 */
export function makeableFrom(shed: ReadonlyMap<string, number>, held: ReadonlySet<string> = new Set()): StockAnswer[] {
  const order: Record<StockFit, number> = { "now": 0, "lacks-one": 1, "lacks-more": 2 };
  return METHODS.map((method): StockAnswer => {
    const recipe = recipeOf(
      method,
      method.schools.find(({ id }) => id === method.cautiousSchool)!,
    );
    const wanted = [
      ...new Set(recipe.ingredients.filter(({ optional }) => !optional).map(({ ingredient }) => ingredient)),
    ];
    const fresh = wanted.filter(isPickedFresh);
    const lacking = wanted
      .filter((ingredient) => !isWater(ingredient) && !fresh.includes(ingredient) && !((shed.get(ingredient) ?? 0) > 0))
      .map((ingredient): Lack => {
        const standIns = substitutesFor(ingredient).map(({ use }) => use);
        const standIn = standIns.find((use) => (shed.get(use) ?? 0) > 0) ?? null;
        const lies = [ingredient, ...standIns].find((id) => held.has(id)) ?? null;
        return { ingredient, standIn, held: standIn === null ? lies : null };
      });
    return {
      recipe,
      fit: lacking.length === 0 ? "now" : lacking.length === 1 ? "lacks-one" : "lacks-more",
      lacking,
      fresh,
    };
  }).toSorted((a, b) => order[a.fit] - order[b.fit]);
}
