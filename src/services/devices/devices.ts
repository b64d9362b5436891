import "server-only";
import { MOMENT, NAME, REQUEST_KEY, ROW_ID, object, orNull } from "@/contracts/parts";
import { act } from "../act";
import { insertDevice, insertPlacing, lockDevice, retireDevice as endDevice } from "@/data/devices";
import { lockVessel } from "@/data/vessels";
import type { Queryable } from "@/data/db";
import { refuse } from "../refusal";
import { momentOf, withFreeName } from "../checks";
import { hashOf } from "./takeReadings";

/** A device may have hung in a place some days before that is written down. */
const FROM_THE_FIRST = new Date("2000-01-01T00:00:00Z");

async function requireVessel(db: Queryable, vesselId: number | null): Promise<void> {
  if (vesselId !== null && !(await lockVessel(db, vesselId)))
    throw refuse("not-found", { thing: "vessel" }, "/vesselId");
}

const PLACE = orNull(ROW_ID);

const ADD_DEVICE = object(["requestKey", "name", "kind", "vesselId", "token"], {
  requestKey: REQUEST_KEY,
  name: NAME,
  kind: { enum: ["station", "probe"] },
  /** null: it hangs in the air. */
  vesselId: PLACE,
  /** Made where it is shown; only its hash is kept. */
  token: { type: "string", pattern: "^[A-Za-z0-9_-]{32,128}$" },
});

/**
 * Takes a device into use. Its token was made where it is shown, once; only its hash is kept.
 * @throws {Refusal} for a name that is taken, a probe without a vessel
 */
export const addDevice = act(
  { name: "addDevice", schema: ADD_DEVICE, may: "steward" },
  async (db, request, ctx): Promise<{ deviceId: number }> => {
    if (request.kind === "probe" && request.vesselId === null) throw refuse("which-vessel", {}, "/vesselId");
    await requireVessel(db, request.vesselId);
    const name = request.name.trim();
    const deviceId = await withFreeName(name, () =>
      insertDevice(db, {
        name,
        kind: request.kind,
        tokenHash: hashOf(request.token),
        actorId: ctx.actor.id,
        addedAt: ctx.now(),
      }),
    );
    await insertPlacing(db, deviceId, request.vesselId, FROM_THE_FIRST, ctx.actor.id);
    return { deviceId };
  },
);

const PLACE_DEVICE = object(["requestKey", "deviceId", "vesselId"], {
  requestKey: REQUEST_KEY,
  deviceId: ROW_ID,
  vesselId: PLACE,
  at: MOMENT,
});

/** Hangs a device elsewhere from a moment on; what it read before stays where it was read. @throws {Refusal} */
export const placeDevice = act(
  { name: "placeDevice", schema: PLACE_DEVICE, may: "grower" },
  async (db, request, ctx): Promise<{ deviceId: number }> => {
    if (!(await lockDevice(db, request.deviceId))) throw refuse("not-found", { thing: "device" }, "/deviceId");
    await requireVessel(db, request.vesselId);
    await insertPlacing(db, request.deviceId, request.vesselId, momentOf(ctx, request.at), ctx.actor.id);
    return { deviceId: request.deviceId };
  },
);

const RETIRE_DEVICE = object(["requestKey", "deviceId"], { requestKey: REQUEST_KEY, deviceId: ROW_ID });

/** Takes a device out of use: its token no longer opens anything, its readings stay. @throws {Refusal} */
export const retireDevice = act(
  { name: "retireDevice", schema: RETIRE_DEVICE, may: "steward" },
  async (db, request, ctx): Promise<{ deviceId: number }> => {
    if (!(await lockDevice(db, request.deviceId))) throw refuse("not-found", { thing: "device" }, "/deviceId");
    await endDevice(db, request.deviceId, ctx.now());
    return { deviceId: request.deviceId };
  },
);
