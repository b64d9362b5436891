import pTimeout from "p-timeout";
import { RateLimiterMemory } from "rate-limiter-flexible";
import type { ActError } from "@/contracts/answer";
import { findAct, type AnyAct } from "@/services/acts";
import { deviceOf } from "@/services/devices";
import { now, pool } from "@/services/runtime";
import { sweepKeys } from "@/services/sweepKeys";
import type { DoorCode } from "@/words/codes";
import { speechOf, type Speech } from "@/words/speech";
import { PERSON_HEADER } from "@/contracts/waiting";
import { Opened } from "@/services/people";
import { keepToken, openStanding, turnToken, visitorNow } from "../session";
import { CLOSED, doorError, grant, refuse, TIME_LIMIT_MS, toActError, tooLong } from "./answer";
import { readBody } from "./body";
import { strangeness } from "./stranger";

/** What an act's JSON may weigh, unless the act says otherwise. */
const MOST_BYTES = 1_000_000;

const bearerOf = (request: Request): string | null =>
  /^Bearer ([A-Za-z0-9_-]{16,128})$/.exec(request.headers.get("authorization") ?? "")?.[1] ?? null;

/** A device that posts every second is broken; one that was away for a season sends its hours by the thousand. */
const posts = new RateLimiterMemory({ points: 60, duration: 60 });
/** Whether a device may post now. */
const mayPost = (deviceId: number): Promise<boolean> =>
  posts.consume(deviceId).then(
    () => true,
    () => false,
  );

interface Asking {
  readonly asker: object;
  /** How what is refused is said to whoever asks. */
  readonly say: Speech;
}

/** Who asks, by what the act wants; a code where it is nobody that may. Asked before a byte of the body is read. */
async function askerFor({ may }: AnyAct, request: Request): Promise<Asking | DoorCode> {
  const here = { pool: pool(), now };
  const visitor = await visitorNow();
  if (may === "founder" || may === "anybody") return { asker: visitor, say: speechOf("metric") };
  if (may === "device") {
    const token = bearerOf(request);
    const device = token === null ? null : await deviceOf(pool(), token);
    if (!device) return "no-token";
    return (await mayPost(device.id)) ? { asker: { ...here, device }, say: speechOf("metric") } : "too-often";
  }
  const standing = await openStanding();
  if (may === "session" && (standing.type === "open" || standing.type === "locked"))
    return { asker: { ...visitor, ...standing.found }, say: speechOf("metric") };
  if (standing.type !== "open") return CLOSED[standing.type];
  const { ctx, farm } = standing.frame;
  // What waited on a device tells who did it: it is sent while they are at it, and nobody else writes in their name.
  const told = request.headers.get(PERSON_HEADER);
  if (told !== null && Number(told) !== ctx.actor.id) return "other-person";
  return { asker: ctx, say: speechOf(farm.units) };
}

/** Half of a letter, which no database keeps and no screen shows; a slip of a program, or somebody who tries the door. */
const HALF_LETTER = /\p{Surrogate}/gu;
const whole = (_name: string, value: unknown): unknown =>
  typeof value === "string" ? value.replace(HALF_LETTER, "\ufffd") : value;

/** The body as JSON, or what is wrong with it. */
async function inputOf(request: Request, mostBytes: number): Promise<{ readonly input: unknown } | ActError> {
  const body = await readBody(request, mostBytes);
  if (!body) return tooLong(mostBytes);
  try {
    return { input: JSON.parse(new TextDecoder().decode(body), whole) as unknown };
  } catch {
    return doorError("bad-json");
  }
}

async function run(act: AnyAct, request: Request): Promise<Response> {
  let say = speechOf("metric");
  try {
    const asking = await askerFor(act, request);
    if (typeof asking === "string") return refuse(doorError(asking));
    say = asking.say;
    const read = await inputOf(request, act.mostBytes ?? MOST_BYTES);
    if (!("input" in read)) return refuse(read);
    const value = await act(asking.asker, read.input);
    if (value instanceof Opened) {
      await keepToken(value.token);
      return grant(value.value ?? null);
    }
    await turnToken();
    void sweepKeys({ pool: pool(), now });
    return grant(value ?? null);
  } catch (error) {
    return refuse(toActError(error, say));
  }
}

/** The one door for writes: form, device and a phone's queue come through it alike. */
export async function actDoor(request: Request, name: string): Promise<Response> {
  if (strangeness(request.headers)) return refuse(doorError("stranger"));
  const act = findAct(name);
  if (!act) return refuse(doorError("no-act"));
  return pTimeout(run(act, request), { milliseconds: TIME_LIMIT_MS, fallback: () => refuse(doorError("too-slow")) });
}
