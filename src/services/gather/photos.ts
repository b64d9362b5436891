import "server-only";
import { errnoOf, SQL_ERROR } from "@/data/db";
import { findForagePhoto, insertForagePhoto } from "@/data/foragePhotos";
import type { Context } from "../context";
import { requireJpeg } from "../jpeg";
import { refuseAt } from "../refusal";

/** Keeps a picture of a place. @throws {Refusal} for what is no picture, or too large */
export async function addForagePhoto(ctx: Context, placeId: number, jpeg: Buffer): Promise<number> {
  requireJpeg(jpeg);
  try {
    return await insertForagePhoto(ctx.pool, { placeId, jpeg, actorId: ctx.actor.id, addedAt: ctx.now() });
  } catch (error) {
    if (errnoOf(error) === SQL_ERROR.noParent) throw refuseAt("not-found", "/photo", "There is no such place.");
    throw error;
  }
}

export const readForagePhoto = (ctx: Context, id: number): Promise<Buffer | null> => findForagePhoto(ctx.pool, id);
