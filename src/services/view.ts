import "server-only";
import { complaintsOf } from "@/contracts/fieldErrors";
import validators from "@/contracts/generated/views.cjs";
import { revisionOf, sharedRevision } from "@/data/db";
import { mayAs, type Role } from "@/core/people/roles";
import type { Asked } from "./act";
import type { Frame } from "./context";
import { keepingNewest } from "./kept";
import { Misfit, refuse } from "./refusal";

/** One thing that can be read of the farm: called as a function, and read as an entry of its place's list. */
export interface View<Query, Answer> {
  /** @throws {Misfit} with the parts of the query at fault */
  (frame: Frame, query: unknown): Promise<Answer>;
  readonly viewName: string;
  readonly schema: object;
  readonly may: Role;
  /** For the compiler alone: what is asked. */
  readonly query?: Query;
}

export interface ViewHead<S> {
  readonly name: string;
  /** Of the query; its figures come as text and are read as what the schema says. */
  readonly schema: S;
  readonly may: Role;
  /** Of what is written beside the acts, too: who comes in. Read anew each time. */
  readonly isFresh?: boolean;
}

/** The schema of a view that asks nothing. */
export const NOTHING = { type: "object", additionalProperties: false, properties: {} } as const;
export const ID = { type: "integer", minimum: 1, maximum: 999_999_999_999_999 } as const;

const kept = keepingNewest<Promise<unknown>>("views", 60);
const MINUTE_MS = 60_000;
/** Beside other processes at the same database a commit may be counted a moment before it can be read: what was read stands so much shorter. */
const SHARED_MS = 2_000;
const isShared = (): boolean => process.env.RUCHKA_SHARED_DATABASE === "1";

/** What was read once stands to the end of its minute, for the same person and question, unless something was written meanwhile. */
async function readOnce<T>({ ctx }: Frame, name: string, asked: object, read: () => Promise<T>): Promise<T> {
  const shared = isShared() ? await sharedRevision(ctx.pool) : null;
  const standsIn = Math.floor(ctx.now().getTime() / (shared === null ? MINUTE_MS : SHARED_MS));
  const slot = JSON.stringify([name, ctx.actor, asked]);
  const restsOn = JSON.stringify([standsIn, revisionOf(ctx.pool), shared]);
  const known = kept.get(slot, restsOn);
  if (known) return known as Promise<T>;
  const reading = read();
  kept.set(slot, restsOn, reading);
  reading.catch(() => kept.drop(slot, restsOn));
  return reading;
}

/** Ajv reads four hundred nines as infinity, and asks no limit of what is not finite. @throws {Misfit} */
function requireFinite(asked: Readonly<Record<string, unknown>>): void {
  for (const [field, value] of Object.entries(asked))
    if (typeof value === "number" && !Number.isFinite(value))
      throw new Misfit({ [`/${field}`]: { code: "wrong-type", type: "number" } });
}

/**
 * What can be read of the farm, as pages and programs ask it: checks the query against its schema, then reads. Its answer goes as JSON unchanged;
 * null is "there is no such thing".
 */
export const view = <const S extends object, T>(
  { name, ...head }: ViewHead<S>,
  read: (frame: Frame, query: Asked<S>) => Promise<T>,
): View<Asked<S>, T> => {
  const call = async (frame: Frame, query: unknown) => {
    const { role } = frame.ctx.actor;
    if (!mayAs(role, head.may)) throw refuse("may-not", { role, least: head.may });
    const asked: Record<string, unknown> = { ...(query as object) };
    const complaints = complaintsOf(validators[name]!, asked);
    if (complaints) throw new Misfit(complaints);
    requireFinite(asked);
    const work = () => read(frame, asked as Asked<S>);
    return head.isFresh ? work() : readOnce(frame, name, asked, work);
  };
  return Object.assign(call, { viewName: name, ...head });
};
