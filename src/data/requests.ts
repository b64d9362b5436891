import "server-only";
import type { ResultSetHeader } from "mysql2/promise";
import { insert, select, type Queryable } from "./db";

/** Claims a request key; fails with a duplicate error where the write has been made (or is being made) already. */
export const claimRequest = (db: Queryable, key: string, useCase: string, actorId: number, at: Date): Promise<number> =>
  insert(db, "insert into request (request_key, use_case, actor_id, at) values (?, ?, ?, ?)", [
    key,
    useCase,
    actorId,
    at,
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

export async function findResult(db: Queryable, key: string): Promise<{ useCase: string; result: unknown } | null> {
  const [row] = await select<{ use_case: string; result: unknown }>(
    db,
    "select use_case, result from request where request_key = ?",
    [key],
  );
  return row ? { useCase: row.use_case, result: row.result } : null;
}
