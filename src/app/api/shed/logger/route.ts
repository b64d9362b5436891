import { previewLogger } from "@/services/devices";
import { decodeText } from "@/services/files";
import { doorError, refuseInWords, toActError, tooLong } from "../../../door/answer";
import { readBody } from "../../../door/body";
import { strangeness } from "../../../door/stranger";
import { speechOf } from "@/words/speech";
import { openFrame } from "../../../session";

const MOST_BYTES = 8_000_000;

/** Looks at a logger's file: what its times and columns are, where it has gaps. Writes nothing; gives the text back as it was read. */
export async function POST(request: Request): Promise<Response> {
  if (strangeness(request.headers)) return refuseInWords(doorError("stranger"));
  const frame = await openFrame();
  if (!frame) return new Response("There is no farm yet.", { status: 404 });
  const bytes = await readBody(request, MOST_BYTES);
  if (!bytes) return refuseInWords(tooLong(MOST_BYTES));
  const query = new URL(request.url).searchParams;
  const { text } = decodeText(bytes);
  try {
    const preview = await previewLogger(text, query.get("zone") ?? frame.farm.timeZone, query.get("column"));
    return Response.json({ text, preview });
  } catch (error) {
    return refuseInWords(toActError(error, speechOf(frame.farm.units)));
  }
}
