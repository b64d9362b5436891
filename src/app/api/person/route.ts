import { cookies } from "next/headers";
import { doorError, grant, refuse } from "../../door/answer";
import { readBody } from "../../door/body";
import { strangeness } from "../../door/stranger";
import { PERSON_COOKIE } from "../../session";

const YEAR_S = 31_536_000;

/** Says who is at this screen: `{"id": 2}`. Signing in comes later. */
export async function POST(request: Request): Promise<Response> {
  if (strangeness(request.headers)) return refuse(doorError("stranger"));
  const body = new TextDecoder().decode((await readBody(request, 200)) ?? undefined);
  const id = Number(/^\{"id":(\d{1,15})\}$/.exec(body)?.[1] ?? NaN);
  if (!Number.isInteger(id))
    return refuse({ code: "bad-request", message: "Who is it?", fields: { "/id": "A number." } });
  (await cookies()).set(PERSON_COOKIE, String(id), { maxAge: YEAR_S, sameSite: "lax" });
  return grant(null);
}
