import "server-only";
import { insert, select, type Queryable } from "../db";

/** Whose calendar address it is; null where there is none, or it has ended. */
export const findFeedOwner = async (db: Queryable, tokenSha256: Buffer): Promise<number | null> =>
  (
    await select<{ actor_id: number }>(
      db,
      `select feed.actor_id from season_feed feed join actor on actor.id = feed.actor_id and actor.state = 'in-use'
       where feed.token_sha256 = ? and feed.ended_at is null`,
      [tokenSha256],
    )
  )[0]?.actor_id ?? null;

/** Since when somebody has an address; null where that person has none. */
export const findFeedSince = async (db: Queryable, actorId: number): Promise<Date | null> =>
  (
    await select<{ made_at: Date }>(
      db,
      "select made_at from season_feed where actor_id = ? and ended_at is null order by id desc limit 1",
      [actorId],
    )
  )[0]?.made_at ?? null;

export const insertFeed = (
  db: Queryable,
  feed: { readonly actorId: number; readonly tokenSha256: Buffer; readonly madeAt: Date },
): Promise<number> =>
  insert(db, "insert into season_feed (actor_id, token_sha256, made_at) values (?, ?, ?)", [
    feed.actorId,
    feed.tokenSha256,
    feed.madeAt,
  ]);
export const endFeeds = (db: Queryable, actorId: number, at: Date): Promise<unknown> =>
  db.execute("update season_feed set ended_at = ? where actor_id = ? and ended_at is null", [at, actorId]);
