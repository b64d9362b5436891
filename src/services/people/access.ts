import "server-only";
import { randomBytes } from "node:crypto";
import { object, REQUEST_KEY, ROW_ID } from "@/contracts/parts";
import { joinCode, PASSPHRASE_MOST, PIN_MOST, readCode, ROLES } from "@/core/people/roles";
import { inTransaction, type Queryable } from "@/data/db";
import { findFarm, isActor, listActors, setActorRole, type Actor } from "@/data/farm";
import {
  endSession,
  endPasskeysOf,
  endSessionsOf,
  findSecret,
  insertAccessEvent,
  insertInvitation,
  lockSession,
  putAt,
  setSecret,
  writerOf,
  type AccessEvent,
} from "@/data/people";
import { insertThingChange } from "@/data/things";
import { act, bareAct } from "../act";
import type { Context } from "../context";
import { refuse } from "../refusal";
import { DONE, type Done } from "./visitor";
import { hashSecret, isSecret, requirePassphrase, requirePin, sha256 } from "./secret";
import { LOCK_MS } from "./sessions";

/** Long enough to reach somebody who comes once a week. */
const INVITED_MS = 14 * 24 * 3_600_000;

const told = (
  db: Queryable,
  ctx: Context,
  event: Pick<AccessEvent, "kind" | "actorId"> & { readonly note?: string },
): Promise<number> =>
  insertAccessEvent(db, {
    address: "",
    device: "",
    ...ctx.from,
    ...event,
    byId: event.actorId === ctx.actor.id ? null : ctx.actor.id,
    at: ctx.now(),
  });

async function requirePerson(db: Queryable, id: number, path = "/personId"): Promise<Actor> {
  const person = (await listActors(db)).find((one) => one.id === id);
  if (!person) throw refuse("not-found", { thing: "person" }, path);
  return person;
}

/** A way in for somebody, on paper or as a link; the one before is good no more. @returns the code, which is shown this once */
export const invitePerson = bareAct(
  {
    name: "invitePerson",
    schema: object(["requestKey", "personId"], { requestKey: REQUEST_KEY, personId: ROW_ID }),
    may: "steward",
  },
  async (ctx: Context, { personId }): Promise<{ code: string; name: string; untilMs: number }> =>
    inTransaction(ctx.pool, async (db) => {
      const person = await requirePerson(db, personId);
      const code = joinCode(randomBytes(16));
      const endsAt = new Date(ctx.now().getTime() + INVITED_MS);
      await insertInvitation(db, {
        codeSha256: sha256(readCode(code)),
        actorId: person.id,
        madeBy: ctx.actor.id,
        madeAt: ctx.now(),
        endsAt,
      });
      await told(db, ctx, { kind: "invited", actorId: person.id });
      return { code, name: person.name, untilMs: endsAt.getTime() };
    }),
);

/** What somebody may do from now on. @throws {Refusal} for the last steward */
export const setRole = act(
  {
    name: "setRole",
    schema: object(["requestKey", "personId", "role"], {
      requestKey: REQUEST_KEY,
      personId: ROW_ID,
      role: { enum: ROLES },
    }),
    may: "steward",
  },
  async (db, { personId, role }, ctx): Promise<{ personId: number }> => {
    await db.execute("select id from actor for update");
    const person = await requirePerson(db, personId);
    if (person.role === role) return { personId };
    const stewards = (await listActors(db)).filter((one) => one.role === "steward");
    if (person.role === "steward" && stewards.length === 1) throw refuse("last-steward", {}, "/role");
    await setActorRole(db, personId, role);
    await insertThingChange(db, {
      kind: "person",
      thingId: personId,
      was: { role: person.role },
      became: { role },
      note: "",
      at: ctx.now(),
      actorId: ctx.actor.id,
    });
    await told(db, ctx, { kind: "role", actorId: personId, note: role });
    return { personId };
  },
);

const SECRET = { type: "string", minLength: 1, maxLength: PASSPHRASE_MOST } as const;

/** Whoever changes a secret proves who they are once more. @throws {Refusal} */
async function requireOwn(db: Queryable, ctx: Context, passphrase: string, path: string): Promise<void> {
  if (!(await isSecret(await findSecret(db, ctx.actor.id, "passphrase"), passphrase)))
    throw refuse("wrong-passphrase", {}, path);
}

