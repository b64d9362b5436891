import { takeReadings } from "@/services/devices/takeReadings";
import { isDatabaseAway } from "@/services/outage";
import { Refusal } from "@/services/refusal";
import { now, pool } from "@/services/runtime";

const MOST_BYTES = 1_000_000;
const bearerOf = (request: Request): string | null =>
  /^Bearer ([A-Za-z0-9_-]{16,128})$/.exec(request.headers.get("authorization") ?? "")?.[1] ?? null;

const refused = (status: number, message: string, fields: object = {}) =>
  Response.json({ error: { message, fields } }, { status });

/**
 * Where stations and probes post: `Authorization: Bearer TOKEN` and
 * `{"readings":[{"at":"2031-06-01T06:00:00Z","quantity":"liquid","value":21.4}]}`. Posting the same again changes nothing.
 */
export async function POST(request: Request): Promise<Response> {
  const token = bearerOf(request);
  if (!token) return refused(401, "A device says who it is: Authorization: Bearer and its token.");
  const text = await request.text();
  if (text.length > MOST_BYTES) return refused(413, "More than a megabyte at once. Post it in parts.");
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch {
    return refused(400, "This is not JSON.");
  }
  try {
    return Response.json(await takeReadings(pool(), now(), token, input));
  } catch (error) {
    if (error instanceof Refusal) return refused(error.code === "not-found" ? 401 : 422, error.message, error.fields);
    // A device keeps what it could not post and comes again.
    if (isDatabaseAway(error)) return refused(503, "The farm's books can't be reached. Post it again later.");
    throw error;
  }
}
