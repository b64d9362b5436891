import "server-only";
import { object, REQUEST_KEY, ROW_ID } from "@/contracts/parts";
import { lockForagePlace } from "@/data/gather";
import { insertForagePhoto } from "@/data/batch";
import { act } from "../act";
import { cleanPhoto, PHOTO, PHOTO_ACT_BYTES } from "../photo";
import { refuse } from "../refusal";

const ADD_FORAGE_PHOTO = object(["requestKey", "placeId", "jpeg"], {
  requestKey: REQUEST_KEY,
  placeId: ROW_ID,
  jpeg: PHOTO,
});

/** Keeps a picture of a place. @throws {Refusal} for what is no picture, or a place that is not there */
export const addForagePhoto = act(
  { name: "addForagePhoto", schema: ADD_FORAGE_PHOTO, may: "helper", mostBytes: PHOTO_ACT_BYTES },
  async (db, request, ctx): Promise<{ photoId: string }> => {
    const jpeg = await cleanPhoto(request.jpeg);
    if (!(await lockForagePlace(db, request.placeId))) throw refuse("not-found", { thing: "place" }, "/jpeg");
    const photoId = await insertForagePhoto(db, {
      placeId: request.placeId,
      jpeg,
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    return { photoId };
  },
);
