import { reportCsv } from "@/services/report";
import { VIEWS } from "@/services/views";
import { speechOf } from "@/words/speech";
import { doorError, refuseInWords, toActError } from "../../door/answer";
import { fileName } from "../../door/fileName";
import { openFrame } from "../../session";

/** The season's report as a table; of a span of days where it is asked for. */
export async function GET(request: Request): Promise<Response> {
  const frame = await openFrame();
  if (!frame) return refuseInWords(doorError("signed-out"));
  try {
    const name = fileName(frame.farm.name, "season-report.csv");
    const query = Object.fromEntries(new URL(request.url).searchParams);
    return new Response(reportCsv(await VIEWS.report(frame, query)), {
      headers: { "content-type": "text/csv; charset=utf-8", "content-disposition": `attachment; filename="${name}"` },
    });
  } catch (error) {
    return refuseInWords(toActError(error, speechOf(frame.farm.units)));
  }
}
