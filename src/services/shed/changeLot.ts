import "server-only";
import {
  AMOUNT,
  DAY,
  MOMENT,
  NEEDED_REASON,
  NOTE,
  POSITIVE_AMOUNT,
  REQUEST_KEY,
  ROW_ID,
  object,
} from "@/contracts/parts";
import { LOT_HAPPENINGS } from "@/core/stock/lotState";
import { act } from "../act";
import { toMilli } from "@/core/stock/drawOldest";
import { judgeHandful } from "@/core/stock/handTest";
import { type Queryable, errnoOf, SQL_ERROR } from "@/data/db";
import { findFarm } from "@/data/farm";
import { insertLotEvent, findLedgerLine, insertStockMovement, lockLot, type Lot } from "@/data/shed";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { refuse } from "../refusal";
import { momentOf } from "../checks";

async function requireLot(db: Queryable, lotId: number, path = "/lotId"): Promise<Lot> {
  const lot = await lockLot(db, lotId);
  if (!lot) throw refuse("not-found", { thing: "lot" }, path);
  return lot;
}

const today = async (db: Queryable, ctx: Context): Promise<string> =>
  isoDay(ctx.now(), { timeZone: (await findFarm(db))?.timeZone ?? "UTC" });

const WASTE_LOT = object(["requestKey", "lotId", "amount", "reason"], {
  requestKey: REQUEST_KEY,
  lotId: ROW_ID,
  amount: POSITIVE_AMOUNT,
  reason: NEEDED_REASON,
  /** Used for something that is no batch; else it is waste. */
  usedElsewhere: { type: "boolean" },
  at: MOMENT,
});

/** Some of a lot is thrown out, spilt or gone off; or used for something that is no batch. @throws {Refusal} for more than there is */
export const wasteLot = act(
  { name: "wasteLot", schema: WASTE_LOT, may: "helper" },
  async (db, request, ctx): Promise<{ lotId: number; movementIds: number[] }> => {
    const lot = await requireLot(db, request.lotId);
    if (toMilli(request.amount) > toMilli(lot.onHand))
      throw refuse("short-of-lot", { left: { amount: lot.onHand, unit: lot.unit } }, "/amount");
    const movementId = await insertStockMovement(db, {
      lotId: lot.id,
      changeBy: -request.amount,
      kind: request.usedElsewhere === true ? "used" : "wasted",
      batchId: null,
      at: momentOf(ctx, request.at),
      actorId: ctx.actor.id,
      note: request.reason.trim(),
    });
    return { lotId: lot.id, movementIds: [movementId] };
  },
);

const CORRECT_MOVEMENT = object(["requestKey", "movementId", "amount", "reason"], {
  requestKey: REQUEST_KEY,
  movementId: ROW_ID,
  /** What it should have said, without a sign. */
  amount: AMOUNT,
  reason: NEEDED_REASON,
});

/**
 * Puts a line of the ledger right by a later one: what it should have said, and why. Each line is corrected once; a correction can be corrected again.
 * @throws {Refusal} for a line that was corrected already, or one that would leave less than nothing
 */
export const correctMovement = act(
  { name: "correctMovement", schema: CORRECT_MOVEMENT, may: "grower" },
  async (db, request, ctx): Promise<{ lotId: number }> => {
    const line = await findLedgerLine(db, request.movementId);
    if (!line) throw refuse("not-found", { thing: "lot-line" }, "/movementId");
    if (line.kind === "corrected" || line.kind === "counted") throw refuse("line-is-a-correction", {}, "/movementId");
    const lot = await requireLot(db, line.lotId, "/movementId");
    const should = Math.sign(line.changeBy) * request.amount;
    const changeMilli = toMilli(should) - toMilli(line.changeBy);
    if (changeMilli === 0) throw refuse("same-as-before", {}, "/amount");
    if (toMilli(lot.onHand) + changeMilli < 0)
      throw refuse(
        "more-than-came-in",
        { more: { amount: -(lot.onHand + changeMilli / 1000), unit: lot.unit } },
        "/amount",
      );
    try {
      await insertStockMovement(db, {
        lotId: lot.id,
        changeBy: changeMilli / 1000,
        kind: "corrected",
        batchId: line.batchId,
        correctsId: line.id,
        at: ctx.now(),
        actorId: ctx.actor.id,
        note: request.reason.trim(),
      });
    } catch (error) {
      if (errnoOf(error) === SQL_ERROR.duplicate) throw refuse("line-corrected", {});
      throw error;
    }
    return { lotId: lot.id };
  },
);

