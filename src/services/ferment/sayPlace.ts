import "server-only";
import { REQUEST_KEY, ROW_ID, object } from "@/contracts/parts";
import { PLACE_KINDS } from "@/core/ferment/temperature/places";
import { act } from "../act";
import { lockVessel, insertPlaceAtSite } from "@/data/vessels";
import { refuse } from "../refusal";

const WARMTH_C = { type: "number", minimum: -20, maximum: 60 } as const;

/** Where a vessel stands; how warm it is there where somebody knows, °C. */
const SAY_PLACE = object(["requestKey", "vesselId", "kind"], {
  requestKey: REQUEST_KEY,
  vesselId: ROW_ID,
  kind: { enum: PLACE_KINDS },
  lowC: WARMTH_C,
  highC: WARMTH_C,
});

/**
 * Says where a vessel stands, and with it all that stand at the same site. Said again it counts anew; `unsaid` takes it back.
 * @throws {Refusal} for a vessel that is none, or a warmth whose ends are crossed
 */
export const sayPlace = act(
  { name: "sayPlace", schema: SAY_PLACE, may: "helper" },
  async (db, request, ctx): Promise<{ vessels: number }> => {
    if (!(await lockVessel(db, request.vesselId))) throw refuse("not-found", { thing: "vessel" }, "/vesselId");
    const { kind, lowC, highC } = request;
    if ((lowC === undefined) !== (highC === undefined))
      throw refuse("both-ends", {}, lowC === undefined ? "/lowC" : "/highC");
    if (lowC !== undefined && highC !== undefined && lowC > highC) throw refuse("ends-crossed", {}, "/highC");
    const place = { kind, ...(lowC === undefined || highC === undefined ? {} : { celsius: [lowC, highC] as const }) };
    return { vessels: await insertPlaceAtSite(db, request.vesselId, place, ctx.actor.id, ctx.now()) };
  },
);
