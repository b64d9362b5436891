import "server-only";
import { insert, select, type Queryable } from "../db";

export const insertInvitation = async (
  db: Queryable,
  invitation: {
    readonly codeSha256: Buffer;
    readonly actorId: number;
    readonly madeBy: number | null;
    readonly madeAt: Date;
    readonly endsAt: Date;
  },
): Promise<number> => {
  // Who is invited anew has one way in, the newest.
  await db.execute("update invitation set used_at = ? where actor_id = ? and used_at is null", [
    invitation.madeAt,
    invitation.actorId,
  ]);
  return insert(
    db,
    "insert into invitation (code_sha256, actor_id, made_by, made_at, ends_at) values (?, ?, ?, ?, ?)",
    [invitation.codeSha256, invitation.actorId, invitation.madeBy, invitation.madeAt, invitation.endsAt],
  );
};

/** Whom a code lets in, where it is good; locked, so that it is used once. */
export async function lockInvitation(
  db: Queryable,
  codeSha256: Buffer,
  now: Date,
): Promise<{ readonly id: number; readonly actorId: number; readonly name: string } | null> {
  const [row] = await select<{ id: number; actorId: number; name: string }>(
    db,
    `select invitation.id, invitation.actor_id as actorId, actor.name
     from invitation join actor on actor.id = invitation.actor_id
     where invitation.code_sha256 = ? and invitation.used_at is null and invitation.ends_at > ? and actor.state = 'in-use' for update`,
    [codeSha256, now],
  );
  return row ?? null;
}

export const useInvitation = (db: Queryable, id: number, at: Date): Promise<unknown> =>
  db.execute("update invitation set used_at = ? where id = ?", [at, id]);

/** Whom an open invitation waits for, and until when. */
export const listInvited = async (db: Queryable, now: Date): Promise<ReadonlyMap<number, Date>> =>
  new Map(
    (
      await select<{ actor_id: number; ends_at: Date }>(
        db,
        "select actor_id, ends_at from invitation where used_at is null and ends_at > ?",
        [now],
      )
    ).map(({ actor_id, ends_at }) => [actor_id, ends_at]),
  );
