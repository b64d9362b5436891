import type { ActError, ActResult } from "@/contracts/answer";
import { sayComplaints } from "@/contracts/fieldErrors";
import { DomainError } from "@/core/errors";
import { outageOf } from "@/services/outage";
import { Misfit, Refusal } from "@/services/refusal";
import type { DoorCode } from "@/words/codes";
import { sayDomain } from "@/words/domain";
import { sayDoor } from "@/words/door";
import { sayRefusal } from "@/words/refusals";
import type { Speech } from "@/words/speech";

/** Longer than this nobody waits; what was begun is whole or undone, and its key tells a resend apart. */
export const TIME_LIMIT_MS = 30_000;

/** What the door itself refuses. */
export const doorError = (code: DoorCode, megabytes?: number): ActError => ({
  code,
  message: sayDoor(code, megabytes),
});
/** Why nobody gets in as things stand. */
export const CLOSED = { "not-set-up": "no-farm", "signed-out": "signed-out", "locked": "locked" } as const;
export const tooLong = (mostBytes: number): ActError => doorError("too-long", Math.round(mostBytes / 1e6));

/** Every error becomes an answer here: a refusal with its fields, or a plain word for what is nobody's business. */
export function toActError(error: unknown, say: Speech): ActError {
  if (error instanceof Refusal) {
    const refused = error as Refusal;
    return { code: refused.code, params: refused.params, ...sayRefusal(refused, say) };
  }
  if (error instanceof Misfit)
    return { ...doorError(error.code), params: error.complaints, fields: sayComplaints(error.complaints, say) };
  if (error instanceof DomainError) {
    const message = sayDomain(error, say);
    return { code: error.code, params: error.params, message, fields: { [error.path]: message } };
  }
  const outage = outageOf(error);
  if (outage) return doorError(outage);
  console.error(error);
  return doorError("internal");
}

/** What is asked for wrongly is 400, what the farm refuses 422; what is no fault of the request is 5xx and may be sent again. */
const STATUS: Readonly<Record<string, number>> = {
  "bad-request": 400,
  "bad-json": 400,
  "too-long": 413,
  "no-token": 401,
  "signed-out": 401,
  "locked": 401,
  "wrong-sign-in": 401,
  "may-not": 403,
  "not-yours": 403,
  "other-person": 403,
  "too-many-tries": 429,
  "no-act": 404,
  "no-farm": 404,
  "not-found": 404,
  "not-there": 404,
  "stranger": 403,
  "internal": 500,
  "database-away": 503,
  "disk-full": 503,
  "busy": 503,
  "too-often": 429,
  "sent-before": 409,
  "too-slow": 503,
};

export const refuse = (error: ActError): Response =>
  Response.json({ ok: false, error } satisfies ActResult<never>, { status: STATUS[error.code] ?? 422 });
export const grant = (value: unknown): Response =>
  Response.json({ ok: true, value } satisfies ActResult<unknown>, { headers: { "cache-control": "no-store" } });

/** For what is sent as a file: the screen shows the words as they come. */
export const refuseInWords = ({ code, message }: ActError): Response =>
  new Response(message, { status: STATUS[code] ?? 422 });
