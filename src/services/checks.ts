import "server-only";
import { checkRequest, type ActionRequest } from "@/contracts/actions/requests";
import type { ActionName } from "@/contracts/actions/schemas";
import { errnoOf, inTransaction, SQL_ERROR, type Queryable } from "@/data/db";
import { claimRequest, findResult, keepResult } from "@/data/requests";
import type { Context } from "./context";
import { Refusal, refuseAt } from "./refusal";

/** A moment may lie this far ahead of the server's clock: phones run fast. */
const CLOCK_SLACK_MS = 5 * 60_000;

/**
 * Runs one use-case as one transaction: checks the request against its schema, claims its key, does the work, keeps the answer.
 * The same key again gives the kept answer and writes nothing.
 * @throws {Refusal} with the fields at fault
 */
export async function write<N extends ActionName, T>(
  ctx: Context,
  name: N,
  input: unknown,
  work: (db: Queryable, request: ActionRequest<N>) => Promise<T>,
): Promise<T> {
  const fields = checkRequest(name, input);
  if (fields) throw new Refusal("bad-request", "Some of this does not fit. See the marked fields.", fields);
  const request = input as ActionRequest<N> & { readonly requestKey: string };
  try {
    return await inTransaction(ctx.pool, async (db) => {
      await claimRequest(db, request.requestKey, name, ctx.actor.id, ctx.now());
      const result = await work(db, request);
      await keepResult(db, request.requestKey, result);
      return result;
    });
  } catch (error) {
    const kept = errnoOf(error) === SQL_ERROR.duplicate ? await findResult(ctx.pool, request.requestKey) : null;
    if (kept?.useCase === name) return kept.result as T;
    throw error;
  }
}

/**
 * The moment that a request names, or now.
 * @throws {Refusal} at `/at` for one that lies ahead, or before `notBefore`
 */
export function momentOf(ctx: Context, at: string | undefined, notBefore: Date | null = null, path = "/at"): Date {
  const now = ctx.now();
  const moment = at === undefined ? now : new Date(at);
  if (moment.getTime() > now.getTime() + CLOCK_SLACK_MS) throw refuseAt("time", path, "This lies in the future.");
  if (notBefore && moment < notBefore) throw refuseAt("time", path, "This lies before the batch was started.");
  return moment;
}

/** Turns a clash of names into a message at the name. */
export async function withFreeName<T>(name: string, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (errnoOf(error) === SQL_ERROR.duplicate) throw refuseAt("name-taken", "/name", `There is a "${name}" already.`);
    throw error;
  }
}
