import "server-only";
import { INGREDIENT_FACTS } from "@/core/book/ingredientFacts";
import { findIngredient, PICKED_FRESH, type IngredientId } from "@/core/book/ingredients";
import { makerOf } from "@/core/book";
import { substitutesFor } from "@/core/book/substitutes";
import { shoppingList, type Pack, type ToBuy } from "@/core/stock/shopping";
import type { Farm } from "@/data/farm";
import type { Plan } from "@/data/plans";
import { listSupplyTerms, type SupplyTerms } from "@/data/supply";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farmView";
import { readDemands } from "./demands";
import { shedItems, suppliesFor, type ShedItem } from "./items";
import { readShelfLots } from "./shelf";

export type ShoppingLine = ToBuy & {
  readonly name: string;
  readonly unit: "kg" | "L";
  /** Bought, picked or saved, or made here. */
  readonly how: "buy" | "gather" | "make";
  readonly maker: { readonly methodId: string; readonly name: string } | null;
  readonly standInNames: readonly string[];
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

function howToGet(id: IngredientId): ShoppingLine["how"] {
  if (PICKED_FRESH.some((fresh) => fresh === id)) return "gather";
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
  const lines = shoppingList(demands, [...supplies, ...standIns], packs, today).map((line): ShoppingLine => {
    const item = findIngredient(line.ingredient);
    const maker = makerOf(line.ingredient);
    return {
      ...line,
      name: item.name,
      unit: item.stockUnit,
      how: howToGet(line.ingredient),
      maker: maker ? { methodId: maker.id, name: maker.name } : null,
      standInNames: line.standIns.map(({ use }) => findIngredient(use).name),
    };
  });
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
