import "server-only";
import { groupBy } from "@/core/groupBy";
import { INGREDIENT_FACTS, type UsualSource } from "@/core/book/ingredientFacts";
import { findIngredient, isPickedFresh, type IngredientId } from "@/core/book/ingredients";
import { toMilli } from "@/core/stock/drawOldest";
import { collectorOutlook, daysLeft, dailyUseMilli, type CollectorOutlook, type Flow } from "@/core/stock/outlook";
import { cover, type Covering, type Demand, type Supply } from "@/core/stock/shopping";
import type { DayFlow, OwnIngredient, SupplyTerms } from "@/data/shed";
import type { LotView } from "./lotStates";
import { itemIdOf, type ItemSum, type Shelf } from "./shelf";

/** One container on the shelf: an ingredient of the book, or of the farm's own. */
export interface ShedItem extends ItemSum {
  /** Id in the book, or own-N. */
  readonly itemId: string;
  readonly ingredientId: IngredientId;
  readonly name: string;
  readonly unit: "kg" | "L";
  readonly source: UsualSource;
  /** Picked for the batch itself, so that the shelf need not hold it. */
  readonly fresh: boolean;
  readonly reserved: number;
  /** Of what is reserved, what the shed can't give. */
  readonly short: number;
  readonly daysLeft: number | null;
  readonly terms: SupplyTerms | null;
  readonly reorder: boolean;
  /** For what trickles in: when it reaches the amount that a batch needs. */
  readonly collecting: { readonly target: number; readonly outlook: CollectorOutlook } | null;
}

/** What plans and outlooks are made from, besides the shelf itself. */
export interface ShedFacts {
  readonly terms: readonly SupplyTerms[];
  /** What was used, and of what is collected what came in. */
  readonly flows: readonly DayFlow[];
  readonly firstDays: ReadonlyMap<string, string>;
  readonly demands: readonly Demand[];
  readonly nowMs: number;
}

const NOTHING: ItemSum = { onHand: 0, cameIn: 0, lotCount: 0, layers: [], places: [], expiresOn: null, heldAmount: 0 };

/** Lots of what is wanted, as plans may draw on them. */
export const suppliesFor = (shelf: Shelf, demands: readonly Demand[], may: (lot: LotView) => boolean): Supply[] =>
  [...new Set(demands.map(({ ingredient }) => ingredient))].flatMap((ingredient) =>
    (shelf.byIngredient.get(ingredient) ?? []).filter(may).map((lot) => ({
      ingredient,
      amount: lot.onHand,
      expiresOn: lot.state.expiresOn,
      receivedOn: lot.receivedOn,
    })),
  );

const flowsOf = (days: readonly DayFlow[]): Flow[] =>
  days.map(({ day, kind, changeBy }) => ({ atMs: Date.parse(day), changeMilli: toMilli(changeBy), kind }));

/** What a container is and holds, before anybody asks what it is wanted for. */
function bareItem(itemId: string, own: OwnIngredient | null, sum: ItemSum): ShedItem {
  const book = findIngredient(own?.countsAs ?? itemId);
  return {
    ...sum,
    itemId,
    ingredientId: book.id,
    name: own?.name ?? book.name,
    unit: book.stockUnit,
    source: INGREDIENT_FACTS[book.id].source,
    fresh: isPickedFresh(book.id),
    reserved: 0,
    short: 0,
    daysLeft: null,
    terms: null,
    reorder: false,
    collecting: null,
  };
}

/** Bare items follow from the shelf alone, and are made once for it. */
const bare = new WeakMap<Shelf, ReadonlyMap<string, ShedItem>>();
function bareItems(shelf: Shelf): ReadonlyMap<string, ShedItem> {
  const known = bare.get(shelf);
  if (known) return known;
  const ownById = new Map(shelf.own.map((own) => [`own-${own.id}`, own]));
  const made = new Map(
    [...shelf.sums].map(([itemId, sum]) => [itemId, bareItem(itemId, ownById.get(itemId) ?? null, sum)]),
  );
  bare.set(shelf, made);
  return made;
}

/** A container of which nothing is left; null for an own ingredient that there is none of. */
function emptyItem(itemId: string, { own }: Shelf): ShedItem | null {
  const ours = own.find(({ id }) => `own-${id}` === itemId) ?? null;
  return ours === null && itemId.startsWith("own-") ? null : bareItem(itemId, ours, NOTHING);
}

function wantedItem(
  item: ShedItem,
  terms: SupplyTerms | null,
  flows: readonly Flow[],
  wanted: readonly Covering[],
  { firstDays, nowMs }: ShedFacts,
): ShedItem {
  const target = terms?.target ?? null;
  const firstDay = firstDays.get(item.ingredientId);
  const perDay = firstDay === undefined ? null : dailyUseMilli(flows, nowMs, Date.parse(firstDay));
  return {
    ...item,
    reserved: wanted.reduce((all, { given }) => all + given, 0),
    short: wanted.reduce((all, one) => all + one.short, 0),
    daysLeft: daysLeft(toMilli(item.onHand), perDay),
    terms,
    reorder: terms !== null && terms.reorderAt !== null && item.onHand <= terms.reorderAt,
    collecting:
      target === null
        ? null
        : { target, outlook: collectorOutlook(flows, toMilli(target), nowMs, toMilli(item.onHand)) },
  };
}

/** The shelf: every ingredient that lies there, or has terms; with what is reserved, how long it lasts and when to order. */
export function shedItems(shelf: Shelf, facts: ShedFacts): ShedItem[] {
  const flowsByItem = groupBy(facts.flows, ({ ingredientId, ownId }) => itemIdOf(ingredientId, ownId));
  const termsByItem = new Map(facts.terms.map((terms) => [terms.itemId, terms]));
  const { coverings } = cover(
    facts.demands,
    suppliesFor(shelf, facts.demands, ({ hold }) => !hold?.hard),
  );
  // What is wanted of an ingredient is written on the book's own container; the farm's kinds of it count into it.
  const wantedBy = groupBy(coverings, ({ demand }): string => demand.ingredient);
  const known = bareItems(shelf);
  const ids = new Set([...known.keys(), ...termsByItem.keys()]);
  return [...ids].flatMap((itemId) => {
    const item = known.get(itemId) ?? emptyItem(itemId, shelf);
    if (!item) return [];
    const [terms, flows, wanted] = [termsByItem.get(itemId), flowsByItem.get(itemId), wantedBy.get(itemId)];
    return terms || flows || wanted
      ? [wantedItem(item, terms ?? null, flowsOf(flows ?? []), wanted ?? [], facts)]
      : [item];
  });
}
