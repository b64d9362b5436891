import "server-only";
import { DAY, LITRES, MOMENT, NEEDED_REASON, NOTE, REQUEST_KEY, ROW_ID, SHORT, object, NAME } from "@/contracts/parts";
import { STORE_CHECKS } from "@/core/stock/storeChecks";
import { act } from "../act";
import { fits } from "@/core/quantity/fits";
import { phTarget } from "@/core/book/recipe";
import { recipeFrom } from "@/core/recipe/document";
import type { Queryable } from "@/data/db";
import {
  countParts,
  insertStore,
  insertStoreExpiry,
  insertStoreMovement,
  lockStore,
  type Store,
  type StoreMovement,
  copyStoreChecks,
  insertStoreCheck,
} from "@/data/stores";
import { findFarm } from "@/data/farm";
import { noonOf } from "@/formats/times";
import type { Context } from "../context";
import { refuse } from "../refusal";
import { momentOf } from "../checks";
import { makesGas } from "./storeStates";

async function requireStore(db: Queryable, id: number): Promise<Store> {
  const store = await lockStore(db, id);
  if (!store) throw refuse("not-found", { thing: "store" }, "/storeId");
  return store;
}

const move = (
  db: Queryable,
  ctx: Context,
  storeId: number,
  changeByL: number,
  kind: StoreMovement["kind"],
  at: Date,
  note: string,
): Promise<number> =>
  insertStoreMovement(db, { storeId, changeByL, kind, applicationId: null, at, actorId: ctx.actor.id, note });

const requireLitres = async (db: Queryable, store: Store, litres: number, path: string): Promise<void> => {
  if (!fits(litres, store.onHandL)) throw refuse("short-of-store", { leftL: store.onHandL }, path);
};

const EMPTY_STORE = object(["requestKey", "storeId", "litres", "to", "reason"], {
  requestKey: REQUEST_KEY,
  storeId: ROW_ID,
  litres: LITRES,
  to: { enum: ["composted", "bare-ground", "wasted"] },
  reason: NEEDED_REASON,
  at: MOMENT,
});

/** What is past its peak goes to the heap, onto bare ground or out, with the reason; it stays in the books. @throws {Refusal} */
export const emptyStore = act(
  { name: "emptyStore", schema: EMPTY_STORE, may: "grower" },
  async (db, request, ctx): Promise<{ storeId: number; movementId: number }> => {
    const store = await requireStore(db, request.storeId);
    const at = momentOf(ctx, request.at, store.shelfFrom);
    await requireLitres(db, store, request.litres, "/litres");
    const litres = Math.min(request.litres, store.onHandL);
    const movementId = await move(db, ctx, store.id, -litres, request.to, at, request.reason.trim());
    return { storeId: store.id, movementId };
  },
);

const COUNT_STORE = object(["requestKey", "storeId", "litres"], {
  requestKey: REQUEST_KEY,
  storeId: ROW_ID,
  litres: { type: "number", minimum: 0, maximum: 20000 },
  reason: NOTE,
});

/** A store was measured: the difference is a line of its own. @throws {Refusal} */
export const countStore = act(
  { name: "countStore", schema: COUNT_STORE, may: "helper" },
  async (db, request, ctx): Promise<{ storeId: number; movementId: number | null }> => {
    const store = await requireStore(db, request.storeId);
    const difference = Math.round((request.litres - store.onHandL) * 1000) / 1000;
    const movementId =
      difference === 0 ? null : await move(db, ctx, store.id, difference, "counted", ctx.now(), request.reason ?? "");
    return { storeId: store.id, movementId };
  },
);

const KEEP_STORE = object(["requestKey", "storeId", "until", "reason"], {
  requestKey: REQUEST_KEY,
  storeId: ROW_ID,
  until: DAY,
  reason: NEEDED_REASON,
});

/**
 * A store keeps to another day: opened, it spoils sooner; smelt and found good, it may have longer. What is alive and fading has no longer.
 * @throws {Refusal}
 */
