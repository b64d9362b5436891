import { seasonCalendar } from "@/services/season";
import { speechOf } from "@/words/speech";
import { doorError, refuseInWords, toActError } from "../../../door/answer";
import { fileName } from "../../../door/fileName";
import { openFrame } from "../../../session";
import { wishOf } from "../wish";

/** The plan of the season in use as a calendar (RFC 5545). */
export async function GET(request: Request): Promise<Response> {
  const frame = await openFrame();
  if (!frame) return refuseInWords(doorError("signed-out"));
  try {
    const name = fileName(frame.farm.name, "season.ics");
    return new Response(await seasonCalendar(frame.ctx, frame.farm, wishOf(request.url)), {
      headers: {
        "content-type": "text/calendar; charset=utf-8",
        "content-disposition": `attachment; filename="${name}"`,
      },
    });
  } catch (error) {
    return refuseInWords(toActError(error, speechOf(frame.farm.units)));
  }
}
