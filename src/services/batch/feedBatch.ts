import "server-only";
import { ID, LITRES, MOMENT, POSITIVE_AMOUNT, REQUEST_KEY, ROW_ID, object } from "@/contracts/parts";
import { act } from "../act";
import { standsIn } from "@/core/recipe/level";
import { findIngredient } from "@/core/book/ingredients";
import { recipeFrom } from "@/core/recipe/document";
import { conflictIn } from "@/core/safety/together";
import { closesRing } from "@/core/stock/lineage";
import { listBatchLines, lockBatch, type Batch, insertEntry, listFeedings } from "@/data/batch";
import type { Queryable } from "@/data/db";
import { findFarm, type Farm } from "@/data/farm";
import { findLotSources, listDrawsOfBatch } from "@/data/shed";
import { insertStoreMovement, lockStore } from "@/data/stores";
import { isoDay } from "@/formats/times";
import { fits } from "@/core/quantity/fits";
import type { Context } from "../context";
import { costOfBatch } from "./costs";
import { keepForecast } from "../ferment";
import { atField, refuse } from "../refusal";
import { bookIn, drawOut } from "../shed";
import { requireRoomFor } from "../fill";
import { momentOf } from "../checks";
import { requireRunning } from "./running";

/** Refuses to make a batch from itself, by however many steps. */
async function requireNoRing(db: Queryable, batchId: number, lotIds: readonly number[]): Promise<void> {
  const feedings = await listFeedings(db);
  for (const { batchId: from, name } of await findLotSources(db, lotIds)) {
    // The draw itself is in the feedings by now; the ring is sought in those before it.
    const before = feedings.filter((feeding) => !(feeding.from === from && feeding.into === batchId));
    if (closesRing({ from, into: batchId }, before)) throw refuse("ring", { name, batchId: from }, "/ingredientId");
  }
}

/** A feed against what of its kind went in at first, 1 for as much again; null where the recipe has none of it. */
async function feedShare(db: Queryable, batch: Batch, ingredientId: string, amount: number): Promise<number | null> {
  const first = (await listBatchLines(db, batch.id)).filter((line) => line.ingredientId === ingredientId);
  const used = first.reduce((sum, line) => sum + line.used, 0);
  return used > 0 ? Math.min(99, amount / used) : null;
}

const ADD_TO_BATCH = object(["requestKey", "batchId", "ingredientId", "amount"], {
  requestKey: REQUEST_KEY,
  batchId: ROW_ID,
  ingredientId: ID,
  amount: POSITIVE_AMOUNT,
  at: MOMENT,
  /** Why a lot that is held goes in all the same. */
  overrideReason: { type: ["string", "null"], maxLength: 300 },
});

/**
 * Puts something into a running batch: what its recipe has for a later day, a feed, a top-up. It is drawn from the shed and logged.
 * @throws {Refusal} for a batch that has ended, too little in the shed, or a batch that would be made from itself
 */