export const keepStore = act(
  { name: "keepStore", schema: KEEP_STORE, may: "grower" },
  async (db, request, ctx): Promise<{ storeId: number; expiryId: number }> => {
    const store = await requireStore(db, request.storeId);
    const farm = await findFarm(db);
    const expiresAt = noonOf(request.until, { timeZone: farm?.timeZone ?? "UTC" });
    if (expiresAt <= store.shelfFrom) throw refuse("not-made-yet", {}, "/until");
    const { keeping, name } = recipeFrom(store.recipe);
    if (keeping.living && expiresAt > store.expiresAt) throw refuse("keeps-no-longer", { method: name }, "/until");
    const expiryId = await insertStoreExpiry(db, {
      storeId: store.id,
      expiresAt,
      reason: request.reason.trim(),
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    return { storeId: store.id, expiryId };
  },
);

const POUR_STORE = object(["requestKey", "storeId", "parts"], {
  requestKey: REQUEST_KEY,
  storeId: ROW_ID,
  parts: {
    type: "array",
    minItems: 1,
    maxItems: 40,
    items: object(["litres", "label", "container"], {
      litres: LITRES,
      label: { ...NAME, maxLength: 60 },
      container: { enum: ["breathable", "sealed", "vented"] },
      place: SHORT,
    }),
  },
  at: MOMENT,
});

/**
 * Pours a store over into others: each part gets a number of its own under the batch, its container, and a shelf life that runs on from where
 * it stood; opening does not make it younger.
 * @throws {Refusal} for more than there is, and for a tight lid on what makes gas
 */
export const pourStore = act(
  { name: "pourStore", schema: POUR_STORE, may: "helper" },
  async (db, request, ctx): Promise<{ storeIds: number[] }> => {
    const store = await requireStore(db, request.storeId);
    const at = momentOf(ctx, request.at, store.shelfFrom);
    const total = request.parts.reduce((sum, { litres }) => sum + litres, 0);
    await requireLitres(db, store, total, "/parts/0/litres");
    const recipe = recipeFrom(store.recipe);
    const sealed = request.parts.findIndex(({ container }) => container === "sealed");
    if (sealed >= 0 && makesGas(recipe.lid, recipe.keeping.living))
      throw refuse("lid-bursts", { method: recipe.name }, `/parts/${sealed}/container`);
    const first = (await countParts(db, store.batchId)) + 1;
    const storeIds: number[] = [];
    // Rounded marks may add up to a little more than there is; then each has its share.
    const ofWhole = Math.min(1, store.onHandL / total);
    for (const [index, part] of request.parts.entries()) {
      const litres = part.litres * ofWhole;
      const id = await insertStore(db, {
        batchId: store.batchId,
        parentId: store.id,
        partNo: first + index,
        label: part.label.trim(),
        atOnce: store.atOnce,
        place: part.place?.trim() || store.place,
        container: part.container,
        shelfFrom: store.shelfFrom,
        expiresAt: store.expiresAt,
      });
      await copyStoreChecks(db, store.id, id);
      await move(db, ctx, store.id, -litres, "poured", at, `into ${part.label.trim()}`);
      await move(db, ctx, id, litres, "poured", at, `from ${store.label}`);
      storeIds.push(id);
    }
    return { storeIds };
  },
);

/** So far above its target a sour liquid no longer keeps by its sourness. */
const SOUR_MARGIN = 0.5;

const CHECK_STORE = object(["requestKey", "storeId", "kind"], {
  requestKey: REQUEST_KEY,
  storeId: ROW_ID,
  kind: { enum: STORE_CHECKS },
  ph: { type: ["number", "null"], minimum: 0, maximum: 14 },
  note: NOTE,
  at: MOMENT,
});

/**
 * A store was looked at: its gas let out, smelt and found good, or found off. Nothing found off is lifted by a later line alone; it stays
 * doubtful.
 * @throws {Refusal} for a good word over a pH that has climbed
 */
export const checkStore = act(
  { name: "checkStore", schema: CHECK_STORE, may: "helper" },
  async (db, request, ctx): Promise<{ storeId: number; checkId: number }> => {
    const store = await requireStore(db, request.storeId);
    const at = momentOf(ctx, request.at, store.shelfFrom);
    const target = phTarget(recipeFrom(store.recipe));
    const ph = request.ph ?? null;
    if (request.kind === "smelt-good" && ph !== null && target !== null && ph > target + SOUR_MARGIN)
      throw refuse("not-sour-enough", { ph }, "/ph");
    const checkId = await insertStoreCheck(db, {
      storeId: store.id,
      kind: request.kind,
      ph,
      note: request.note?.trim() ?? "",
      at,
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    return { storeId: store.id, checkId };
  },
);
