import { offersTakeIn, sendArchive, takeIn, takeInState } from "@/services/archive";
import { openFrame, openStanding } from "../../../session";
import { CLOSED, doorError, grant, refuse, refuseInWords, toActError } from "../../../door/answer";
import { strangeness } from "../../../door/stranger";
import { speechOf } from "@/words/speech";

/** The whole farm as one file, for a steward; `?state` tells how one stands that is being taken in. */
export async function GET(request: Request): Promise<Response> {
  if (strangeness(request.headers)) return refuseInWords(doorError("stranger"));
  if (new URL(request.url).searchParams.has("state")) return grant(await takeInState());
  const frame = await openFrame().catch(() => null);
  if (!frame) return refuseInWords(doorError("signed-out"));
  try {
    const { body, fileName } = await sendArchive(frame);
    return new Response(body, {
      headers: {
        "content-type": "application/gzip",
        "content-disposition": `attachment; filename="${fileName}"`,
        "cache-control": "no-store",
      },
    });
  } catch (error) {
    return refuseInWords(toActError(error, speechOf(frame.farm.units)));
  }
}

/** Takes a farm in from a file, where none was set up yet. */
export async function POST(request: Request): Promise<Response> {
  if (strangeness(request.headers)) return refuse(doorError("stranger"));
  try {
    const standing = await openStanding();
    if (standing.type !== "not-set-up")
      return refuse(doorError(standing.type === "open" ? "no-act" : CLOSED[standing.type]));
    if (!offersTakeIn() || !request.body) return refuse(doorError("no-act"));
    return grant(await takeIn(request.body));
  } catch (error) {
    return refuse(toActError(error, speechOf("metric")));
  }
}
