import "server-only";
import { findIngredient } from "@/core/book/ingredients";
import type { Farm } from "@/data/farm";
import { listOwnIngredients } from "@/data/ownIngredients";
import { listLotsOnHand } from "@/data/stock";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farmView";
import { itemIdOf } from "./items";
import { stateLots } from "./lotStates";

export interface CountLot {
  readonly id: number;
  readonly itemId: string;
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

/** Every lot on the shelf as it is met on a walk: by place, then by name. */
export async function readCount(ctx: Context, farm: Farm): Promise<CountView> {
  const [lots, own] = await Promise.all([listLotsOnHand(ctx.pool), listOwnIngredients(ctx.pool)]);
  const stated = await stateLots(ctx.pool, lots, isoDay(ctx.now(), farm));
  return {
    farm: farmView(farm),
    lots: stated
      .map((lot): CountLot => {
        const book = findIngredient(lot.ingredientId);
        const ours = own.find(({ id }) => id === lot.ownId);
        return {
          id: lot.id,
          itemId: itemIdOf(lot.ingredientId, lot.ownId),
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
          a.place.localeCompare(b.place) || a.name.localeCompare(b.name) || a.receivedOn.localeCompare(b.receivedOn),
      ),
  };
}
