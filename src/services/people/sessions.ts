import "server-only";
import { LOCK_AFTER_MIN } from "@/core/people/roles";
import type { Database, Queryable } from "@/data/db";
import type { Actor } from "@/data/farm";
import { findSession, insertSession, seeSession, turnToken, type From, type Session } from "@/data/people";
import { newToken, sha256 } from "./secret";

const MINUTE_MS = 60_000;
/** Signed in once, a device stays so for a month of not being lost. */
const SESSION_MS = 30 * 24 * 60 * MINUTE_MS;
/** A token that was copied is good for an hour at most. */
const TURN_MS = 60 * MINUTE_MS;
/** Answers cross on the way: for so long the token before is good, too. */
const GRACE_MS = 2 * MINUTE_MS;
export const LOCK_MS = LOCK_AFTER_MIN * MINUTE_MS;
/** So often at most it is written down that somebody is there. */
const SEEN_EVERY_MS = 30_000;

/** Signs somebody in on a device. @returns the token that the device keeps */
export async function openSession(db: Queryable, actorId: number, from: From, now: Date): Promise<string> {
  const token = newToken();
  await insertSession(db, {
    ...from,
    tokenSha256: sha256(token),
    actorId,
    at: now,
    endsAt: new Date(now.getTime() + SESSION_MS),
  });
  return token;
}

export interface Found {
  readonly session: Session;
  /** Who is at it; null where it is locked, or whoever it was works here no more. */
  readonly actor: Actor | null;
}

/** The session of a token with who is at it; null where it is none, or over. @param actors who works here now */
export async function sessionOf(
  pool: Database,
  token: string,
  now: Date,
  actors: readonly Actor[],
): Promise<Found | null> {
  const session = await findSession(pool, sha256(token), now, new Date(now.getTime() - GRACE_MS));
  if (!session) return null;
  // Whoever opened it works here no more: nobody else gets in by it.
  if (!actors.some(({ id }) => id === session.openedBy)) return null;
  const isOpen = !session.isShared || (session.openUntil !== null && session.openUntil > now);
  const actor = isOpen ? (actors.find(({ id }) => id === session.actorId) ?? null) : null;
  if (now.getTime() - session.seenAt.getTime() > SEEN_EVERY_MS)
    await seeSession(
      pool,
      session.id,
      now,
      session.isShared && actor ? new Date(now.getTime() + LOCK_MS) : session.openUntil,
    );
  return { session, actor };
}

/** Another token for a session whose own is old; null where it is good for a while, or somebody else just changed it. */
export async function turned(pool: Database, token: string, { session }: Found, now: Date): Promise<string | null> {
  if (now.getTime() - session.turnedAt.getTime() < TURN_MS) return null;
  const next = newToken();
  const done = await turnToken(pool, { id: session.id, from: sha256(token), to: sha256(next), at: now });
  return done ? next : null;
}
