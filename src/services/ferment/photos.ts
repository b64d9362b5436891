import "server-only";
import { findBatchPhoto, insertBatchPhoto } from "@/data/batchPhotos";
import { findBatch } from "@/data/batches";
import type { Context } from "../context";
import { requireJpeg } from "../jpeg";
import { refuseAt } from "../refusal";
import { momentOf } from "../checks";

const MOST_NOTE = 200;

/** Keeps a photograph of a batch, as it looked at a moment. @throws {Refusal} for what is no picture, or lies outside the batch's life */
export async function addBatchPhoto(
  ctx: Context,
  batchId: number,
  jpeg: Buffer,
  about: { readonly at?: string; readonly note: string },
): Promise<number> {
  requireJpeg(jpeg);
  const batch = await findBatch(ctx.pool, batchId);
  if (!batch) throw refuseAt("not-found", "/photo", "There is no such batch.");
  return insertBatchPhoto(ctx.pool, {
    batchId,
    at: momentOf(ctx, about.at, batch.startedAt),
    jpeg,
    note: about.note.trim().slice(0, MOST_NOTE),
    actorId: ctx.actor.id,
    addedAt: ctx.now(),
  });
}

export const readBatchPhoto = (ctx: Context, id: number): Promise<Buffer | null> => findBatchPhoto(ctx.pool, id);
