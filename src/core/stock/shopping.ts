import { addDays, daysBetween } from "../calendar";
import { substitutesFor } from "../book/substitutes";
import type { IngredientId } from "../book/ingredients";
import { toMilli } from "./drawOldest";

/** An ingredient that a planned or running batch will take, and the day it is wanted. */
export interface Demand {
  readonly ingredient: IngredientId;
  readonly amount: number;
  /** ISO date. */
  readonly onDay: string;
  readonly forWhat: string;
}

/** What may be drawn on: one lot, good until a day (or without end). */
export interface Supply {
  readonly ingredient: IngredientId;
  readonly amount: number;
  readonly expiresOn: string | null;
  readonly receivedOn: string;
}

/** How an ingredient is bought: a pack of so much, at a price, so many days after it is ordered. */
export interface Pack {
  readonly name: string;
  readonly amount: number;
  readonly costMinor: number | null;
  readonly leadD: number;
}

export interface Covering {
  readonly demand: Demand;
  /** What the shed gives and what it can't, in the stock unit. */
  readonly given: number;
  readonly short: number;
}

export interface StandIn {
  readonly use: IngredientId;
  /** How much of it does the work of what is short. */
  readonly amount: number;
  /** Enough of it is in the shed, unreserved. */
  readonly inShed: boolean;
  /** What so much of it costs, where a price is known. */
  readonly costMinor: number | null;
  readonly changes: string;
}

export interface ToBuy {
  readonly ingredient: IngredientId;
  readonly short: number;
  readonly firstDay: string;
  readonly forWhat: readonly string[];
  readonly pack: Pack | null;
  /** Whole packs, rounded up; null where no pack is known. */
  readonly packs: number | null;
  readonly costMinor: number | null;
  /** The last day to order on; null where nothing has to be ordered ahead. */
  readonly orderBy: string | null;
  /** Ordered today it still comes after it is wanted, by so many days. */
  readonly lateD: number;
  readonly standIns: readonly StandIn[];
}

/**
 * Reserves what is in the shed for what is planned, the earliest day first and the oldest lot first. A lot serves no day after its expiry,
 * and what one batch takes another can't have.
 * @returns each demand with what it was given, and what is left of each lot
 */
export function cover(
  demands: readonly Demand[],
  supplies: readonly Supply[],
): { readonly coverings: readonly Covering[]; readonly left: readonly Supply[] } {
  const left = supplies.map((supply) => ({ ...supply, milli: toMilli(supply.amount) }));
  const shelves = new Map<IngredientId, (typeof left)[number][]>();
  for (const { ingredient } of demands) shelves.set(ingredient, []);
  for (const lot of left) shelves.get(lot.ingredient)?.push(lot);
  for (const shelf of shelves.values())
    shelf.sort((a, b) => (a.receivedOn < b.receivedOn ? -1 : a.receivedOn > b.receivedOn ? 1 : 0));
  const coverings = demands
    .toSorted((a, b) => a.onDay.localeCompare(b.onDay))
    .map((demand): Covering => {
      let wanted = toMilli(demand.amount);
      for (const lot of shelves.get(demand.ingredient) ?? []) {
        if (lot.expiresOn !== null && lot.expiresOn < demand.onDay) continue;
        const taken = Math.min(wanted, lot.milli);
        lot.milli -= taken;
        wanted -= taken;
      }
      return { demand, given: (toMilli(demand.amount) - wanted) / 1000, short: wanted / 1000 };
    });
  return { coverings, left: left.map(({ milli, ...supply }) => ({ ...supply, amount: milli / 1000 })) };
}

/** Whole packs that hold an amount. @example packsFor(2.4, 1); // 3 */
export const packsFor = (amount: number, packAmount: number): number =>
  Math.ceil(toMilli(amount) / toMilli(packAmount) - 1e-9);

/**
 * What has to be bought or found for all that is planned, minus stock: in whole packs, with the last day to order, and what might stand in.
 * @param today ISO date
 */
export function shoppingList(
  demands: readonly Demand[],
  supplies: readonly Supply[],
  packs: ReadonlyMap<IngredientId, Pack>,
  today: string,
  /** Minor money units for a kilogram or litre, where one is known. */
  prices: ReadonlyMap<IngredientId, number> = new Map(),
): ToBuy[] {
  const { coverings, left } = cover(demands, supplies);
  const short = coverings.filter((covering) => covering.short > 0);
  const wanted = [...new Set(short.map(({ demand }) => demand.ingredient))];
  return wanted
    .map((ingredient): ToBuy => {
      const own = short.filter(({ demand }) => demand.ingredient === ingredient);
      const total = own.reduce((sum, one) => sum + toMilli(one.short), 0) / 1000;
      const firstDay = own.map(({ demand }) => demand.onDay).toSorted()[0]!;
      const pack = packs.get(ingredient) ?? null;
      const count = pack ? packsFor(total, pack.amount) : null;
      const standIns = substitutesFor(ingredient).map(({ use, factor, changes }): StandIn => {
        const amount = total * factor;
        const held = left
          .filter((lot) => lot.ingredient === use && (lot.expiresOn === null || lot.expiresOn >= firstDay))
          .reduce((sum, lot) => sum + lot.amount, 0);
        const price = prices.get(use);
        return {
          use,
          amount,
          inShed: held >= amount,
          costMinor: price === undefined ? null : Math.round(price * amount),
          changes,
        };
      });
      return {
        ingredient,
        short: total,
        firstDay,
        forWhat: [...new Set(own.map(({ demand }) => demand.forWhat))],
        pack,
        packs: count,
        costMinor: pack?.costMinor === null || !pack || count === null ? null : pack.costMinor * count,
        orderBy: pack && pack.leadD > 0 ? addDays(firstDay, -pack.leadD) : null,
        lateD: pack ? Math.max(0, daysBetween(firstDay, addDays(today, pack.leadD))) : 0,
        // What is there comes first, then what costs least; what has no price last.
        standIns: standIns.toSorted(
          (a, b) => Number(b.inShed) - Number(a.inShed) || (a.costMinor ?? Infinity) - (b.costMinor ?? Infinity) || 0,
        ),
      };
    })
    .toSorted((a, b) => (a.orderBy ?? a.firstDay).localeCompare(b.orderBy ?? b.firstDay));
}
