import "server-only";
import { createPool, type Pool, type PoolConnection, type ResultSetHeader, type RowDataPacket } from "mysql2/promise";

/** The pool of connections, as services hold it. */
export type Database = Pool;

/** What a data module needs of a connection: the pool itself, or one connection inside a transaction. */
export interface Queryable {
  execute<T extends RowDataPacket[] | ResultSetHeader>(sql: string, values?: SqlValue[]): Promise<[T, unknown]>;
}
export type SqlValue = string | number | boolean | Date | Buffer | null;

/** Server errors that data modules tell apart, by number: mysql2's names for some of MariaDB's are wrong. */
export const SQL_ERROR = {
  duplicate: 1062,
  signal: 1644,
  checkFailed: 4025,
  deadlock: 1213,
  lockTimeout: 1205,
  noParent: 1452,
} as const;

export const errnoOf = (error: unknown): number | null =>
  typeof error === "object" && error !== null && "errno" in error && typeof error.errno === "number"
    ? error.errno
    : null;

const CONNECTION_CODES = new Set([
  "ECONNREFUSED",
  "ECONNRESET",
  "PROTOCOL_CONNECTION_LOST",
  "EPIPE",
  "ENOTFOUND",
  "ETIMEDOUT",
  "ENOENT",
  "ER_SERVER_SHUTDOWN",
  "ER_CONNECTION_KILLED",
  "POOL_CLOSED",
]);
/** Whether the database could not be reached or went away in the middle. */
export const isConnectionError = (error: unknown): boolean =>
  typeof error === "object" && error !== null && "code" in error && CONNECTION_CODES.has(String(error.code));

/** A pool for a DATABASE_URL; all times UTC, calendar days as text, a second statement refused. */
export function openPool(databaseUrl: string, connectionLimit = 8): Pool {
  return createPool({
    uri: databaseUrl,
    timezone: "Z",
    dateStrings: ["DATE"],
    supportBigNumbers: true,
    connectionLimit,
    connectTimeout: 5000,
    charset: "utf8mb4",
  });
}

/** How often a transaction that lost a deadlock is tried again; each time a little later. */
const DEADLOCK_TRIES = 4;
const isRetryable = (error: unknown) => {
  const errno = errnoOf(error);
  return errno === SQL_ERROR.deadlock || errno === SQL_ERROR.lockTimeout;
};

/**
 * Runs work in one transaction: all of it or nothing. A deadlock is tried again, no other error is.
 * @throws whatever the work throws, after rolling back
 */
export async function inTransaction<T>(pool: Pool, work: (db: Queryable) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt += 1) {
    const connection = await pool.getConnection();
    try {
      // Sums read after a lock must see what others committed meanwhile, not a snapshot from before it.
      await connection.query("set transaction isolation level read committed");
      await connection.beginTransaction();
      const result = await work(connection);
      await connection.commit();
      connection.release();
      return result;
    } catch (error) {
      await giveBack(connection, error);
      if (attempt >= DEADLOCK_TRIES || !isRetryable(error)) throw error;
      await new Promise((resolve) => setTimeout(resolve, 20 * attempt ** 2));
    }
  }
}

async function giveBack(connection: PoolConnection, error: unknown): Promise<void> {
  if (isConnectionError(error)) return connection.destroy();
  try {
    await connection.rollback();
    connection.release();
  } catch {
    connection.destroy();
  }
}

/** Rows of a select. */
export async function select<Row>(db: Queryable, sql: string, values: SqlValue[] = []): Promise<Row[]> {
  const [rows] = await db.execute<RowDataPacket[]>(sql, values);
  return rows as Row[];
}

/** Runs an insert; the id it was given, 0 where the table gives none. */
export async function insert(db: Queryable, sql: string, values: SqlValue[]): Promise<number> {
  const [result] = await db.execute<ResultSetHeader>(sql, values);
  return result.insertId;
}
