import "server-only";
import { MOMENT, object, orNull, REASON, REQUEST_KEY, ROW_ID } from "@/contracts/parts";
import { insertArranged } from "@/data/batch";
import { listActors } from "@/data/farm";
import { act } from "../act";
import { refuse } from "../refusal";

/** A task is put off for a week at most: after that it is another one. */
const MOST_MS = 7 * 86_400_000;

const ARRANGE_TASK = object(["requestKey", "taskKey", "personId", "until"], {
  requestKey: REQUEST_KEY,
  taskKey: { type: "string", pattern: "^[A-Za-z0-9:._-]{1,80}$" },
  /** Whose it is; null for anyone. */
  personId: orNull(ROW_ID),
  /** Not before then; null for as soon as it is due. */
  until: orNull(MOMENT),
  reason: orNull(REASON),
});

/** Gives a task of the day to a person, or puts it off to another hour with a reason; arranged again it counts anew. @throws {Refusal} */
export const arrangeTask = act(
  { name: "arrangeTask", schema: ARRANGE_TASK, may: "helper" },
  async (db, request, ctx): Promise<{ arrangedId: number }> => {
    const until = request.until === null ? null : new Date(request.until);
    const reason = request.reason?.trim() ?? "";
    if (until && until <= ctx.now()) throw refuse("put-off-back", {}, "/until");
    if (until && until.getTime() - ctx.now().getTime() > MOST_MS) throw refuse("put-off-far", {}, "/until");
    if (until && reason === "") throw refuse("put-off-why", {}, "/reason");
    if (request.personId !== null && !(await listActors(db)).some(({ id }) => id === request.personId))
      throw refuse("not-found", { thing: "person" }, "/personId");
    return {
      arrangedId: await insertArranged(db, {
        taskKey: request.taskKey,
        personId: request.personId,
        untilAt: until,
        reason,
        at: ctx.now(),
        actorId: ctx.actor.id,
      }),
    };
  },
);
