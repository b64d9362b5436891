import "server-only";
import type { Plot } from "@/data/plots";
import { findIngredient } from "@/core/book/ingredients";
import { toMilli } from "@/core/stock/drawOldest";
import { LOOKBACK_D } from "@/core/stock/outlook";
import type { Farm } from "@/data/farm";
import { listDayFlows } from "@/data/movements";
import { listOwnIngredients, type OwnIngredient } from "@/data/ownIngredients";
import { listPlots } from "@/data/plots";
import { listLotsOnHand, type Lot } from "@/data/stock";
import { listStoresOnHand, type Store } from "@/data/stores";
import { listSupplyTerms } from "@/data/supply";
import type { LotHold } from "@/core/stock/lotState";
import { sayHold } from "@/formats/holdText";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farmView";
import { readWaters, type WatersView } from "../readWaters";
import { readDemands } from "./demands";
import { shedItems, type ShedItem } from "./items";
import { stateLots, type LotView } from "./lotStates";
import { takersOf } from "./takers";

const DAY_MS = 86_400_000;

/** What a fill needs to know of a lot. */
export interface ShelfLot {
  readonly id: number;
  readonly receivedOn: string;
  readonly onHand: number;
  /** Why it is passed over; null where it is drawn on. */
  readonly hold: LotHold | null;
}

/** An ingredient of the book with what may be drawn of it, the farm's own kinds counted in. */
export interface ShelfItem {
  readonly ingredientId: string;
  readonly name: string;
  readonly unit: "kg" | "L";
  /** What may go in today; what is held back is not counted. */
  readonly onHand: number;
  /** Oldest first: the order in which they are drawn. */
  readonly lots: readonly ShelfLot[];
  /** The soonest day on which one of its lots expires. */
  readonly expiresOn: string | null;
  /** What a kilogram or litre of it cost, over all lots. */
  readonly unitCostMinor: number;
}

export type StoreView = Omit<Store, "shelfFrom" | "expiresAt"> & {
  readonly shelfFromMs: number;
  readonly expiresMs: number;
};

/** A store in the shed, with the beds that could take it before it is over. */
export type ShedStore = StoreView & { readonly takers: readonly string[] };

export interface ShedView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly today: string;
  /** What runs out or spoils first stands first. */
  readonly items: readonly ShedItem[];
  readonly stores: readonly ShedStore[];
  readonly waters: WatersView;
  readonly own: readonly OwnIngredient[];
}

export const storeView = ({ shelfFrom, expiresAt, ...store }: Store): StoreView => ({
  ...store,
  shelfFromMs: shelfFrom.getTime(),
  expiresMs: expiresAt.getTime(),
});

/** Lots gathered by the book's ingredient. */
export function shelfOf(lots: readonly LotView[]): ShelfItem[] {
  const groups = new Map<string, LotView[]>();
  for (const lot of lots) {
    const known = groups.get(lot.ingredientId);
    if (known) known.push(lot);
    else groups.set(lot.ingredientId, [lot]);
  }
  return [...groups].map(([ingredientId, own]) => {
    const item = findIngredient(ingredientId);
    const open = own.filter(({ hold }) => hold === null);
    const cameIn = own.reduce((sum, { received }) => sum + received, 0);
    return {
      ingredientId,
      name: item.name,
      unit: item.stockUnit,
      onHand: open.reduce((sum, lot) => sum + toMilli(lot.onHand), 0) / 1000,
      lots: own.map(({ id, receivedOn, onHand, hold }) => ({
        id,
        receivedOn,
        onHand,
        hold: hold ? { hard: hold.hard, because: sayHold(hold.because) } : null,
      })),
      expiresOn: open.flatMap(({ state }) => (state.expiresOn === null ? [] : [state.expiresOn])).toSorted()[0] ?? null,
      unitCostMinor: cameIn > 0 ? own.reduce((sum, { costMinor }) => sum + costMinor, 0) / cameIn : 0,
    };
  });
}

/** Days until an item needs a thought: used up, spoilt, or short of what is planned. */
function urgency({ short, fresh, daysLeft, expiresOn, reorder, onHand }: ShedItem, nowMs: number): number {
  if (short > 0 && !fresh) return -1;
  if (reorder) return 0;
  const spoilsIn = expiresOn === null || onHand === 0 ? Infinity : (Date.parse(expiresOn) - nowMs) / DAY_MS;
  return Math.max(0, Math.min(daysLeft ?? Infinity, spoilsIn));
}

async function statedLots(ctx: Context, today: string): Promise<LotView[]> {
  const lots: Lot[] = await listLotsOnHand(ctx.pool);
  return stateLots(ctx.pool, lots, today);
}

/** The shed as it stands: what runs out or spoils first stands first. */
export async function readShed(ctx: Context, farm: Farm): Promise<ShedView> {
  const db = ctx.pool;
  const nowMs = ctx.now().getTime();
  const today = isoDay(ctx.now(), farm);
  const [lots, stores, waters, own, terms, flows, { demands }, plots] = await Promise.all([
    statedLots(ctx, today),
    listStoresOnHand(db),
    readWaters(ctx),
    listOwnIngredients(db),
    listSupplyTerms(db),
    listDayFlows(db, new Date(nowMs - LOOKBACK_D * DAY_MS)),
    readDemands(db, today, farm),
    listPlots(db) as Promise<Plot[]>,
  ]);
  const items = shedItems(lots, { own, terms, flows, demands, today, nowMs });
  const soonest = new Map(items.map((item) => [item.itemId, urgency(item, nowMs)]));
  return {
    farm: farmView(farm),
    nowMs,
    today,
    items: items.toSorted((a, b) => soonest.get(a.itemId)! - soonest.get(b.itemId)! || a.name.localeCompare(b.name)),
    stores: stores.map((store) => ({ ...storeView(store), takers: takersOf(store, plots, nowMs) })),
    waters,
    own,
  };
}

/** What a fill needs of the shed: every ingredient on hand with its lots. */
export async function readShelf(ctx: Context, timeZone = "UTC"): Promise<ShelfItem[]> {
  return shelfOf(await statedLots(ctx, isoDay(ctx.now(), { timeZone })));
}
