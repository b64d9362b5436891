import { exportHistory, readHistoryQuery } from "@/services/history";
import { openFrame } from "../../../session";
import { doorError, refuseInWords, toActError } from "../../../door/answer";
import { speechOf } from "@/words/speech";
import { fileName } from "../../../door/fileName";

/** Who did what, and when, as CSV: by the filter of the history's page. */
export async function GET(request: Request): Promise<Response> {
  const frame = await openFrame();
  if (!frame) return refuseInWords(doorError("signed-out"));
  try {
    const query = readHistoryQuery(Object.fromEntries(new URL(request.url).searchParams));
    const name = fileName(frame.farm.name, "history.csv");
    return new Response(await exportHistory(frame.ctx, frame.farm, query), {
      headers: { "content-type": "text/csv; charset=utf-8", "content-disposition": `attachment; filename="${name}"` },
    });
  } catch (error) {
    return refuseInWords(toActError(error, speechOf(frame.farm.units)));
  }
}
