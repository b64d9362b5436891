import "server-only";
import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import { fits } from "@/core/quantity/fits";
import { drawOldestFirst, toMilli } from "@/core/stock/drawOldest";
import type { Queryable } from "@/data/db";
import { insertLot, insertStockMovement, lockLot, lockLots, type LedgerLine, type Lot, type NewLot } from "@/data/shed";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { refuse } from "../refusal";
import { stateLotsOf } from "./lotStates";

type Optional = "ownId" | "place" | "provenance" | "cameWithBatchId";
type LotIn = Omit<NewLot, "unit" | "actorId" | "addedAt" | "ingredientId" | Optional> &
  Partial<Pick<NewLot, Optional>> & { readonly ingredientId: IngredientId };

/** A lot comes into the shed, with the movement that puts it there. @param entryId the line of a log that tells of it */
export async function bookIn(
  db: Queryable,
  ctx: Context,
  lot: LotIn,
  at: Date,
  entryId: number | null = null,
): Promise<number> {
  const lotId = await insertLot(db, {
    ownId: null,
    place: "",
    provenance: {},
    cameWithBatchId: null,
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
    entryId,
    at,
    actorId: ctx.actor.id,
    note: "",
  });
  return lotId;
}

interface PlannedDraw {
  readonly lotId: number;
  readonly amount: number;
  readonly note: string;
}

export interface DrawRequest {
  readonly ingredient: IngredientId;
  readonly amount: number;
  readonly batchId: number;
  readonly at: Date;
  readonly timeZone: string;
  readonly path: string;
  readonly onlyLotId?: number;
  /** The line of the log that tells of it, for what goes in after the start. */
  readonly entryId?: number;
  /** Why a lot that is held goes in all the same; kept with the draw. */
  readonly overrideReason?: string | null | undefined;
}

const asShelf = (lots: readonly Lot[]) =>
  lots.map(({ id, receivedOn, onHand }) => ({ lotId: id, receivedOn, onHandMilli: toMilli(onHand) }));

/**
 * Draws an ingredient for a batch, oldest lot first, or from one lot alone. Lots that are held (dung with crippled beans, urine before its time,
 * a culture past its day) are passed over; a soft hold is lifted by a reason.
 * Nothing is written: a mixing asks before its first step.
 * @throws {Refusal} `short-of-stock` at the path; `reason-needed` where only held lots could give it
 */
export async function chooseDraw(db: Queryable, draw: DrawRequest): Promise<PlannedDraw[]> {
  const locked = await lockLots(db, draw.ingredient);
  const lots = draw.onlyLotId === undefined ? locked : locked.filter(({ id }) => id === draw.onlyLotId);
  const states = await stateLotsOf(db, draw.ingredient, lots, isoDay(draw.at, draw));
  const reason = draw.overrideReason?.trim() ?? "";
  const sound = states.filter(({ hold }) => hold === null);
  // By a reason what is held back goes in as well, once what is sound has been drawn.
  const lifted = reason === "" ? [] : states.filter(({ hold }) => hold !== null && !hold.hard);
  const wantedMilli = toMilli(draw.amount);
  const first = drawOldestFirst(asShelf(sound), wantedMilli);
  const rest = drawOldestFirst(asShelf(lifted), first.shortMilli);
  const draws = [...first.draws, ...rest.draws];
  const { shortMilli } = rest;
  // The last of a lot goes in whole where a scale or a rounded figure says a little more.
  if (shortMilli > 0 && !fits(draw.amount, (wantedMilli - shortMilli) / 1000)) {
    const { name, stockUnit } = findIngredient(draw.ingredient);
    const heldMilli = wantedMilli - shortMilli;
    const left = heldMilli > 0 ? { amount: heldMilli / 1000, unit: stockUnit } : null;
    const soft = states.find(({ hold }) => hold !== null && !hold.hard && reason === "");
    const hard = states.find(({ hold }) => hold?.hard);
    const hold = (soft ?? hard)?.hold?.because ?? null;
    if (soft && drawOldestFirst(asShelf(states.filter(({ hold }) => !hold?.hard)), wantedMilli).shortMilli === 0)
      throw refuse(
        "reason-needed",
        { because: { code: "lot-held", left, name, hold: soft.hold!.because } },
        draw.path,
        "/overrideReason",
      );
    throw refuse("short-of-stock", { left, name, hold }, draw.path);
  }
  return draws.map(({ lotId, amountMilli }) => {
    const hold = states.find(({ id }) => id === lotId)?.hold;
    return {
      lotId,
      amount: amountMilli / 1000,
      note: hold ? reason.slice(0, 200) : "",
    };
  });
}

/** Draws for a batch as planned. @returns the lots that gave, in order @throws {Refusal} as `chooseDraw` */
export async function drawOut(db: Queryable, ctx: Context, draw: DrawRequest): Promise<number[]> {
  const draws = await chooseDraw(db, draw);
  for (const { lotId, amount, note } of draws)
    await insertStockMovement(db, {
      lotId,
      changeBy: -amount,
      kind: "used",
      batchId: draw.batchId,
      entryId: draw.entryId ?? null,
      at: draw.at,
      actorId: ctx.actor.id,
      note,
    });
  return draws.map(({ lotId }) => lotId);
}

/**
 * Puts lines of the ledger to nothing, as slips: what was drawn is in stock again, what came in never did.
 * @throws {Refusal} at the path, where a line was corrected by hand since, or some of what came in is used
 */
export async function putBack(db: Queryable, ctx: Context, lines: readonly LedgerLine[], path: string): Promise<void> {
  for (const line of lines.toSorted((a, b) => a.lotId - b.lotId || a.id - b.id)) {
    const lot = (await lockLot(db, line.lotId))!;
    const { name } = findIngredient(lot.ingredientId);
    if (line.corrected) throw refuse("stock-corrected", { name }, path);
    if (toMilli(lot.onHand) < toMilli(line.changeBy)) throw refuse("lot-used", { name }, path);
    await insertStockMovement(db, {
      lotId: line.lotId,
      changeBy: -line.changeBy,
      kind: "corrected",
      batchId: line.batchId,
      entryId: line.entryId,
      correctsId: line.id,
      at: ctx.now(),
      actorId: ctx.actor.id,
      note: "",
    });
  }
}
