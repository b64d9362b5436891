import { addBatchPhoto, readBatchPhoto } from "@/services/ferment/photos";
import { Refusal } from "@/services/refusal";
import { jpegResponse } from "../../../jpegResponse";
import { numberIn } from "../../../query";
import { isSameOrigin } from "../../../sameOrigin";
import { openFrame } from "../../../session";

export async function GET(request: Request): Promise<Response> {
  const frame = await openFrame();
  const id = numberIn(request, "id");
  return jpegResponse(frame && id !== null ? await readBatchPhoto(frame.ctx, id) : null);
}

export async function POST(request: Request): Promise<Response> {
  if (!isSameOrigin(request)) return new Response("This comes from elsewhere.", { status: 403 });
  const frame = await openFrame();
  const batchId = numberIn(request, "batch");
  if (!frame || batchId === null) return new Response("There is no such batch.", { status: 404 });
  const query = new URL(request.url).searchParams;
  const at = query.get("at");
  try {
    const photoId = await addBatchPhoto(frame.ctx, batchId, Buffer.from(await request.arrayBuffer()), {
      ...(at && !Number.isNaN(Date.parse(at)) ? { at } : {}),
      note: query.get("note") ?? "",
    });
    return Response.json({ photoId });
  } catch (error) {
    if (error instanceof Refusal) return new Response(error.message, { status: 422 });
    throw error;
  }
}
