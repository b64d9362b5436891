import "server-only";
import { errnoOf, SQL_ERROR } from "@/data/db";
import { findForagePhoto, insertForagePhoto } from "@/data/foragePhotos";
import type { Context } from "../context";
import { refuseAt } from "../refusal";

/** What a phone's picture comes to once it was made small; more than this was not. */
const MOST_BYTES = 2_000_000;
const isJpeg = (bytes: Buffer) => bytes.length > 4 && bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff;

/** Keeps a picture of a place. @throws {Refusal} for what is no picture, or too large */
export async function addForagePhoto(ctx: Context, placeId: number, jpeg: Buffer): Promise<number> {
  if (!isJpeg(jpeg)) throw refuseAt("bad-request", "/photo", "This is no photograph.");
  if (jpeg.length > MOST_BYTES) throw refuseAt("bad-request", "/photo", "This picture is too large.");
  try {
    return await insertForagePhoto(ctx.pool, { placeId, jpeg, actorId: ctx.actor.id, addedAt: ctx.now() });
  } catch (error) {
    if (errnoOf(error) === SQL_ERROR.noParent) throw refuseAt("not-found", "/photo", "There is no such place.");
    throw error;
  }
}

export const readForagePhoto = (ctx: Context, id: number): Promise<Buffer | null> => findForagePhoto(ctx.pool, id);
