import "server-only";
import { MOMENT, NOTE, object, REQUEST_KEY, ROW_ID } from "@/contracts/parts";
import { findBatch, insertBatchPhoto } from "@/data/batch";
import { act } from "../act";
import { momentOf } from "../checks";
import { cleanPhoto, PHOTO, PHOTO_ACT_BYTES } from "../photo";
import { refuse } from "../refusal";

const ADD_BATCH_PHOTO = object(["requestKey", "batchId", "jpeg"], {
  requestKey: REQUEST_KEY,
  batchId: ROW_ID,
  jpeg: PHOTO,
  at: MOMENT,
  note: NOTE,
});

/** Keeps a photograph of a batch, as it looked at a moment. @throws {Refusal} for what is no picture, or lies outside the batch's life */
export const addBatchPhoto = act(
  { name: "addBatchPhoto", schema: ADD_BATCH_PHOTO, may: "helper", mostBytes: PHOTO_ACT_BYTES },
  async (db, request, ctx): Promise<{ photoId: string }> => {
    const jpeg = await cleanPhoto(request.jpeg);
    const batch = await findBatch(db, request.batchId);
    if (!batch) throw refuse("not-found", { thing: "batch" }, "/jpeg");
    const photoId = await insertBatchPhoto(db, {
      batchId: batch.id,
      at: momentOf(ctx, request.at, batch.startedAt),
      jpeg,
      note: request.note?.trim() ?? "",
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    return { photoId };
  },
);
