import "server-only";
import { insert, select, type Queryable } from "../db";

/** A device on which somebody is signed in, as it stands. */
export interface Session {
  readonly id: number;
  readonly openedBy: number;
  /** Who is at it; null where it is locked. */
  readonly actorId: number | null;
  readonly isShared: boolean;
  readonly openUntil: Date | null;
  readonly turnedAt: Date;
  readonly seenAt: Date;
  readonly openedAt: Date;
  readonly endsAt: Date;
  readonly device: string;
  readonly address: string;
}
export interface NewSession {
  readonly tokenSha256: Buffer;
  readonly actorId: number;
  readonly device: string;
  readonly address: string;
  readonly at: Date;
  readonly endsAt: Date;
}

interface SessionRow {
  id: number;
  opened_by: number;
  actor_id: number | null;
  shared: number;
  open_until: Date | null;
  turned_at: Date;
  seen_at: Date;
  opened_at: Date;
  ends_at: Date;
  device: string;
  address: string;
}
const COLUMNS = "id, opened_by, actor_id, shared, open_until, turned_at, seen_at, opened_at, ends_at, device, address";
const toSession = (row: SessionRow): Session => ({
  id: row.id,
  openedBy: row.opened_by,
  actorId: row.actor_id,
  isShared: row.shared === 1,
  openUntil: row.open_until,
  turnedAt: row.turned_at,
  seenAt: row.seen_at,
  openedAt: row.opened_at,
  endsAt: row.ends_at,
  device: row.device,
  address: row.address,
});

export const insertSession = (db: Queryable, session: NewSession): Promise<number> =>
  insert(
    db,
    `insert into session (token_sha256, turned_at, opened_by, actor_id, device, address, opened_at, seen_at, ends_at)
     values (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      session.tokenSha256,
      session.at,
      session.actorId,
      session.actorId,
      session.device,
      session.address,
      session.at,
      session.at,
      session.endsAt,
    ],
  );

/**
 * The session of a token that is good now.
 * @param graceFrom the token before is good where it was changed since then: answers cross on the way
 */
export async function findSession(
  db: Queryable,
  tokenSha256: Buffer,
  now: Date,
  graceFrom: Date,
): Promise<Session | null> {
  const [row] = await select<SessionRow>(
    db,
    `select ${COLUMNS} from session where ended_at is null and ends_at > ? and (token_sha256 = ? or (before_sha256 = ? and turned_at > ?))`,
    [now, tokenSha256, tokenSha256, graceFrom],
  );
  return row ? toSession(row) : null;
}

/** Changes a session's token. @returns false where somebody else just did */
export async function turnToken(
  db: Queryable,
  turn: { readonly id: number; readonly from: Buffer; readonly to: Buffer; readonly at: Date },
): Promise<boolean> {
  const [done] = await db.execute(
    "update session set before_sha256 = token_sha256, token_sha256 = ?, turned_at = ? where id = ? and token_sha256 = ?",
    [turn.to, turn.at, turn.id, turn.from],
  );
  return (done as { affectedRows: number }).affectedRows === 1;
}

export const seeSession = (db: Queryable, id: number, at: Date, openUntil: Date | null): Promise<unknown> =>
  db.execute("update session set seen_at = ?, open_until = ? where id = ?", [at, openUntil, id]);

/** Puts somebody at a session, or nobody. */
export const putAt = (
  db: Queryable,
  id: number,
  actorId: number | null,
  { isShared, openUntil }: { readonly isShared: boolean; readonly openUntil: Date | null },
): Promise<unknown> =>
  db.execute("update session set actor_id = ?, shared = ?, open_until = ? where id = ?", [
    actorId,
    isShared,
    openUntil,
    id,
  ]);

export const endSession = (db: Queryable, id: number, at: Date): Promise<unknown> =>
  db.execute("update session set ended_at = ? where id = ? and ended_at is null", [at, id]);

/** Ends what somebody opened, wherever that is; and takes them off phones that others shared. @param but a session that goes on */
export async function endSessionsOf(db: Queryable, actorId: number, at: Date, but: number | null): Promise<void> {
  await db.execute("update session set ended_at = ? where opened_by = ? and ended_at is null and id <> ?", [
    at,
    actorId,
    but ?? 0,
  ]);
  await db.execute("update session set actor_id = null where actor_id = ? and opened_by <> ? and id <> ?", [
    actorId,
    actorId,
    but ?? 0,
  ]);
}

/** All that are open, the one seen last first. */
export const listSessions = async (db: Queryable, now: Date): Promise<Session[]> =>
  (
    await select<SessionRow>(
      db,
      `select ${COLUMNS} from session where ended_at is null and ends_at > ? order by seen_at desc, id desc`,
      [now],
    )
  ).map(toSession);

export async function lockSession(db: Queryable, id: number): Promise<Session | null> {
  const [row] = await select<SessionRow>(
    db,
    `select ${COLUMNS} from session where id = ? and ended_at is null for update`,
    [id],
  );
  return row ? toSession(row) : null;
}
