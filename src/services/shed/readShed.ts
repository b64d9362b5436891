import "server-only";
import { findIngredient } from "@/core/book/ingredients";
import { toMilli } from "@/core/stock/drawOldest";
import { LOOKBACK_D } from "@/core/stock/outlook";
import type { Farm } from "@/data/farm";
import {
  listReceipts,
  listUse,
  type OwnIngredient,
  listFirstDays,
  listSupplyTerms,
  type SupplyTerms,
} from "@/data/shed";
import { listStoresOnHand } from "@/data/stores";
import { sayHold } from "@/words/en/holds";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { readWaters, type WatersView } from "../water";
import { readDemands } from "./demands";
import { shedItems, type ShedItem } from "./items";
import { readShelfLots, type Shelf } from "./shelf";
import { storeViews, type StoreView } from "../stores";
import { storeUses, type StoreUses } from "../field";

const DAY_MS = 86_400_000;
/** One collator for all names: making one a comparison is what costs. */
const BY_WORD = new Intl.Collator("en");

/** What a fill needs to know of a lot. */
export interface ShelfLot {
  readonly id: number;
  readonly receivedOn: string;
  readonly onHand: number;
}

/** An ingredient of the book with what may be drawn of it, the farm's own kinds counted in. */
export interface ShelfItem {
  readonly ingredientId: string;
  readonly name: string;
  readonly unit: "kg" | "L";
  /** What may go in today; what is held back is not counted. */
  readonly onHand: number;
  /** Oldest first, the order in which they are drawn; the first of many. */
  readonly lots: readonly ShelfLot[];
  /** What a reason would let in besides, and what holds it back. */
  readonly softHeld: number;
  readonly heldBecause: string | null;
  /** The soonest day on which one of its lots expires. */
  readonly expiresOn: string | null;
  /** What a kilogram or litre of it cost, over all lots. */
  readonly unitCostMinor: number;
}

/** A store in the shed, with the beds that could take it before it is over. */
export type ShedStore = StoreView & StoreUses;

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

/** A fill draws on few lots; more of them are not sent. */
const LOTS_SHOWN = 20;

/** What may be drawn on, by the book's ingredient. */
export const shelfOf = ({ byIngredient }: Shelf): ShelfItem[] =>
  [...byIngredient].map(([ingredientId, own]) => {
    const item = findIngredient(ingredientId);
    const open = own.filter(({ hold }) => hold === null);
    const held = own.filter(({ hold }) => hold !== null);
    const cameIn = own.reduce((sum, { received }) => sum + received, 0);
    return {
      ingredientId,
      name: item.name,
      unit: item.stockUnit,
      onHand: open.reduce((sum, lot) => sum + toMilli(lot.onHand), 0) / 1000,
      lots: open.slice(0, LOTS_SHOWN).map(({ id, receivedOn, onHand }) => ({ id, receivedOn, onHand })),
      softHeld: held.filter(({ hold }) => !hold!.hard).reduce((sum, { onHand }) => sum + onHand, 0),
      heldBecause: held[0] ? sayHold(held[0].hold!.because) : null,
      expiresOn: open.flatMap(({ state }) => (state.expiresOn === null ? [] : [state.expiresOn])).toSorted()[0] ?? null,
      unitCostMinor: cameIn > 0 ? own.reduce((sum, { costMinor }) => sum + costMinor, 0) / cameIn : 0,
    };
  });

/** Days until an item needs a thought: used up, spoilt, or short of what is planned. */
function urgency({ short, fresh, daysLeft, expiresOn, reorder, onHand }: ShedItem, nowMs: number): number {
  if (short > 0 && !fresh) return -1;
  if (reorder) return 0;
  const spoilsIn = expiresOn === null || onHand === 0 ? Infinity : (Date.parse(expiresOn) - nowMs) / DAY_MS;
  return Math.max(0, Math.min(daysLeft ?? Infinity, spoilsIn));
}

/** The book's ingredients of which something is collected up to an amount. */
const collected = (terms: readonly SupplyTerms[], own: readonly OwnIngredient[]): string[] =>
  terms
    .filter(({ target }) => target !== null)
    .map(({ itemId }) => own.find(({ id }) => `own-${id}` === itemId)?.countsAs ?? itemId);

/** The shed as it stands: what runs out or spoils first stands first. */
export async function readShed(ctx: Context, farm: Farm): Promise<ShedView> {
  const db = ctx.pool;
  const nowMs = ctx.now().getTime();
  const today = isoDay(ctx.now(), farm);
  const since = new Date(nowMs - LOOKBACK_D * DAY_MS);
  const [shelf, terms] = await Promise.all([readShelfLots(db, today), listSupplyTerms(db)]);
  const { own } = shelf;
  const [stores, waters, use, receipts, firstDays, { demands }] = await Promise.all([
    listStoresOnHand(db),
    readWaters(ctx),
    listUse(db, since),
    listReceipts(db, isoDay(since, farm), collected(terms, own)),
    listFirstDays(db),
    readDemands(db, today, farm),
  ]);
  const views = await storeViews(db, farm, stores, ctx.now());
  const uses = await storeUses(db, farm, views, ctx.now());
  const items = shedItems(shelf, { terms, flows: [...use, ...receipts], firstDays, demands, nowMs });
  const soonest = new Map(items.map((item) => [item.itemId, urgency(item, nowMs)]));
  return {
    farm: farmView(farm),
    nowMs,
    today,
    items: items.toSorted((a, b) => soonest.get(a.itemId)! - soonest.get(b.itemId)! || BY_WORD.compare(a.name, b.name)),
    stores: views.map((view) => ({ ...view, ...uses.get(view.id)! })),
    waters,
    own,
  };
}

/** What a fill needs of the shed: every ingredient on hand with its lots. */
export async function readShelf(ctx: Context, timeZone = "UTC"): Promise<ShelfItem[]> {
  return shelfOf(await readShelfLots(ctx.pool, isoDay(ctx.now(), { timeZone })));
}
