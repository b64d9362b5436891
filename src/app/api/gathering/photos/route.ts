import { addForagePhoto, readForagePhoto } from "@/services/gather/photos";
import { Refusal } from "@/services/refusal";
import { isSameOrigin } from "../../../sameOrigin";
import { openFrame } from "../../../session";

const idOf = (request: Request, name: string): number | null => {
  const text = new URL(request.url).searchParams.get(name) ?? "";
  return /^\d{1,15}$/.test(text) ? Number(text) : null;
};

export async function GET(request: Request): Promise<Response> {
  const frame = await openFrame();
  const id = idOf(request, "id");
  const jpeg = frame && id !== null ? await readForagePhoto(frame.ctx, id) : null;
  if (!jpeg) return new Response("There is no such picture.", { status: 404 });
  return new Response(new Uint8Array(jpeg), {
    headers: {
      "content-type": "image/jpeg",
      "cache-control": "private, max-age=31536000, immutable",
      "x-content-type-options": "nosniff",
    },
  });
}

export async function POST(request: Request): Promise<Response> {
  if (!isSameOrigin(request)) return new Response("This comes from elsewhere.", { status: 403 });
  const frame = await openFrame();
  const placeId = idOf(request, "place");
  if (!frame || placeId === null) return new Response("There is no such place.", { status: 404 });
  try {
    const photoId = await addForagePhoto(frame.ctx, placeId, Buffer.from(await request.arrayBuffer()));
    return Response.json({ photoId });
  } catch (error) {
    if (error instanceof Refusal) return new Response(error.message, { status: 422 });
    throw error;
  }
}
