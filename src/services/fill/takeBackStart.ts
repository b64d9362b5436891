import "server-only";
import { writerOf } from "@/data/people";
import { object, REQUEST_KEY, ROW_ID } from "@/contracts/parts";
import { insertClose, isWrittenOf, lockBatch } from "@/data/batch";
import { listDrawLines, listLinesCameWith } from "@/data/shed";
import { lockVessel } from "@/data/vessels";
import { act } from "../act";
import { refuse } from "../refusal";
import { putBack } from "../shed";

const TAKE_BACK_START = object(["requestKey", "batchId"], { requestKey: REQUEST_KEY, batchId: ROW_ID });

/**
 * A batch that was started by a slip never was: its vessel stands as it stood before, what it took is in stock again, its water in its butt; the plan or
 * the filling that it came of is open again. Not once something is in its log.
 * @throws {Refusal}
 */
export const takeBackStart = act(
  {
    name: "takeBackStart",
    schema: TAKE_BACK_START,
    may: "helper",
    ofOthers: { may: "grower", ownerOf: (db, asked) => writerOf(db, "batch", (asked as { batchId: number }).batchId) },
  },
  async (db, { batchId }, ctx): Promise<{ vesselId: number }> => {
    const batch = await lockBatch(db, batchId);
    if (!batch) throw refuse("not-found", { thing: "batch" }, "/batchId");
    if (batch.close) throw refuse("batch-closed", { as: batch.close.kind, by: batch.close.actorName }, "/batchId");
    await lockVessel(db, batch.vesselId);
    if (await isWrittenOf(db, batchId)) throw refuse("start-logged", {}, "/batchId");
    await putBack(db, ctx, await listDrawLines(db, batchId), "/batchId");
    await putBack(db, ctx, await listLinesCameWith(db, batchId), "/batchId");
    await insertClose(db, {
      batchId,
      kind: "taken-back",
      at: batch.startedAt,
      yieldL: 0,
      yieldKg: null,
      residue: "",
      residueKg: null,
      rinse: null,
      labourMin: 0,
      // Nobody judged it: there was nothing to judge.
      verdict: "early",
      overrideReason: null,
      note: "",
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    return { vesselId: batch.vesselId };
  },
);
