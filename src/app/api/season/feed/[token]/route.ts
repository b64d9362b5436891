import { now, pool } from "@/services/runtime";
import { readSeasonFeed } from "@/services/season";
import { doorError, refuseInWords } from "../../../../door/answer";
import { fileName } from "../../../../door/fileName";
import { wishOf } from "../../wish";

/** A token is so long at most; what is longer is none. */
const MOST_LONG = 80;

/** The plan of the season in use, for a calendar program: by an address of its own instead of a sign-in. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ token: string }> },
): Promise<Response> {
  const { token } = await params;
  const feed = token.length > MOST_LONG ? null : await readSeasonFeed(pool(), now, token, wishOf(request.url));
  if (!feed) return refuseInWords(doorError("no-token"));
  return new Response(feed.text, {
    headers: {
      "content-type": "text/calendar; charset=utf-8",
      "content-disposition": `inline; filename="${fileName(feed.farmName, "season.ics")}"`,
      "cache-control": "private, max-age=600",
    },
  });
}
