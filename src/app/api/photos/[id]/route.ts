import { readPhoto } from "@/services/photo";
import { openFrame } from "../../../session";

/** A picture out of the farm's books; it never changes under its id. */
export async function GET(_request: Request, { params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  const frame = /^[0-9a-f]{32}$/.test(id) ? await openFrame() : null;
  const jpeg = frame ? await readPhoto(frame.ctx, id) : null;
  return jpeg
    ? new Response(new Uint8Array(jpeg), {
        headers: {
          "content-type": "image/jpeg",
          "cache-control": "private, max-age=31536000, immutable",
          "x-content-type-options": "nosniff",
        },
      })
    : new Response("There is no such picture.", { status: 404 });
}
