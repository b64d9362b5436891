import "server-only";
import { REQUEST_KEY, ROW_ID, object } from "@/contracts/parts";
import { listActors } from "@/data/farm";
import { insertTaskShare } from "@/data/batch";
import { act } from "../act";
import { refuse } from "../refusal";
import { requireRunning } from "./running";

const SHARE_TASK = object(["requestKey", "batchId", "act", "personId", "slot"], {
  requestKey: REQUEST_KEY,
  batchId: ROW_ID,
  act: { type: "string", pattern: "^[a-z-]{1,20}$" },
  personId: { anyOf: [ROW_ID, { type: "null" }] },
  slot: { enum: ["morning", "midday", "evening", null] },
});

/** Says who does a task of a batch, and in which part of the day. @throws {Refusal} */
export const shareTask = act(
  { name: "shareTask", schema: SHARE_TASK, may: "helper" },
  async (db, request, ctx): Promise<{ shareId: number }> => {
    const batch = await requireRunning(db, request.batchId);
    if (request.personId !== null && !(await listActors(db)).some(({ id }) => id === request.personId))
      throw refuse("not-found", { thing: "person" }, "/personId");
    const shareId = await insertTaskShare(db, {
      batchId: batch.id,
      act: request.act,
      personId: request.personId,
      slot: request.slot,
      at: ctx.now(),
      actorId: ctx.actor.id,
    });
    return { shareId };
  },
);