/** Another passphrase of one's own; all other devices are signed out. @throws {Refusal} */
export const setPassphrase = bareAct(
  {
    name: "setPassphrase",
    schema: object(["requestKey", "current", "passphrase"], {
      requestKey: REQUEST_KEY,
      current: SECRET,
      passphrase: SECRET,
    }),
    may: "viewer",
  },
  async (ctx: Context, { current, passphrase }): Promise<Done> =>
    inTransaction(ctx.pool, async (db) => {
      await requireOwn(db, ctx, current, "/current");
      requirePassphrase(passphrase, [ctx.actor.name, (await findFarm(db))?.name ?? ""], "/passphrase");
      const at = ctx.now();
      await setSecret(db, { actorId: ctx.actor.id, kind: "passphrase", hash: await hashSecret(passphrase), at });
      await endSessionsOf(db, ctx.actor.id, at, ctx.sessionId ?? null);
      await told(db, ctx, { kind: "passphrase", actorId: ctx.actor.id });
      return DONE;
    }),
);

/** A PIN of one's own, for phones that are shared. @throws {Refusal} */
export const setPin = bareAct(
  {
    name: "setPin",
    schema: object(["requestKey", "current", "pin"], {
      requestKey: REQUEST_KEY,
      current: SECRET,
      pin: { type: "string", maxLength: PIN_MOST },
    }),
    may: "viewer",
  },
  async (ctx: Context, { current, pin }): Promise<Done> =>
    inTransaction(ctx.pool, async (db) => {
      await requireOwn(db, ctx, current, "/current");
      requirePin(pin, "/pin");
      await setSecret(db, { actorId: ctx.actor.id, kind: "pin", hash: await hashSecret(pin), at: ctx.now() });
      await told(db, ctx, { kind: "pin", actorId: ctx.actor.id });
      return DONE;
    }),
);

/** Makes this device the yard's: people take it over by PIN, and it locks itself. @throws {Refusal} for who has no PIN to come back by */
export const shareDevice = act(
  { name: "shareDevice", schema: object(["requestKey"], { requestKey: REQUEST_KEY }), may: "helper" },
  async (db, _request, ctx): Promise<Done> => {
    if (ctx.sessionId === undefined) throw refuse("not-found", { thing: "session" });
    if ((await findSecret(db, ctx.actor.id, "pin")) === null) throw refuse("pin-first", {});
    await putAt(db, ctx.sessionId, ctx.actor.id, {
      isShared: true,
      openUntil: new Date(ctx.now().getTime() + LOCK_MS),
    });
    await told(db, ctx, { kind: "shared", actorId: ctx.actor.id });
    return DONE;
  },
);

/** Signs somebody out on every device but this one; what is not one's own is the steward's to do. */
export const signOutEverywhere = act(
  {
    name: "signOutEverywhere",
    schema: object(["requestKey", "personId"], { requestKey: REQUEST_KEY, personId: ROW_ID }),
    may: "viewer",
    ofOthers: { may: "steward", ownerOf: async (_db, asked) => (asked as { personId: number }).personId },
  },
  async (db, { personId }, ctx): Promise<Done> => {
    if (!(await isActor(db, personId))) throw refuse("not-found", { thing: "person" }, "/personId");
    await endSessionsOf(db, personId, ctx.now(), ctx.sessionId ?? null);
    // A passkey on a phone that is lost would open the farm again.
    if (personId !== ctx.actor.id) await endPasskeysOf(db, personId, ctx.now());
    await told(db, ctx, { kind: "ended", actorId: personId });
    return DONE;
  },
);

/** Signs one device out. */
export const endOneSession = act(
  {
    name: "endOneSession",
    schema: object(["requestKey", "sessionId"], { requestKey: REQUEST_KEY, sessionId: ROW_ID }),
    may: "viewer",
    ofOthers: {
      may: "steward",
      ownerOf: (db, asked) => writerOf(db, "session", (asked as { sessionId: number }).sessionId),
    },
  },
  async (db, { sessionId }, ctx): Promise<Done> => {
    const session = await lockSession(db, sessionId);
    if (!session) throw refuse("not-found", { thing: "session" }, "/sessionId");
    await endSession(db, sessionId, ctx.now());
    await told(db, ctx, { kind: "ended", actorId: session.openedBy });
    return DONE;
  },
);
