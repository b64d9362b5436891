import "server-only";
import { NOTE, object, REQUEST_KEY, ROW_ID } from "@/contracts/parts";
import type { Queryable } from "@/data/db";
import { bringBackDevice, lockDevice, retireDevice } from "@/data/devices";
import { listActors } from "@/data/farm";
import { listOpenMixings } from "@/data/mixing";
import { insertThingChange, THING_KINDS, THING_STATES } from "@/data/things";
import { lockVessel } from "@/data/vessels";
import { act, requireMay } from "../act";
import type { Context } from "../context";
import { refuse } from "../refusal";
import { writeThing } from "./changeThing";

const SET_THING_STATE = object(["requestKey", "kind", "id", "state"], {
  requestKey: REQUEST_KEY,
  kind: { enum: THING_KINDS },
  id: ROW_ID,
  state: { enum: THING_STATES },
  note: NOTE,
});

/** A vessel goes nowhere while something is in it, or is being filled in. */
async function requireEmpty(db: Queryable, id: number): Promise<void> {
  const vessel = await lockVessel(db, id);
  if (!vessel) return;
  if (vessel.batchId !== null && !vessel.ended) throw refuse("vessel-filled", { vessel: vessel.name }, "/id");
  const mixing = (await listOpenMixings(db)).find(({ vesselId }) => vesselId === id);
  if (mixing) throw refuse("vessel-mixing", { vessel: vessel.name, by: mixing.actorName }, "/id");
}

/** Somebody has to be there to write things down. */
async function requireOthers(db: Queryable, ctx: Context, id: number): Promise<void> {
  const others = (await listActors(db)).filter((actor) => actor.id !== id);
  if (others.length === 0) throw refuse("last-person", {}, "/id");
  if (id === ctx.actor.id) throw refuse("recording-as", { name: ctx.actor.name }, "/id");
  if (!others.some(({ role }) => role === "steward")) throw refuse("last-steward", {}, "/id");
}

async function setDevice(db: Queryable, ctx: Context, id: number, retired: boolean): Promise<void> {
  const device = await lockDevice(db, id);
  if (!device) throw refuse("not-found", { thing: "device" }, "/id");
  await (retired ? retireDevice(db, id, ctx.now()) : bringBackDevice(db, id));
  await insertThingChange(db, {
    kind: "device",
    thingId: id,
    was: { state: retired ? "in-use" : "retired" },
    became: { state: retired ? "retired" : "in-use" },
    note: "",
    at: ctx.now(),
    actorId: ctx.actor.id,
  });
}

/**
 * Lends something, sends it to repair, puts it away, or brings it back; its past stays as it was.
 * @throws {Refusal} for a vessel with something in it, for the last person, and for who is recording just now
 */
export const setThingState = act(
  { name: "setThingState", schema: SET_THING_STATE, may: "grower" },
  async (db, { kind, id, state, note = "" }, ctx): Promise<{ id: number }> => {
    if (kind === "person") requireMay(ctx, "steward");
    const leaves = state !== "in-use";
    if ((kind === "person" || kind === "device") && leaves && state !== "retired")
      throw refuse("state-of-kind", {}, "/state");
    if (kind === "vessel" && leaves) await requireEmpty(db, id);
    if (kind === "person" && leaves) await requireOthers(db, ctx, id);
    if (kind === "device") await setDevice(db, ctx, id, leaves);
    else await writeThing(db, ctx, kind, id, { state }, note);
    return { id };
  },
);