export const addToBatch = act(
  { name: "addToBatch", schema: ADD_TO_BATCH, may: "helper" },
  async (db, request, ctx): Promise<{ entryId: number }> => {
    const batch = await requireRunning(db, request.batchId);
    const item = atField("/ingredientId", () => findIngredient(request.ingredientId));
    const at = momentOf(ctx, request.at, batch.startedAt);
    const isWater = item.id === "water";
    if (isWater) await requireRoomFor(db, batch, request.amount, "/amount");
    const conflict = conflictIn([item.id, ...(await everIn(db, batch.id))]);
    if (conflict) throw refuse("clash", { why: conflict.why }, "/ingredientId");
    const farm = await findFarm(db);
    const timeZone = farm?.timeZone ?? "UTC";
    const entryId = await insertEntry(db, {
      batchId: batch.id,
      kind: "act",
      word: isWater ? "topped-up" : "fed",
      numberValue: isWater ? request.amount : await feedShare(db, batch, item.id, request.amount),
      instrument: null,
      spot: null,
      settled: null,
      note: "",
      moved: isWater ? null : { itemId: item.id, amount: request.amount },
      at,
      correctsId: null,
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    if (!isWater) {
      const lots = await drawOut(db, ctx, {
        ingredient: item.id,
        amount: request.amount,
        batchId: batch.id,
        entryId,
        at,
        timeZone,
        path: "/amount",
        overrideReason: request.overrideReason,
      });
      await requireNoRing(db, batch.id, lots);
    }
    await keepForecast(db, batch.id, entryId, ctx.now());
    return { entryId };
  },
);

/** All that went into a batch, at its filling and since. */
async function everIn(db: Queryable, batchId: number): Promise<string[]> {
  const [lines, draws] = await Promise.all([listBatchLines(db, batchId), listDrawsOfBatch(db, batchId)]);
  return [...lines.map(({ ingredientId }) => ingredientId), ...draws.map(({ ingredientId }) => ingredientId)];
}

/** What a litre or kilogram of a batch has cost, for a lot that is made of it. */
export async function lotCostMinor(db: Queryable, batch: Batch, farm: Farm, share: number, now: Date): Promise<number> {
  const { totalMinor } = costOfBatch(batch, await listDrawsOfBatch(db, batch.id), farm, now);
  return Math.round(totalMinor * Math.min(1, share));
}

async function takeIn(
  db: Queryable,
  ctx: Context,
  batch: Batch,
  litres: number,
  ofL: number,
  at: Date,
  entryId: number | null = null,
): Promise<number> {
  const recipe = recipeFrom(batch.recipe.document);
  if (!recipe.makes) throw refuse("no-ingredient", { method: recipe.name }, "/litres");
  const farm = await findFarm(db);
  if (!farm) throw refuse("no-farm", {});
  const clock = { timeZone: farm.timeZone };
  return bookIn(
    db,
    ctx,
    {
      ingredientId: recipe.makes,
      origin: "home-made",
      receivedOn: isoDay(at, clock),
      received: litres,
      costMinor: await lotCostMinor(db, batch, farm, litres / ofL, ctx.now()),
      expiresOn: isoDay(new Date(at.getTime() + recipe.keeping.shelfH * 3_600_000), clock),
      note: `${batch.recipe.shortName} ${batch.id}`,
      fromBatchId: batch.id,
    },
    at,
    entryId,
  );
}

const TAKE_FROM_BATCH = object(["requestKey", "batchId", "litres"], {
  requestKey: REQUEST_KEY,
  batchId: ROW_ID,
  litres: LITRES,
  at: MOMENT,
});

/** Draws some of a running batch off into the shed, to start another with. @throws {Refusal} */
export const takeFromBatch = act(
  { name: "takeFromBatch", schema: TAKE_FROM_BATCH, may: "helper" },
  async (db, request, ctx): Promise<{ lotId: number; entryId: number }> => {
    const batch = await requireRunning(db, request.batchId);
    const at = momentOf(ctx, request.at, batch.startedAt);
    const standsL = standsIn(batch);
    if (!fits(request.litres, standsL)) throw refuse("more-than-stands", { standsL }, "/litres");
    const entryId = await insertEntry(db, {
      batchId: batch.id,
      kind: "note",
      word: null,
      numberValue: null,
      instrument: null,
      spot: null,
      settled: null,
      note: "",
      moved: { itemId: null, amount: request.litres },
      at,
      correctsId: null,
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    const lotId = await takeIn(db, ctx, batch, Math.min(request.litres, standsL), standsL, at, entryId);
    return { lotId, entryId };
  },
);

const MOVE_TO_SHED = object(["requestKey", "storeId", "litres"], {
  requestKey: REQUEST_KEY,
  storeId: ROW_ID,
  litres: LITRES,
  at: MOMENT,
});

/** Moves part of a store to the shed, to serve as an ingredient. @throws {Refusal} */
export const moveToShed = act(
  { name: "moveToShed", schema: MOVE_TO_SHED, may: "grower" },
  async (db, request, ctx): Promise<{ lotId: number; movementId: number }> => {
    const store = await lockStore(db, request.storeId);
    if (!store) throw refuse("not-found", { thing: "store" }, "/storeId");
    const at = momentOf(ctx, request.at, store.shelfFrom);
    if (!fits(request.litres, store.onHandL)) throw refuse("short-of-store", { leftL: store.onHandL }, "/litres");
    const batch = await lockBatch(db, store.batchId);
    const litres = Math.min(request.litres, store.onHandL);
    const lotId = await takeIn(db, ctx, batch!, litres, batch!.close?.yieldL || batch!.filledL, at);
    const movementId = await insertStoreMovement(db, {
      storeId: store.id,
      changeByL: -litres,
      kind: "moved",
      applicationId: null,
      at,
      actorId: ctx.actor.id,
      note: "",
    });
    return { lotId, movementId };
  },
);
