import "server-only";
import type { ResultSetHeader } from "mysql2/promise";
import { insert, select, type Queryable } from "./db";

export interface RequestClaim {
  readonly key: string;
  readonly useCase: string;
  /** Hash of what is asked: the same key with something else in it is no resend. */
  readonly askedSha256: string;
  readonly actorId: number;
  readonly at: Date;
}

/** Claims a request key; fails with a duplicate error where the write has been made (or is being made) already. */
export const claimRequest = (db: Queryable, claim: RequestClaim): Promise<number> =>
  insert(db, "insert into request (request_key, use_case, asked_sha256, actor_id, at) values (?, ?, ?, ?, ?)", [
    claim.key,
    claim.useCase,
    claim.askedSha256,
    claim.actorId,
    claim.at,
  ]);

/** Forgets keys from before a moment, some at a time; how many they were. */
export async function sweepRequests(db: Queryable, before: Date, most: number): Promise<number> {
  const [swept] = await db.execute<ResultSetHeader>("delete from request where at < ? order by at limit ?", [
    before,
    String(most),
  ]);
  return swept.affectedRows;
}

export const keepResult = (db: Queryable, key: string, result: unknown): Promise<number> =>
  insert(db, "update request set result = ? where request_key = ?", [JSON.stringify(result ?? null), key]);

/** What came of a key; what was asked is null for keys from before that was kept. */
export async function findResult(
  db: Queryable,
  key: string,
): Promise<{ useCase: string; askedSha256: string | null; result: unknown } | null> {
  const [row] = await select<{ use_case: string; asked_sha256: string | null; result: unknown }>(
    db,
    "select use_case, asked_sha256, result from request where request_key = ?",
    [key],
  );
  return row ? { useCase: row.use_case, askedSha256: row.asked_sha256, result: row.result } : null;
}
