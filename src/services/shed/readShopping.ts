import "server-only";
import { INGREDIENT_FACTS } from "@/core/book/ingredientFacts";
import { findIngredient, INGREDIENTS, isPickedFresh, type IngredientId } from "@/core/book/ingredients";
import { findRecipe, makerOf } from "@/core/book";
import { substitutesFor } from "@/core/book/substitutes";
import { shoppingList, type Pack, type ToBuy } from "@/core/stock/shopping";
import type { Farm } from "@/data/farm";
import { type Plan, listSupplyTerms, type SupplyTerms } from "@/data/shed";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { readDemands } from "./demands";
import { shedItems, suppliesFor, type ShedItem } from "./items";
import { readShelfLots, type Shelf } from "./shelf";

export type ShoppingLine = ToBuy & {
  readonly name: string;
  readonly unit: "kg" | "L";
  /** Bought, picked or saved, or made here. */
  readonly how: "buy" | "gather" | "make";
  readonly maker: { readonly methodId: string; readonly name: string } | null;
  readonly standInNames: readonly string[];
  /** The least of it that still does for all that is planned; null where that is no less. */
  readonly least: number | null;
};

export interface ShoppingView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly today: string;
  readonly plans: readonly Plan[];
  readonly lines: readonly ShoppingLine[];
  /** Below their line for ordering again, though nothing planned needs them. */
  readonly reorder: readonly ShedItem[];
}

const packOf = (id: IngredientId, terms: SupplyTerms | undefined): Pack | null => {
  if (terms)
    return { name: terms.packName, amount: terms.packAmount, costMinor: terms.packCostMinor, leadD: terms.leadD };
  const usual = INGREDIENT_FACTS[id].pack;
  return usual ? { ...usual, costMinor: null, leadD: 0 } : null;
};

/** What a kilogram or litre costs: by its pack, else by what the lots on the shelf cost. */
function pricesOf(shelf: Shelf, terms: readonly SupplyTerms[]): ReadonlyMap<IngredientId, number> {
  const prices = new Map<IngredientId, number>();
  for (const [id, lots] of shelf.byIngredient) {
    const cameIn = lots.reduce((sum, { received }) => sum + received, 0);
    if (cameIn > 0) prices.set(id as IngredientId, lots.reduce((sum, { costMinor }) => sum + costMinor, 0) / cameIn);
  }
  for (const { itemId, packCostMinor, packAmount } of terms)
    if (packCostMinor !== null && Object.hasOwn(INGREDIENTS, itemId))
      prices.set(itemId as IngredientId, packCostMinor / packAmount);
  return prices;
}

/** The least that still starts the planned brews in good time, where that is less than what is meant: scarce cultures are stretched by it. */
function leastOf(id: IngredientId, plans: readonly Plan[]): number | null {
  const wanting = plans.flatMap((plan) => {
    const own = plan.lines.find(({ ingredientId }) => ingredientId === id);
    if (!own) return [];
    const recipe = findRecipe(plan.methodId, plan.schoolId);
    const share = recipe.ingredients.find(({ ingredient }) => ingredient === id)?.leastShare;
    const liquidL = plan.lines
      .filter(({ ingredientId }) => findIngredient(ingredientId).stockUnit === "L")
      .reduce((sum, { amount }) => sum + amount, 0);
    return [{ meant: own.amount, least: share === undefined ? own.amount : Math.min(own.amount, share * liquidL) }];
  });
  const least = wanting.reduce((sum, one) => sum + one.least, 0);
  return least < wanting.reduce((sum, { meant }) => sum + meant, 0) - 1e-6 ? least : null;
}

function howToGet(id: IngredientId): ShoppingLine["how"] {
  if (isPickedFresh(id)) return "gather";
  const { source } = INGREDIENT_FACTS[id];
  return source === "bought" ? "buy" : source === "made" ? "make" : "gather";
}

/** One list over all that is planned, minus stock: what to buy in which packs and by when, what to gather, what to make first. */
export async function readShopping(ctx: Context, farm: Farm): Promise<ShoppingView> {
  const db = ctx.pool;
  const today = isoDay(ctx.now(), farm);
  const [{ demands, plans }, shelf, terms] = await Promise.all([
    readDemands(db, today, farm),
    readShelfLots(db, today),
    listSupplyTerms(db),
  ]);
  const wanted = new Set(demands.map(({ ingredient }) => ingredient));
  const packs = new Map(
    [...wanted].flatMap((id) => {
      const pack = packOf(
        id,
        terms.find(({ itemId }) => itemId === id),
      );
      return pack ? [[id, pack] as const] : [];
    }),
  );
  const supplies = suppliesFor(shelf, demands, ({ hold }) => hold === null);
  // What may stand in is looked for as well, so that the list can say the shed has it.
  const standIns = suppliesFor(
    shelf,
    [...wanted].flatMap((ingredient) =>
      substitutesFor(ingredient)
        .filter(({ use }) => !wanted.has(use))
        .map(({ use }) => ({ ingredient: use, amount: 0, onDay: today, forWhat: "" })),
    ),
    ({ hold }) => hold === null,
  );
  const lines = shoppingList(demands, [...supplies, ...standIns], packs, today, pricesOf(shelf, terms)).map(
    (line): ShoppingLine => {
      const item = findIngredient(line.ingredient);
      const maker = makerOf(line.ingredient);
      return {
        ...line,
        name: item.name,
        unit: item.stockUnit,
        how: howToGet(line.ingredient),
        maker: maker ? { methodId: maker.id, name: maker.name } : null,
        least: leastOf(line.ingredient, plans),
        standInNames: line.standIns.map(({ use }) => findIngredient(use).name),
      };
    },
  );
  const items = shedItems(shelf, {
    terms,
    flows: [],
    firstDays: new Map(),
    demands,
    nowMs: ctx.now().getTime(),
  });
  return {
    farm: farmView(farm),
    nowMs: ctx.now().getTime(),
    today,
    plans,
    lines,
    reorder: items.filter(
      ({ reorder, ingredientId }) => reorder && !lines.some((line) => line.ingredient === ingredientId),
    ),
  };
}
