import "server-only";
import { createHash } from "node:crypto";
import stringify from "fast-json-stable-stringify";
import type { FromSchema, JSONSchema } from "json-schema-to-ts";
import { mayAs, ROLES, type Role } from "@/core/people/roles";
import { complaintsOf } from "@/contracts/fieldErrors";
import validators from "@/contracts/generated/acts.cjs";
import { errnoOf, inTransaction, SQL_ERROR, type Queryable } from "@/data/db";
import { claimRequest, findResult, keepResult } from "@/data/requests";
import type { Context } from "./context";
import { Misfit, refuse } from "./refusal";

/**
 * Who may do it: people of the farm from a role on; a device by its token; whoever founds the farm; anybody who comes to the door; whoever is at a device on
 * which somebody signed in, though it be locked.
 */
export type May = Role | "device" | "founder" | "anybody" | "session";
export const isRole = (may: May): may is Role => ROLES.some((role) => role === may);

/** Of what an act does to what somebody else wrote: who may, and whose it is. */
export interface OfOthers<Request> {
  readonly may: Role;
  /** Whose it is; null for nobody's. */
  readonly ownerOf: (db: Queryable, request: Request, askerId: number) => Promise<number | null>;
}

/** One thing that can be done to the farm: called as a function, and read as an entry of its place's list. */
export interface Act<Request, Answer, Asker = Context> {
  /** @throws {Refusal} with the fields at fault */
  (asker: Asker, input: unknown): Promise<Answer>;
  readonly actName: string;
  readonly schema: object;
  readonly may: May;
  /** From which role on also what another wrote. */
  readonly ofOthers?: { readonly may: Role };
  /** What its JSON may weigh, where that is more than the door takes of any. */
  readonly mostBytes?: number;
  /** For the compiler alone: what is asked. */
  readonly request?: Request;
}

/** What a schema lets through. */
export type Asked<S> = S extends JSONSchema ? FromSchema<S> : never;

export interface ActHead<S> {
  readonly name: string;
  readonly schema: S;
  readonly may: May;
  readonly ofOthers?: OfOthers<unknown>;
  readonly mostBytes?: number;
}

/** @throws {Refusal} `may-not` for who may it not */
export function requireMay(asker: unknown, may: May): void {
  if (!isRole(may)) return;
  const { actor } = asker as Context;
  if (!mayAs(actor.role, may)) throw refuse("may-not", { role: actor.role, least: may });
}

/** @throws {Refusal} `not-yours` for what another wrote, where only its own may be touched */
async function requireOwn(db: Queryable, ctx: Context, request: unknown, ofOthers?: OfOthers<unknown>): Promise<void> {
  if (!ofOthers || mayAs(ctx.actor.role, ofOthers.may)) return;
  const owner = await ofOthers.ownerOf(db, request, ctx.actor.id);
  if (owner !== null && owner !== ctx.actor.id) throw refuse("not-yours", { least: ofOthers.may });
}

/**
 * The input of an act, where it fits its schema; the same compiled validator as in the form.
 * @throws {Misfit} with the fields at fault
 */
export function fitting<T>(name: string, input: unknown): T {
  const complaints = complaintsOf(validators[name]!, input);
  if (complaints) throw new Misfit(complaints);
  return input as T;
}

const madeActs = new Map<string, Act<never, unknown, never>>();
/** An act by its name, for one that runs another; null for a name that nothing loaded has. The door finds them in the list of acts. */
export const actByName = (name: string): Act<unknown, unknown> | null =>
  (madeActs.get(name) as Act<unknown, unknown> | undefined) ?? null;

function made<Request, Answer, Asker>(
  { name, ...head }: ActHead<object>,
  run: (asker: Asker, request: Request) => Promise<Answer>,
): Act<Request, Answer, Asker> {
  const call = async (asker: Asker, input: unknown) => {
    requireMay(asker, head.may);
    return run(asker, fitting<Request>(name, input));
  };
  const whole = Object.assign(call, { actName: name, ...head });
  madeActs.set(name, whole as Act<never, unknown, never>);
  return whole;
}

/** An entry of a place's list whose running is not a write of a person's by key: a device's post, the farm's first start. */
export const bareAct = <const S extends object, T, Asker>(
  head: ActHead<S>,
  run: (asker: Asker, request: Asked<S>) => Promise<T>,
): Act<Asked<S>, T, Asker> => made(head as ActHead<object>, run);

/**
 * A use-case as one transaction: checks the request against its schema, claims its key, does the work, keeps the answer.
 * The same key again gives the kept answer and writes nothing.
 */
export const act = <const S extends object, T>(
  head: ActHead<S>,
  work: (db: Queryable, request: Asked<S>, ctx: Context) => Promise<T>,
): Act<Asked<S>, T> => made(head as ActHead<object>, once(head, work));

/** Work done once for its key, however often it is asked for. */
const once =
  <Request, Answer>(
    { name, ofOthers }: ActHead<object>,
    work: (db: Queryable, request: Request, ctx: Context) => Promise<Answer>,
  ) =>
  async (ctx: Context, request: Request): Promise<Answer> => {
    const { requestKey } = request as { readonly requestKey: string };
    const askedSha256 = createHash("sha256").update(stringify(request)).digest("hex");
    try {
      return await inTransaction(ctx.pool, async (db) => {
        await claimRequest(db, { key: requestKey, useCase: name, askedSha256, actorId: ctx.actor.id, at: ctx.now() });
        await requireOwn(db, ctx, request, ofOthers);
        const result = await work(db, request, ctx);
        await keepResult(db, requestKey, result);
        return result;
      });
    } catch (error) {
      const kept = errnoOf(error) === SQL_ERROR.duplicate ? await findResult(ctx.pool, requestKey) : null;
      if (kept && (kept.useCase !== name || (kept.askedSha256 ?? askedSha256) !== askedSha256))
        throw refuse("sent-before", {});
      if (kept) return kept.result as Answer;
      throw error;
    }
  };
