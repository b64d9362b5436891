import "server-only";
import { NEEDED_REASON, REQUEST_KEY, ROW_ID, object } from "@/contracts/parts";
import { timesBrought } from "@/core/apply/brought";
import { findFarm } from "@/data/farm";
import { addToBrought, insertTakenBack, listStandingOfBlend, seekLatest } from "@/data/field";
import { insertStoreMovement, lockStore } from "@/data/stores";
import { isoDay } from "@/formats/times";
import { act } from "../act";
import { refuse } from "../refusal";

const TAKE_BACK = object(["requestKey", "applicationId", "reason"], {
  requestKey: REQUEST_KEY,
  applicationId: ROW_ID,
  reason: NEEDED_REASON,
});

/**
 * An application that was a slip counts no more, and what was in the can with it neither: its litres are in the store again, its beds never got it. Water
 * that thinned it stays drawn, until the butt is read again.
 * @throws {Refusal} where there is none, or it is taken back already
 */
export const takeBackApplication = act(
  { name: "takeBackApplication", schema: TAKE_BACK, may: "everybody" },
  async (db, request, ctx): Promise<{ applicationId: number }> => {
    const { applicationId } = request;
    const before = await listStandingOfBlend(db, applicationId);
    if (before.length === 0) throw refuse("not-found", { thing: "application" }, "/applicationId");
    for (const storeId of before.map((one) => one.storeId).toSorted((a, b) => a - b)) await lockStore(db, storeId);
    // Somebody else may have taken it back while the stores were waited for.
    const standing = await listStandingOfBlend(db, applicationId);
    if (standing.length === 0) throw refuse("not-found", { thing: "application" }, "/applicationId");
    const clock = { timeZone: (await findFarm(db))?.timeZone ?? "UTC" };
    const reason = request.reason.trim();
    for (const { id, storeId, concentrateL, at, brings, plots } of standing) {
      await insertTakenBack(db, id, reason, ctx.actor.id, ctx.now());
      if (brings)
        for (const plot of plots)
          await addToBrought(db, plot.plotId, isoDay(at, clock), timesBrought(brings, -plot.concentrateL));
      await insertStoreMovement(db, {
        storeId,
        changeByL: concentrateL,
        kind: "corrected",
        applicationId: null,
        at: ctx.now(),
        actorId: ctx.actor.id,
        note: `taken back: ${reason}`.slice(0, 200),
      });
    }
    await seekLatest(
      db,
      standing.flatMap(({ plots }) => plots.map(({ plotId }) => plotId)),
    );
    return { applicationId };
  },
);
