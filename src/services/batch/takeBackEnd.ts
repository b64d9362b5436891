import "server-only";
import { object, REQUEST_KEY, ROW_ID } from "@/contracts/parts";
import {
  findStandingClose,
  insertCloseTakenBack,
  listLotsLeft,
  listStoresLeft,
  lockBatch,
  type LeftByEnd,
} from "@/data/batch";
import { insertStockMovement, lockLot } from "@/data/shed";
import { insertStoreMovement, lockStore } from "@/data/stores";
import { lockVessel } from "@/data/vessels";
import { act } from "../act";
import { keepForecast } from "../ferment";
import { refuse } from "../refusal";

const TAKE_BACK = object(["requestKey", "batchId"], { requestKey: REQUEST_KEY, batchId: ROW_ID });

/** What was left untouched since. @throws {Refusal} for what was used, poured or counted: that comes first */
function untouched(left: readonly LeftByEnd[], came: string): readonly LeftByEnd[] {
  return left.filter(({ moves, label, onHand }) => {
    if (moves.join() === came) return true;
    // Of an end that was taken back before.
    if (moves.join() === `${came},corrected` && onHand === 0) return false;
    throw refuse("end-used", { what: label }, "/batchId");
  });
}

/**
 * A batch that was ended by a slip runs on: what it gave is gone from the shed, its vessel holds it again, its log and its forecast go on. Not once its
 * vessel was washed or filled, or something of it was used.
 * @throws {Refusal}
 */
export const takeBackEnd = act(
  { name: "takeBackEnd", schema: TAKE_BACK, may: "grower" },
  async (db, { batchId }, ctx): Promise<{ batchId: number }> => {
    const batch = await lockBatch(db, batchId);
    if (!batch) throw refuse("not-found", { thing: "batch" }, "/batchId");
    const vessel = (await lockVessel(db, batch.vesselId))!;
    const close = await findStandingClose(db, batchId);
    if (!close) throw refuse("not-ended", {}, "/batchId");
    if (close.kind === "taken-back") throw refuse("never-started", {}, "/batchId");
    if (vessel.batchId !== batchId) throw refuse("end-vessel-taken", { vessel: vessel.name }, "/batchId");
    if (vessel.cleaned) throw refuse("end-vessel-washed", { vessel: vessel.name }, "/batchId");
    const moved = { at: ctx.now(), actorId: ctx.actor.id, note: "", kind: "corrected" as const };
    // Locked first, and looked at then: somebody may be pouring from one just now.
    for (const { id } of await listStoresLeft(db, batchId)) await lockStore(db, id);
    for (const { id } of await listLotsLeft(db, batchId, close.addedAt)) await lockLot(db, id);
    for (const { id, onHand } of untouched(await listStoresLeft(db, batchId), "strained"))
      await insertStoreMovement(db, { ...moved, storeId: id, changeByL: -onHand, applicationId: null });
    for (const { id, onHand } of untouched(await listLotsLeft(db, batchId, close.addedAt), "received"))
      await insertStockMovement(db, { ...moved, lotId: id, changeBy: -onHand, batchId: null });
    await insertCloseTakenBack(db, close.id, ctx.now(), ctx.actor.id);
    await keepForecast(db, batchId, null, ctx.now());
    return { batchId };
  },
);
