import "server-only";
import { MOMENT, object, REQUEST_KEY, ROW_ID } from "@/contracts/parts";
import { MAY_WAIT, mayWait } from "@/contracts/waiting";
import { mayAs } from "@/core/people/roles";
import { inTransaction } from "@/data/db";
import { isActor } from "@/data/farm";
import { endHeld, HELD_BECAUSE, insertHeld, lockHeld } from "@/data/people";
import { act, actByName, bareAct, type Act } from "../act";
import type { Context } from "../context";
import { refuse } from "../refusal";

const KEEP_FOR_STEWARD = object(["requestKey", "actName", "request", "said", "because", "personId", "doneAt"], {
  requestKey: REQUEST_KEY,
  actName: { enum: Object.keys(MAY_WAIT) as (keyof typeof MAY_WAIT)[] },
  /** As it would have been sent; its own act reads it once a steward enters it. */
  request: { type: "object" },
  said: { type: "string", maxLength: 200 },
  because: { enum: HELD_BECAUSE },
  personId: ROW_ID,
  doneAt: MOMENT,
});

/** Photographs are the largest of what may wait. */
const MOST_BYTES = 9_000_000;

/**
 * Keeps what somebody did without a signal and may not enter any more, for a steward to decide. One's own; a steward hands in what somebody who left did.
 * @throws {Refusal}
 */
export const keepForSteward = act(
  { name: "keepForSteward", schema: KEEP_FOR_STEWARD, may: "viewer", mostBytes: MOST_BYTES },
  async (db, { actName, request, said, because, personId, doneAt }, ctx): Promise<{ heldId: number }> => {
    if (personId !== ctx.actor.id && !mayAs(ctx.actor.role, "steward")) throw refuse("not-yours", { least: "steward" });
    if (personId !== ctx.actor.id && !(await isActor(db, personId)))
      throw refuse("not-found", { thing: "person" }, "/personId");
    return {
      heldId: await insertHeld(db, {
        actName,
        request,
        said,
        because,
        actorId: personId,
        doneAt: new Date(Math.min(Date.parse(doneAt), ctx.now().getTime())),
        heldBy: ctx.actor.id,
        heldAt: ctx.now(),
      }),
    };
  },
);

const OF_HELD = object(["requestKey", "heldId"], { requestKey: REQUEST_KEY, heldId: ROW_ID });

function actOf(name: string): Act<unknown, unknown> {
  const found = mayWait(name) ? actByName(name) : null;
  if (!found) throw refuse("not-found", { thing: "entry" }, "/heldId");
  return found;
}

/**
 * Enters one that was kept, by the steward's own right and at the hour at which it was done; its key is its own, so that it is written once whatever
 * happens in between.
 * @throws {Refusal} as its own act refuses it; then it stays kept
 */
export const enterHeld = bareAct(
  { name: "enterHeld", schema: OF_HELD, may: "steward" },
  async (ctx: Context, { heldId }): Promise<{ heldId: number }> => {
    const held = await inTransaction(ctx.pool, (db) => lockHeld(db, heldId));
    if (!held) throw refuse("held-done", {}, "/heldId");
    await (
      await actOf(held.actName)
    )(ctx, held.request);
    await inTransaction(ctx.pool, async (db) => {
      if (await lockHeld(db, heldId)) await endHeld(db, heldId, "entered", { actorId: ctx.actor.id, at: ctx.now() });
    });
    return { heldId };
  },
);

/** Lets go of one that was kept: it was not so, or stands there already. The record of it stays. @throws {Refusal} */
export const dropHeld = act(
  { name: "dropHeld", schema: OF_HELD, may: "steward" },
  async (db, { heldId }, ctx): Promise<{ heldId: number }> => {
    if (!(await lockHeld(db, heldId))) throw refuse("held-done", {}, "/heldId");
    await endHeld(db, heldId, "dropped", { actorId: ctx.actor.id, at: ctx.now() });
    return { heldId };
  },
);
