import { lookAtLogger } from "@/services/devices/importLogger";
import { decodeText } from "@/services/files/decode";
import { isSameOrigin } from "../../../sameOrigin";
import { openFrame } from "../../../session";

const MOST_BYTES = 8_000_000;

/** Looks at a logger's file: what its times and columns are, where it has gaps. Writes nothing; gives the text back as it was read. */
export async function POST(request: Request): Promise<Response> {
  if (!isSameOrigin(request)) return new Response("This comes from elsewhere.", { status: 403 });
  const frame = await openFrame();
  if (!frame) return new Response("There is no farm yet.", { status: 404 });
  const bytes = new Uint8Array(await request.arrayBuffer());
  if (bytes.length > MOST_BYTES) return new Response("A file of more than 8 MB is not read. Part it.", { status: 413 });
  const query = new URL(request.url).searchParams;
  const { text } = decodeText(bytes);
  return Response.json({
    text,
    look: lookAtLogger(text, query.get("zone") ?? frame.farm.timeZone, query.get("column")),
  });
}
