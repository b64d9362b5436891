import { seasonCsv } from "@/services/season";
import { speechOf } from "@/words/speech";
import { doorError, refuseInWords, toActError } from "../../../door/answer";
import { fileName } from "../../../door/fileName";
import { openFrame } from "../../../session";

/** The plan of the season in use as a table. */
export async function GET(): Promise<Response> {
  const frame = await openFrame();
  if (!frame) return refuseInWords(doorError("signed-out"));
  try {
    const name = fileName(frame.farm.name, "season.csv");
    return new Response(await seasonCsv(frame.ctx, frame.farm), {
      headers: { "content-type": "text/csv; charset=utf-8", "content-disposition": `attachment; filename="${name}"` },
    });
  } catch (error) {
    return refuseInWords(toActError(error, speechOf(frame.farm.units)));
  }
}
