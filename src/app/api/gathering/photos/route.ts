import { addForagePhoto, readForagePhoto } from "@/services/gather/photos";
import { Refusal } from "@/services/refusal";
import { jpegResponse } from "../../../jpegResponse";
import { numberIn } from "../../../query";
import { isSameOrigin } from "../../../sameOrigin";
import { openFrame } from "../../../session";

export async function GET(request: Request): Promise<Response> {
  const frame = await openFrame();
  const id = numberIn(request, "id");
  return jpegResponse(frame && id !== null ? await readForagePhoto(frame.ctx, id) : null);
}

export async function POST(request: Request): Promise<Response> {
  if (!isSameOrigin(request)) return new Response("This comes from elsewhere.", { status: 403 });
  const frame = await openFrame();
  const placeId = numberIn(request, "place");
  if (!frame || placeId === null) return new Response("There is no such place.", { status: 404 });
  try {
    const photoId = await addForagePhoto(frame.ctx, placeId, Buffer.from(await request.arrayBuffer()));
    return Response.json({ photoId });
  } catch (error) {
    if (error instanceof Refusal) return new Response(error.message, { status: 422 });
    throw error;
  }
}
