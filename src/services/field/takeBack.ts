import "server-only";
import { NEEDED_REASON, REQUEST_KEY, ROW_ID, object } from "@/contracts/parts";
import { findApplication, insertTakenBack } from "@/data/field";
import { insertStoreMovement, lockStore } from "@/data/stores";
import { act } from "../act";
import { refuse } from "../refusal";

const TAKE_BACK = object(["requestKey", "applicationId", "reason"], {
  requestKey: REQUEST_KEY,
  applicationId: ROW_ID,
  reason: NEEDED_REASON,
});

/**
 * An application that was a slip counts no more: its litres are in the store again, its beds never got it. Water that thinned it stays drawn, until
 * the butt is read again.
 * @throws {Refusal} where there is none, or it is taken back already
 */
export const takeBackApplication = act(
  { name: "takeBackApplication", schema: TAKE_BACK, may: "everybody" },
  async (db, request, ctx): Promise<{ applicationId: number }> => {
    const { applicationId } = request;
    const found = await findApplication(db, applicationId);
    if (!found) throw refuse("not-found", { thing: "application" }, "/applicationId");
    await lockStore(db, found.storeId);
    // Somebody else may have taken it back while the store was waited for.
    if (!(await findApplication(db, applicationId)))
      throw refuse("not-found", { thing: "application" }, "/applicationId");
    await insertTakenBack(db, applicationId, request.reason.trim(), ctx.actor.id, ctx.now());
    await insertStoreMovement(db, {
      storeId: found.storeId,
      changeByL: found.concentrateL,
      kind: "corrected",
      applicationId: null,
      at: ctx.now(),
      actorId: ctx.actor.id,
      note: `taken back: ${request.reason.trim()}`.slice(0, 200),
    });
    return { applicationId };
  },
);
