import type { ActError, ActResult } from "@/contracts/answer";
import { DomainError } from "@/core/errors";
import { isDatabaseAway } from "@/services/outage";
import { Refusal } from "@/services/refusal";

/** Every error becomes an answer here: a refusal with its fields, or a plain word for what is nobody's business. */
export function toActError(error: unknown): ActError {
  if (error instanceof Refusal) return { code: error.code, message: error.message, fields: error.fields };
  if (error instanceof DomainError)
    return { code: error.code, message: error.message, fields: { [error.path]: error.message } };
  if (isDatabaseAway(error))
    return {
      code: "database-away",
      message:
        "The farm's database does not answer. Nothing was lost: what you typed is kept here. Try again in a moment.",
    };
  console.error(error);
  return {
    code: "internal",
    message: "Ruchka tripped over this. What you typed is kept here; if it happens again, tell whoever looks after it.",
  };
}

/** What is asked for wrongly is 400, what the farm refuses 422; what is no fault of the request is 5xx and may be sent again. */
const STATUS: Readonly<Record<string, number>> = {
  "bad-request": 400,
  "bad-json": 400,
  "too-long": 413,
  "no-token": 401,
  "no-act": 404,
  "no-farm": 404,
  "not-found": 404,
  "stranger": 403,
  "internal": 500,
  "database-away": 503,
  "too-slow": 503,
};

export const refuse = (error: ActError): Response =>
  Response.json({ ok: false, error } satisfies ActResult<never>, { status: STATUS[error.code] ?? 422 });
export const grant = (value: unknown): Response =>
  Response.json({ ok: true, value } satisfies ActResult<unknown>, { headers: { "cache-control": "no-store" } });

export const STRANGER: ActError = { code: "stranger", message: "This does not come from the farm's own pages." };
export const TOO_LONG = (mostBytes: number): ActError => ({
  code: "too-long",
  message: `More than ${Math.round(mostBytes / 1e6)} MB at once is not read. Send it in parts.`,
});
export const NO_FARM: ActError = { code: "no-farm", message: "Set up the farm first." };
export const refuseStranger = (): Response => refuse(STRANGER);
/** For what is sent as a file: the screen shows the words as they come. */
export const refuseInWords = ({ code, message }: ActError): Response =>
  new Response(message, { status: STATUS[code] ?? 422 });
