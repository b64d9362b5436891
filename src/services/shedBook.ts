import "server-only";
import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import { drawOldestFirst, toMilli } from "@/core/stock/drawOldest";
import type { Queryable } from "@/data/db";
import { insertLot, insertStockMovement, lockLots, type NewLot } from "@/data/stock";
import { sayStock } from "@/formats/amounts";
import type { Context } from "./context";
import { refuseAt } from "./refusal";

type LotIn = Omit<NewLot, "unit" | "actorId" | "addedAt" | "ingredientId"> & { readonly ingredientId: IngredientId };

/** A lot comes into the shed, with the movement that puts it there. */
export async function bookIn(db: Queryable, ctx: Context, lot: LotIn, at: Date): Promise<number> {
  const lotId = await insertLot(db, {
    ...lot,
    unit: findIngredient(lot.ingredientId).stockUnit,
    actorId: ctx.actor.id,
    addedAt: ctx.now(),
  });
  await insertStockMovement(db, {
    lotId,
    changeBy: lot.received,
    kind: "received",
    batchId: null,
    at,
    actorId: ctx.actor.id,
    note: "",
  });
  return lotId;
}

/**
 * Draws an ingredient for a batch, oldest lot first, or from one lot alone.
 * @returns the lots that gave, in order
 * @throws {Refusal} `short-of-stock` at the path
 */
export async function drawOut(
  db: Queryable,
  ctx: Context,
  draw: {
    readonly ingredient: IngredientId;
    readonly amount: number;
    readonly batchId: number;
    readonly at: Date;
    readonly path: string;
    readonly onlyLotId?: number;
  },
): Promise<number[]> {
  const lots = await lockLots(db, draw.ingredient);
  const shelf = draw.onlyLotId === undefined ? lots : lots.filter(({ id }) => id === draw.onlyLotId);
  const wantedMilli = toMilli(draw.amount);
  const { draws, shortMilli } = drawOldestFirst(
    shelf.map(({ id, receivedOn, onHand }) => ({ lotId: id, receivedOn, onHandMilli: toMilli(onHand) })),
    wantedMilli,
  );
  if (shortMilli > 0) {
    const { name, stockUnit } = findIngredient(draw.ingredient);
    const held = sayStock((wantedMilli - shortMilli) / 1000, stockUnit, "metric", 4);
    throw refuseAt("short-of-stock", draw.path, `The shed holds ${held} of ${name.toLowerCase()}.`);
  }
  for (const { lotId, amountMilli } of draws)
    await insertStockMovement(db, {
      lotId,
      changeBy: -amountMilli / 1000,
      kind: "used",
      batchId: draw.batchId,
      at: draw.at,
      actorId: ctx.actor.id,
      note: "",
    });
  return draws.map(({ lotId }) => lotId);
}
