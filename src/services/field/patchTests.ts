import "server-only";
import { ID, MOMENT, REQUEST_KEY, ROW_ID, object } from "@/contracts/parts";
import { findUse } from "@/core/book/uses";
import { parseDilution } from "@/core/quantity/ratio";
import { findFarm } from "@/data/farm";
import { insertPatchLook, insertPatchTest, listPlots, lockPatchTest, PATCH_RESULTS } from "@/data/field";
import { lockStore } from "@/data/stores";
import { isoDay } from "@/formats/times";
import { act } from "../act";
import { momentOf } from "../checks";
import { atField, refuse } from "../refusal";

const PATCH_TEST = object(["requestKey", "storeId", "plotId", "useId", "ratio"], {
  requestKey: REQUEST_KEY,
  storeId: ROW_ID,
  plotId: ROW_ID,
  useId: ID,
  ratio: { type: "string", minLength: 1, maxLength: 40 },
  at: MOMENT,
});

/** A few leaves of a plot are treated, to be looked at before the rest is. @throws {Refusal} */
export const startPatchTest = act(
  { name: "startPatchTest", schema: PATCH_TEST, may: "helper" },
  async (db, request, ctx): Promise<{ patchTestId: number }> => {
    const store = await lockStore(db, request.storeId);
    if (!store) throw refuse("not-found", { thing: "store" }, "/storeId");
    const at = momentOf(ctx, request.at, store.shelfFrom);
    const farm = await findFarm(db);
    const plots = await listPlots(db, isoDay(at, { timeZone: farm?.timeZone ?? "UTC" }), false, [request.plotId]);
    if (!plots.some(({ id }) => id === request.plotId)) throw refuse("not-found", { thing: "plot" }, "/plotId");
    const { id: useId } = atField("/useId", () => findUse(request.useId));
    const { partsWater } = atField("/ratio", () => parseDilution(request.ratio, [], "/ratio", farm?.units ?? "metric"));
    const { batchId } = store;
    const by = { actorId: ctx.actor.id, addedAt: ctx.now() };
    return {
      patchTestId: await insertPatchTest(db, { batchId, plotId: request.plotId, useId, partsWater, at, ...by }),
    };
  },
);

const LOOK = object(["requestKey", "patchTestId", "result", "note"], {
  requestKey: REQUEST_KEY,
  patchTestId: ROW_ID,
  result: { enum: PATCH_RESULTS },
  at: MOMENT,
  note: { type: "string", maxLength: 300 },
});

/** What a patch test shows; looked at again, the latest look counts. @throws {Refusal} */
export const seePatchTest = act(
  { name: "seePatchTest", schema: LOOK, may: "helper" },
  async (db, request, ctx): Promise<{ patchTestId: number; lookId: number }> => {
    const { patchTestId: testId, result, note } = request;
    if (!(await lockPatchTest(db, testId))) throw refuse("not-found", { thing: "patch-test" }, "/patchTestId");
    const lookId = await insertPatchLook(db, {
      testId,
      result,
      note: note.trim(),
      at: momentOf(ctx, request.at),
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    return { patchTestId: testId, lookId };
  },
);
