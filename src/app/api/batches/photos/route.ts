import { addBatchPhoto, readBatchPhoto } from "@/services/ferment/photos";
import { Refusal } from "@/services/refusal";
import { jpegResponse } from "../../../jpegResponse";
import { numberIn } from "../../../query";
import { refuseInWords, STRANGER, TOO_LONG } from "../../../door/answer";
import { readBody } from "../../../door/body";
import { strangeness } from "../../../door/stranger";
import { openFrame } from "../../../session";

/** What a photograph may weigh; the phone makes it small before. */
const MOST_BYTES = 8_000_000;

export async function GET(request: Request): Promise<Response> {
  const frame = await openFrame();
  const id = numberIn(request, "id");
  return jpegResponse(frame && id !== null ? await readBatchPhoto(frame.ctx, id) : null);
}

export async function POST(request: Request): Promise<Response> {
  if (strangeness(request.headers)) return refuseInWords(STRANGER);
  const frame = await openFrame();
  const batchId = numberIn(request, "batch");
  if (!frame || batchId === null) return new Response("There is no such batch.", { status: 404 });
  const query = new URL(request.url).searchParams;
  const at = query.get("at");
  try {
    const jpeg = await readBody(request, MOST_BYTES);
    if (!jpeg) return refuseInWords(TOO_LONG(MOST_BYTES));
    const photoId = await addBatchPhoto(frame.ctx, batchId, Buffer.from(jpeg), {
      ...(at && !Number.isNaN(Date.parse(at)) ? { at } : {}),
      note: query.get("note") ?? "",
    });
    return Response.json({ photoId });
  } catch (error) {
    if (error instanceof Refusal) return new Response(error.message, { status: 422 });
    throw error;
  }
}
