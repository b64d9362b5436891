import "server-only";
import { findIngredient } from "@/core/book/ingredients";
import type { Farm } from "@/data/farm";
import { listLotsOnHand, type Lot } from "@/data/stock";
import { listStoresOnHand, type Store } from "@/data/stores";
import type { Context } from "./context";
import { farmView, type FarmView } from "./farmView";
import { readWaters, type WatersView } from "./readWaters";

export interface ShelfItem {
  readonly ingredientId: string;
  readonly name: string;
  readonly unit: "kg" | "L";
  readonly onHand: number;
  /** Oldest first: the order in which they are drawn. */
  readonly lots: readonly Lot[];
  /** The soonest day on which one of its lots expires. */
  readonly expiresOn: string | null;
}

export type StoreView = Omit<Store, "shelfFrom" | "expiresAt"> & {
  readonly shelfFromMs: number;
  readonly expiresMs: number;
};

export interface ShedView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly shelf: readonly ShelfItem[];
  readonly stores: readonly StoreView[];
  readonly waters: WatersView;
}

export const storeView = ({ shelfFrom, expiresAt, ...store }: Store): StoreView => ({
  ...store,
  shelfFromMs: shelfFrom.getTime(),
  expiresMs: expiresAt.getTime(),
});

/** Lots gathered by ingredient. */
export function shelfOf(lots: readonly Lot[]): ShelfItem[] {
  const groups = new Map<string, Lot[]>();
  for (const lot of lots) groups.set(lot.ingredientId, [...(groups.get(lot.ingredientId) ?? []), lot]);
  return [...groups].map(([ingredientId, own]) => {
    const item = findIngredient(ingredientId);
    const expiries = own.flatMap(({ expiresOn }) => (expiresOn === null ? [] : [expiresOn])).toSorted();
    const onHandMilli = own.reduce((sum, lot) => sum + Math.round(lot.onHand * 1000), 0);
    return {
      ingredientId,
      name: item.name,
      unit: item.stockUnit,
      onHand: onHandMilli / 1000,
      lots: own,
      expiresOn: expiries[0] ?? null,
    };
  });
}

/** The shed as it stands: what spoils first stands first. */
export async function readShed(ctx: Context, farm: Farm): Promise<ShedView> {
  const db = ctx.pool;
  const [lots, stores, waters] = await Promise.all([listLotsOnHand(db), listStoresOnHand(db), readWaters(ctx)]);
  const LATER = "9999";
  const shelf = shelfOf(lots).toSorted(
    (a, b) => (a.expiresOn ?? LATER).localeCompare(b.expiresOn ?? LATER) || a.name.localeCompare(b.name),
  );
  return { farm: farmView(farm), nowMs: ctx.now().getTime(), shelf, stores: stores.map(storeView), waters };
}

/** What a fill needs of the shed: every ingredient on hand with its lots. */
export const readShelf = async (ctx: Context): Promise<ShelfItem[]> => shelfOf(await listLotsOnHand(ctx.pool));
