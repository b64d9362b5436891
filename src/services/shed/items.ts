import "server-only";
import { INGREDIENT_FACTS, type UsualSource } from "@/core/book/ingredientFacts";
import { findIngredient, PICKED_FRESH, type IngredientId } from "@/core/book/ingredients";
import { toMilli } from "@/core/stock/drawOldest";
import { collectorOutlook, daysLeft, usePerDayMilli, type CollectorOutlook, type Flow } from "@/core/stock/outlook";
import { cover, type Demand } from "@/core/stock/shopping";
import type { DayFlow } from "@/data/movements";
import type { OwnIngredient } from "@/data/ownIngredients";
import type { SupplyTerms } from "@/data/supply";
import type { LotView } from "./lotStates";

/** Layers drawn of an item's lots; more than these lie together in the last. */
const LAYERS = 5;

export interface ShedLayer {
  readonly amount: number;
  readonly expired: boolean;
  readonly held: boolean;
}

/** One container on the shelf: an ingredient of the book, or of the farm's own. */
export interface ShedItem {
  /** Id in the book, or own-N. */
  readonly itemId: string;
  readonly ingredientId: IngredientId;
  readonly name: string;
  readonly unit: "kg" | "L";
  readonly source: UsualSource;
  /** Picked for the batch itself, so that the shelf need not hold it. */
  readonly fresh: boolean;
  readonly onHand: number;
  /** What came in with the lots that are left: what a full container is. */
  readonly cameIn: number;
  readonly lotCount: number;
  /** Oldest first. */
  readonly layers: readonly ShedLayer[];
  readonly places: readonly string[];
  /** The soonest day on which one of its lots expires. */
  readonly expiresOn: string | null;
  readonly heldAmount: number;
  readonly reserved: number;
  /** Of what is reserved, what the shed can't give. */
  readonly short: number;
  readonly daysLeft: number | null;
  readonly terms: SupplyTerms | null;
  readonly reorder: boolean;
  /** For what trickles in: when it reaches the amount that a batch needs. */
  readonly collecting: { readonly target: number; readonly outlook: CollectorOutlook } | null;
}

export const itemIdOf = (ingredientId: string, ownId: number | null): string =>
  ownId === null ? ingredientId : `own-${ownId}`;

const flowsOf = (days: readonly DayFlow[], onHand: number): Flow[] => {
  const flows = days.map(({ day, kind, changeBy }): Flow => ({
    atMs: Date.parse(day),
    changeMilli: toMilli(changeBy),
    kind: kind as Flow["kind"],
  }));
  // What lies there from before the days that are looked at.
  const before = toMilli(onHand) - flows.reduce((sum, { changeMilli }) => sum + changeMilli, 0);
  return before === 0 ? flows : [{ atMs: 0, changeMilli: before, kind: "counted" }, ...flows];
};

function layersOf(lots: readonly LotView[], today: string): ShedLayer[] {
  const layer = (lot: LotView): ShedLayer => ({
    amount: lot.onHand,
    expired: lot.state.expiresOn !== null && lot.state.expiresOn < today,
    held: lot.hold !== null,
  });
  if (lots.length <= LAYERS) return lots.map(layer);
  const rest = lots.slice(LAYERS - 1);
  return [
    ...lots.slice(0, LAYERS - 1).map(layer),
    { amount: rest.reduce((sum, { onHand }) => sum + onHand, 0), expired: false, held: false },
  ];
}

function group<T>(things: readonly T[], keyOf: (thing: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const thing of things) {
    const known = groups.get(keyOf(thing));
    if (known) known.push(thing);
    else groups.set(keyOf(thing), [thing]);
  }
  return groups;
}

/** The shelf: every ingredient that lies there, is collected, or has terms; with what is reserved, how long it lasts and when to order. */
export function shedItems(
  lots: readonly LotView[],
  facts: {
    readonly own: readonly OwnIngredient[];
    readonly terms: readonly SupplyTerms[];
    readonly flows: readonly DayFlow[];
    readonly demands: readonly Demand[];
    readonly today: string;
    readonly nowMs: number;
  },
): ShedItem[] {
  const { today } = facts;
  const byItem = group(lots, ({ ingredientId, ownId }) => itemIdOf(ingredientId, ownId));
  const flowsByItem = group(facts.flows, ({ ingredientId, ownId }) => itemIdOf(ingredientId, ownId));
  const { coverings } = cover(
    facts.demands,
    lots
      .filter(({ hold }) => !hold?.hard)
      .map((lot) => ({
        ingredient: lot.ingredientId as IngredientId,
        amount: lot.onHand,
        expiresOn: lot.state.expiresOn,
        receivedOn: lot.receivedOn,
      })),
  );
  const ids = new Set([...byItem.keys(), ...facts.terms.map(({ itemId }) => itemId)]);
  return [...ids].flatMap((itemId) => {
    const ownId = /^own-(\d+)$/.exec(itemId)?.[1];
    const own = ownId === undefined ? null : (facts.own.find(({ id }) => id === Number(ownId)) ?? null);
    if (ownId !== undefined && !own) return [];
    const book = findIngredient(own?.countsAs ?? itemId);
    const lotsHere = byItem.get(itemId) ?? [];
    const onHand = lotsHere.reduce((sum, lot) => sum + toMilli(lot.onHand), 0) / 1000;
    const flows = flowsOf(flowsByItem.get(itemId) ?? [], onHand);
    const terms = facts.terms.find((one) => one.itemId === itemId) ?? null;
    // What is wanted of an ingredient is written on the book's own container; the farm's kinds of it count into it.
    const wanted = own ? [] : coverings.filter(({ demand }) => demand.ingredient === book.id);
    const held = lotsHere.filter(({ hold }) => hold !== null).reduce((sum, lot) => sum + lot.onHand, 0);
    const target = terms?.target ?? null;
    return [
      {
        itemId,
        ingredientId: book.id,
        name: own?.name ?? book.name,
        unit: book.stockUnit,
        source: INGREDIENT_FACTS[book.id].source,
        fresh: PICKED_FRESH.some((id) => id === book.id),
        onHand,
        cameIn: lotsHere.reduce((sum, lot) => sum + lot.received, 0),
        lotCount: lotsHere.length,
        layers: layersOf(lotsHere, today),
        places: [...new Set(lotsHere.map(({ state }) => state.place).filter(Boolean))],
        expiresOn:
          lotsHere.flatMap(({ state }) => (state.expiresOn === null ? [] : [state.expiresOn])).toSorted()[0] ?? null,
        heldAmount: held,
        reserved: wanted.reduce((sum, { given }) => sum + given, 0),
        short: wanted.reduce((sum, one) => sum + one.short, 0),
        daysLeft: daysLeft(toMilli(onHand), usePerDayMilli(flows, facts.nowMs)),
        terms,
        reorder: terms !== null && terms.reorderAt !== null && onHand <= terms.reorderAt,
        collecting: target === null ? null : { target, outlook: collectorOutlook(flows, toMilli(target), facts.nowMs) },
      },
    ];
  });
}
