import { findAct, type AnyAct } from "@/services/acts";
import { deviceOf } from "@/services/devices/takeReadings";
import { now, pool } from "@/services/runtime";
import { sweepKeys } from "@/services/sweepKeys";
import { openFrame } from "../session";
import { grant, NO_FARM, refuse, refuseStranger, toActError, TOO_LONG } from "./answer";
import { readBody } from "./body";
import { strangeness } from "./stranger";

/** What an act's JSON may weigh, unless the act says otherwise. */
const MOST_BYTES = 1_000_000;
/** Longer than this nobody waits; what was begun is whole or undone, and its key tells a resend apart. */
const TIME_LIMIT_MS = 30_000;

const bearerOf = (request: Request): string | null =>
  /^Bearer ([A-Za-z0-9_-]{16,128})$/.exec(request.headers.get("authorization") ?? "")?.[1] ?? null;

/** Who asks, by what the act wants; a refusal where it is nobody that may. Asked before a byte of the body is read. */
async function askerFor({ may }: AnyAct, request: Request): Promise<object | Response> {
  if (may === "founder") return { pool: pool(), now };
  if (may === "device") {
    const token = bearerOf(request);
    const device = token === null ? null : await deviceOf(pool(), token);
    return device
      ? { pool: pool(), now, device }
      : refuse({ code: "no-token", message: "A device says who it is: Authorization: Bearer and its token." });
  }
  return (await openFrame())?.ctx ?? refuse(NO_FARM);
}

/** An answer, or a word where it takes too long; the clock stops with the answer. */
async function inTime(answer: Promise<Response>): Promise<Response> {
  let clock: NodeJS.Timeout | undefined;
  const tooSlow = new Promise<Response>((resolve) => {
    const error = { code: "too-slow", message: "This takes too long. Try again in a moment: it is not done twice." };
    clock = setTimeout(() => resolve(refuse(error)), TIME_LIMIT_MS);
  });
  return Promise.race([answer, tooSlow]).finally(() => clearTimeout(clock));
}

async function run(act: AnyAct, request: Request): Promise<Response> {
  try {
    const asker = await askerFor(act, request);
    if (asker instanceof Response) return asker;
    const mostBytes = act.mostBytes ?? MOST_BYTES;
    const body = await readBody(request, mostBytes);
    if (!body) return refuse(TOO_LONG(mostBytes));
    let input: unknown;
    try {
      input = JSON.parse(new TextDecoder().decode(body));
    } catch {
      return refuse({ code: "bad-json", message: "This is not JSON." });
    }
    const value = await act(asker, input);
    void sweepKeys({ pool: pool(), now });
    return grant(value ?? null);
  } catch (error) {
    return refuse(toActError(error));
  }
}

/** The one door for writes: form, device and a phone's queue come through it alike. */
export async function actDoor(request: Request, name: string): Promise<Response> {
  if (strangeness(request.headers)) return refuseStranger();
  const act = findAct(name);
  if (!act) return refuse({ code: "no-act", message: `Nothing is called ${name.slice(0, 40)} here.` });
  return inTime(run(act, request));
}
