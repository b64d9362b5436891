import "server-only";
import { lockVessel } from "@/data/vessels";
import { insertPlaceAtSite } from "@/data/vesselPlaces";
import type { Context } from "../context";
import { refuseAt } from "../refusal";
import { write } from "../write";

/**
 * Says where a vessel stands, and with it all that stand at the same site. Said again it counts anew; `unsaid` takes it back.
 * @throws {Refusal} for a vessel that is none, or a warmth whose ends are crossed
 */
export const sayPlace = (ctx: Context, input: unknown): Promise<{ vessels: number }> =>
  write(ctx, "sayPlace", input, async (db, request) => {
    if (!(await lockVessel(db, request.vesselId))) throw refuseAt("not-found", "/vesselId", "There is no such vessel.");
    const { kind, lowC, highC } = request;
    if ((lowC === undefined) !== (highC === undefined))
      throw refuseAt("bad-request", lowC === undefined ? "/lowC" : "/highC", "Give both ends, or neither.");
    if (lowC !== undefined && highC !== undefined && lowC > highC)
      throw refuseAt("bad-request", "/highC", "The warmest is cooler than the coolest.");
    const place = { kind, ...(lowC === undefined || highC === undefined ? {} : { celsius: [lowC, highC] as const }) };
    return { vessels: await insertPlaceAtSite(db, request.vesselId, place, ctx.actor.id, ctx.now()) };
  });