const COUNT_STOCK = object(["requestKey", "lines"], {
  requestKey: REQUEST_KEY,
  /** What was found of each lot. */
  lines: {
    type: "array",
    minItems: 1,
    maxItems: 5000,
    items: object(["lotId", "counted"], { lotId: ROW_ID, counted: AMOUNT, expected: AMOUNT }),
  },
  note: NOTE,
});

/**
 * A stocktake: what was found of each lot. Each difference is a line of its own; what moved between the count and its arrival is respected,
 * since the phone says what it expected.
 * @throws {Refusal} where a count would leave less than nothing
 */
export const countStock = act(
  { name: "countStock", schema: COUNT_STOCK, may: "helper" },
  async (db, request, ctx): Promise<{ changed: number; movementIds: number[] }> => {
    const movementIds: number[] = [];
    const lines = request.lines.map((line, index) => ({ ...line, index })).toSorted((a, b) => a.lotId - b.lotId);
    for (const { lotId, counted, expected, index } of lines) {
      const lot = await requireLot(db, lotId, `/lines/${index}/lotId`);
      const differenceMilli = toMilli(counted) - toMilli(expected ?? lot.onHand);
      if (differenceMilli === 0) continue;
      if (toMilli(lot.onHand) + differenceMilli < 0)
        throw refuse("lot-counted-wrong", { left: { amount: lot.onHand, unit: lot.unit } }, `/lines/${index}/counted`);
      movementIds.push(
        await insertStockMovement(db, {
          lotId,
          changeBy: differenceMilli / 1000,
          kind: "counted",
          batchId: null,
          at: ctx.now(),
          actorId: ctx.actor.id,
          note: request.note ?? "",
        }),
      );
    }
    return { changed: movementIds.length, movementIds };
  },
);

const NOTE_LOT = object(["requestKey", "lotId", "kind", "onDay"], {
  requestKey: REQUEST_KEY,
  lotId: ROW_ID,
  kind: { enum: LOT_HAPPENINGS },
  word: NOTE,
  onDay: DAY,
});

/** Something happened to a lot: opened, moved, bean test sown or read, another expiry, stood hot. @throws {Refusal} */
export const noteLot = act(
  { name: "noteLot", schema: NOTE_LOT, may: "helper" },
  async (db, request, ctx): Promise<{ lotId: number }> => {
    const lot = await requireLot(db, request.lotId);
    const word = request.word?.trim() ?? "";
    if (request.onDay > (await today(db, ctx))) throw refuse("day-ahead", {}, "/onDay");
    if (request.onDay < lot.receivedOn) throw refuse("not-there-yet", {}, "/onDay");
    if (request.kind === "expiry" && !/^\d{4}-\d{2}-\d{2}$/.test(word)) throw refuse("no-date", {}, "/word");
    if (request.kind === "expiry" && word < lot.receivedOn) throw refuse("expires-early", {}, "/word");
    if (["place", "vigour", "note"].includes(request.kind) && word === "") throw refuse("needed", {}, "/word");
    if (request.kind === "vigour" && !judgeHandful(lot.ingredientId, word)) throw refuse("no-such-word", {}, "/word");
    await insertLotEvent(db, {
      lotId: lot.id,
      kind: request.kind,
      word,
      onDay: request.onDay,
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    return { lotId: lot.id };
  },
);
