import "server-only";
import { NAME, object, REQUEST_KEY, ROW_ID } from "@/contracts/parts";
import { PASSPHRASE_MOST, PIN_MOST, readCode } from "@/core/people/roles";
import { inTransaction, type Queryable } from "@/data/db";
import { findFarm, listActors, setActorRole, type Actor } from "@/data/farm";
import {
  countRefused,
  endPasskeysOf,
  endSession,
  endSessionsOf,
  findSecret,
  insertAccessEvent,
  isClaimed,
  lockInvitation,
  putAt,
  setSecret,
  useInvitation,
  type AccessKind,
} from "@/data/people";
import { bareAct } from "../act";
import { refuse } from "../refusal";
import { hashSecret, isSecret, requirePassphrase, sha256 } from "./secret";
import { LOCK_MS, openSession } from "./sessions";
import { DONE, Opened, type AtSession, type Done, type Visitor } from "./visitor";

const WINDOW_MS = 15 * 60_000;
/** Tries within a quarter of an hour: from one place by one name, by one name from anywhere, from one place by any. */
const MOST = { here: 5, ofName: 20, ofAddress: 50 } as const;

/** Guessing is slow: counted in the database, so that no restart forgets it. @throws {Refusal} `too-many-tries` */
async function requireTries(visitor: Visitor, kind: "refused" | "pin-refused", name: string): Promise<void> {
  const since = new Date(visitor.now().getTime() - WINDOW_MS);
  const { address } = visitor.from;
  const refused = await countRefused(visitor.pool, { kind, name, address, since });
  if (refused.here >= MOST.here || refused.ofName >= MOST.ofName || refused.ofAddress >= MOST.ofAddress)
    throw refuse("too-many-tries", { minutes: WINDOW_MS / 60_000 });
}

const told = (
  visitor: Visitor,
  kind: AccessKind,
  actorId: number | null,
  more: { name?: string; byId?: number } = {},
) => insertAccessEvent(visitor.pool, { ...visitor.from, ...more, kind, actorId, at: visitor.now() });

const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();
const TYPED_PASSPHRASE = { type: "string", minLength: 1, maxLength: PASSPHRASE_MOST } as const;

/** Somebody comes in by name and passphrase. @throws {Refusal} `wrong-sign-in`, whichever of both it is; `too-many-tries` */
export const signIn = bareAct(
  {
    name: "signIn",
    schema: object(["requestKey", "name", "passphrase"], {
      requestKey: REQUEST_KEY,
      name: NAME,
      passphrase: TYPED_PASSPHRASE,
    }),
    may: "anybody",
  },
  async (visitor: Visitor, { name, passphrase }): Promise<Opened<{ name: string }>> => {
    const asked = name.trim().toLowerCase();
    await requireTries(visitor, "refused", asked);
    const actor = (await listActors(visitor.pool)).find((one) => sameName(one.name, name)) ?? null;
    const kept = actor ? await findSecret(visitor.pool, actor.id, "passphrase") : null;
    if (!(await isSecret(kept, passphrase)) || !actor) {
      await told(visitor, "refused", actor?.id ?? null, { name: asked });
      throw refuse("wrong-sign-in", {}, "/passphrase");
    }
    const token = await openSession(visitor.pool, actor.id, visitor.from, visitor.now());
    await told(visitor, "signed-in", actor.id);
    return new Opened(token, { name: actor.name });
  },
);

/** A passphrase is set, other devices are signed out, and this one is in. */
async function comeIn(
  db: Queryable,
  visitor: Visitor,
  actor: Pick<Actor, "id" | "name">,
  passphrase: string,
): Promise<string> {
  const farm = await findFarm(db);
  requirePassphrase(passphrase, [actor.name, farm?.name ?? ""], "/passphrase");
  const at = visitor.now();
  await setSecret(db, { actorId: actor.id, kind: "passphrase", hash: await hashSecret(passphrase), at });
  await endSessionsOf(db, actor.id, at, null);
  await endPasskeysOf(db, actor.id, at);
  return openSession(db, actor.id, visitor.from, at);
}

