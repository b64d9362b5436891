import "server-only";
import { findIngredient } from "@/core/book/ingredients";
import type { Farm } from "@/data/farm";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { itemIdOf, readShelfLots } from "./shelf";

export interface CountLot {
  readonly id: number;
  readonly itemId: string;
  readonly ingredientId: string;
  readonly name: string;
  readonly unit: "kg" | "L";
  readonly densityKgPerL: number | null;
  readonly receivedOn: string;
  readonly onHand: number;
  readonly place: string;
}

export interface CountView {
  readonly farm: FarmView;
  readonly lots: readonly CountLot[];
}

/** One collator for all: making one a comparison is what costs. */
const BY_WORD = new Intl.Collator("en");

/** Every lot on the shelf as it is met on a walk: by place, then by name. */
export async function readCount(ctx: Context, farm: Farm): Promise<CountView> {
  const { lots: stated, own } = await readShelfLots(ctx.pool, isoDay(ctx.now(), farm));
  const ownById = new Map(own.map((one) => [one.id, one]));
  return {
    farm: farmView(farm),
    lots: stated
      .map((lot): CountLot => {
        const book = findIngredient(lot.ingredientId);
        const ours = lot.ownId === null ? undefined : ownById.get(lot.ownId);
        return {
          id: lot.id,
          itemId: itemIdOf(lot.ingredientId, lot.ownId),
          ingredientId: lot.ingredientId,
          name: ours?.name ?? book.name,
          unit: lot.unit,
          densityKgPerL: ours?.densityKgPerL ?? book.densityKgPerL,
          receivedOn: lot.receivedOn,
          onHand: lot.onHand,
          place: lot.state.place,
        };
      })
      .toSorted(
        (a, b) =>
          BY_WORD.compare(a.place, b.place) ||
          BY_WORD.compare(a.name, b.name) ||
          BY_WORD.compare(a.receivedOn, b.receivedOn),
      ),
  };
}
