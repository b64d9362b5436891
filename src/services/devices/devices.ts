import "server-only";
import { insertDevice, insertPlacing, lockDevice, retireDevice } from "@/data/devices";
import { lockVessel } from "@/data/vessels";
import type { Queryable } from "@/data/db";
import type { Context } from "../context";
import { refuseAt } from "../refusal";
import { momentOf, withFreeName, write } from "../write";
import { hashOf } from "./takeReadings";

/** A device may have hung in a place some days before that is written down. */
const FROM_THE_FIRST = new Date("2000-01-01T00:00:00Z");

async function requireVessel(db: Queryable, vesselId: number | null): Promise<void> {
  if (vesselId !== null && !(await lockVessel(db, vesselId)))
    throw refuseAt("not-found", "/vesselId", "There is no such vessel.");
}

/**
 * Takes a device into use. Its token was made where it is shown, once; only its hash is kept.
 * @throws {Refusal} for a name that is taken, a probe without a vessel
 */
export const addDevice = (ctx: Context, input: unknown): Promise<{ deviceId: number }> =>
  write(ctx, "addDevice", input, async (db, request) => {
    if (request.kind === "probe" && request.vesselId === null)
      throw refuseAt("bad-request", "/vesselId", "In which vessel does it hang?");
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
  });

/** Hangs a device elsewhere from a moment on; what it read before stays where it was read. @throws {Refusal} */
export const placeDevice = (ctx: Context, input: unknown): Promise<{ deviceId: number }> =>
  write(ctx, "placeDevice", input, async (db, request) => {
    if (!(await lockDevice(db, request.deviceId))) throw refuseAt("not-found", "/deviceId", "There is no such device.");
    await requireVessel(db, request.vesselId);
    await insertPlacing(db, request.deviceId, request.vesselId, momentOf(ctx, request.at), ctx.actor.id);
    return { deviceId: request.deviceId };
  });

/** Takes a device out of use: its token no longer opens anything, its readings stay. @throws {Refusal} */
export const retire = (ctx: Context, input: unknown): Promise<{ deviceId: number }> =>
  write(ctx, "retireDevice", input, async (db, request) => {
    if (!(await lockDevice(db, request.deviceId))) throw refuseAt("not-found", "/deviceId", "There is no such device.");
    await retireDevice(db, request.deviceId, ctx.now());
    return { deviceId: request.deviceId };
  });
