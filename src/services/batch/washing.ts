import "server-only";
import { MOMENT, object, REQUEST_KEY, ROW_ID } from "@/contracts/parts";
import type { Queryable } from "@/data/db";
import { listOpenMixings } from "@/data/mixing";
import { insertCleaning, lockVessel, takeBackCleaning, type VesselState } from "@/data/vessels";
import { act } from "../act";
import { momentOf } from "../checks";
import { refuse } from "../refusal";

const WASHED = object(["requestKey", "vesselId"], { requestKey: REQUEST_KEY, vesselId: ROW_ID, at: MOMENT });
const NOT_WASHED = object(["requestKey", "vesselId"], { requestKey: REQUEST_KEY, vesselId: ROW_ID });

/** The vessel, locked, once its batch has ended. */
async function lockEnded(db: Queryable, vesselId: number): Promise<VesselState> {
  const vessel = await lockVessel(db, vesselId);
  if (!vessel) throw refuse("not-found", { thing: "vessel" }, "/vesselId");
  if (vessel.batchId !== null && !vessel.ended)
    throw refuse("vessel-holds-batch", { vessel: vessel.name }, "/vesselId");
  return vessel;
}

/** Marks a vessel as washed since its last batch, so that it is free. @throws {Refusal} */
export const cleanVessel = act(
  { name: "cleanVessel", schema: WASHED, may: "helper" },
  async (db, request, ctx): Promise<{ vesselId: number }> => {
    const vessel = await lockEnded(db, request.vesselId);
    if (vessel.batchId !== null && !vessel.cleaned)
      await insertCleaning(db, vessel.batchId, momentOf(ctx, request.at), ctx.actor.id);
    return { vesselId: vessel.id };
  },
);

/** Takes the last washing of a vessel back, as a slip: it needs washing again. Not once something is in it. @throws {Refusal} */
export const takeBackWashing = act(
  { name: "takeBackWashing", schema: NOT_WASHED, may: "helper" },
  async (db, request, ctx): Promise<{ vesselId: number }> => {
    const vessel = await lockEnded(db, request.vesselId);
    const mixing = (await listOpenMixings(db)).find(({ vesselId }) => vesselId === vessel.id);
    if (mixing) throw refuse("vessel-mixing", { vessel: vessel.name, by: mixing.actorName }, "/vesselId");
    if (vessel.batchId !== null && vessel.cleaned) await takeBackCleaning(db, vessel.batchId, ctx.now(), ctx.actor.id);
    return { vesselId: vessel.id };
  },
);