/** Somebody comes in by an invitation, and sets a passphrase. @throws {Refusal} for a code that is none, was used, or is over */
export const joinFarm = bareAct(
  {
    name: "joinFarm",
    schema: object(["requestKey", "code", "passphrase"], {
      requestKey: REQUEST_KEY,
      code: { type: "string", minLength: 8, maxLength: 40 },
      passphrase: TYPED_PASSPHRASE,
    }),
    may: "anybody",
  },
  async (visitor: Visitor, { code, passphrase }): Promise<Opened<{ name: string }>> => {
    await requireTries(visitor, "refused", "");
    const { token, actor } = await inTransaction(visitor.pool, async (db) => {
      const invited = await lockInvitation(db, sha256(readCode(code)), visitor.now());
      if (!invited) return { token: null, actor: null };
      const who = { id: invited.actorId, name: invited.name };
      await useInvitation(db, invited.id, visitor.now());
      return { token: await comeIn(db, visitor, who, passphrase), actor: who };
    });
    if (!actor) {
      await told(visitor, "refused", null);
      throw refuse("no-invitation", {}, "/code");
    }
    await told(visitor, "joined", actor.id);
    return new Opened(token, { name: actor.name });
  },
);

/** The first steward of a farm that was there before anybody signed in; at the machine itself. @throws {Refusal} once somebody can sign in */
export const claimFarm = bareAct(
  {
    name: "claimFarm",
    schema: object(["requestKey", "personId", "passphrase"], {
      requestKey: REQUEST_KEY,
      personId: ROW_ID,
      passphrase: TYPED_PASSPHRASE,
    }),
    may: "anybody",
  },
  async (visitor: Visitor, { personId, passphrase }): Promise<Opened<{ name: string }>> => {
    const { token, actor } = await inTransaction(visitor.pool, async (db) => {
      // Two at once: the second finds it claimed.
      await db.execute("select id from farm where id = 1 for update");
      if (!visitor.isHere || (await isClaimed(db))) throw refuse("claimed-already", {}, "/personId");
      const found = (await listActors(db)).find(({ id }) => id === personId);
      if (!found) throw refuse("not-found", { thing: "person" }, "/personId");
      await setActorRole(db, found.id, "steward");
      return { token: await comeIn(db, visitor, found, passphrase), actor: found };
    });
    await told(visitor, "joined", actor.id);
    return new Opened(token, { name: actor.name });
  },
);

const NOTHING_BUT_KEY = object(["requestKey"], { requestKey: REQUEST_KEY });

/** This device is signed out. */
export const signOut = bareAct(
  { name: "signOut", schema: NOTHING_BUT_KEY, may: "session" },
  async (at: AtSession): Promise<Opened<Done>> => {
    await endSession(at.pool, at.session.id, at.now());
    await told(at, "signed-out", at.session.openedBy);
    return new Opened(null, DONE);
  },
);

/** A shared phone is locked; what somebody has of their own is signed out in its place. */
export const lockDevice = bareAct(
  { name: "lockDevice", schema: NOTHING_BUT_KEY, may: "session" },
  async (at: AtSession): Promise<Done> => {
    if (!at.session.isShared) throw refuse("not-shared", {});
    await putAt(at.pool, at.session.id, null, { isShared: true, openUntil: null });
    await told(at, "locked", at.actor?.id ?? null);
    return DONE;
  },
);

/** After so many wrong PINs in a row a shared phone wants a passphrase again. */
const PINS = 5;

/** Somebody else takes a shared phone, by PIN. @throws {Refusal} `wrong-pin`; after five of them the phone is signed out */
export const unlockDevice = bareAct(
  {
    name: "unlockDevice",
    schema: object(["requestKey", "personId", "pin"], {
      requestKey: REQUEST_KEY,
      personId: ROW_ID,
      pin: { type: "string", pattern: "^\\d+$", maxLength: PIN_MOST },
    }),
    may: "session",
  },
  async (at: AtSession, { personId, pin }): Promise<{ name: string }> => {
    if (!at.session.isShared) throw refuse("not-shared", {});
    const actor = (await listActors(at.pool)).find(({ id }) => id === personId);
    const kept = actor ? await findSecret(at.pool, actor.id, "pin") : null;
    // By the phone, not by its address: a phone walks about.
    const phone = `phone ${at.session.id}`;
    const since = new Date(at.now().getTime() - WINDOW_MS);
    if (!(await isSecret(kept, pin)) || !actor) {
      await told(at, "pin-refused", actor?.id ?? null, { name: phone });
      const { ofName } = await countRefused(at.pool, {
        kind: "pin-refused",
        name: phone,
        address: at.from.address,
        since,
      });
      if (ofName >= PINS) {
        await endSession(at.pool, at.session.id, at.now());
        await told(at, "ended", at.session.openedBy);
        throw refuse("phone-signed-out", {}, "/pin");
      }
      throw refuse("wrong-pin", { left: PINS - ofName }, "/pin");
    }
    await putAt(at.pool, at.session.id, actor.id, {
      isShared: true,
      openUntil: new Date(at.now().getTime() + LOCK_MS),
    });
    await told(at, "unlocked", actor.id);
    return { name: actor.name };
  },
);
