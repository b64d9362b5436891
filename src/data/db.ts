import "server-only";
import { createPool, type Pool, type PoolConnection, type ResultSetHeader, type RowDataPacket } from "mysql2/promise";
import pTimeout, { TimeoutError } from "p-timeout";

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
} as const;

export const errnoOf = (error: unknown): number | null =>
  typeof error === "object" && error !== null && "errno" in error && typeof error.errno === "number"
    ? error.errno
    : null;

/** Ours, for what did not answer in time. */
const NO_ANSWER = "NO_ANSWER_IN_TIME";
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
  NO_ANSWER,
]);
/** Whether the database could not be reached, went away in the middle, or does not answer in time. */
export const isConnectionError = (error: unknown): boolean =>
  typeof error === "object" &&
  error !== null &&
  (("code" in error && CONNECTION_CODES.has(String(error.code))) || ("fatal" in error && error.fatal === true));

const DISK_FULL = new Set<number | null>([1021, 1114, 28]);
/** Errors of the server that may come of a full disk, which then says the system's own number for it. */
const DISK_PERHAPS = new Set<number | null>([3, 1026, 1030]);
/** Whether the disk under the database is full. */
export const isDiskFull = (error: unknown): boolean =>
  DISK_FULL.has(errnoOf(error)) ||
  (DISK_PERHAPS.has(errnoOf(error)) && /\b28\b/.test(error instanceof Error ? error.message : ""));

/** Whether others held a row for longer than anybody waits; the same again is safe. */
export const isBusy = (error: unknown): boolean => {
  const errno = errnoOf(error);
  return errno === SQL_ERROR.deadlock || errno === SQL_ERROR.lockTimeout;
};

/** Nobody waits longer than this for a connection, a statement, a row that somebody else holds. A machine four times slower stays well below. */
const CONNECTION_LIMIT_MS = 8_000;
const STATEMENT_LIMIT_MS = 10_000;
const ROW_LIMIT_S = 3;

/** Settings of a pool that are not the usual ones. */
export interface PoolSettings {
  readonly connectionLimit?: number;
  /** How long a connection may take to be made, ms. */
  readonly connectTimeout?: number;
  /** How long a row that somebody else holds is waited for, s. */
  readonly rowLimitS?: number;
}

/** An answer within a limit, or an error that says that the database does not answer. */
async function inTime<T>(coming: Promise<T>, milliseconds: number): Promise<T> {
  try {
    return await pTimeout(coming, { milliseconds });
  } catch (error) {
    if (error instanceof TimeoutError) throw Object.assign(error, { code: NO_ANSWER });
    throw error;
  }
}

/** A connection within the limit; one that comes later goes back unused. */
async function connectionOf(pool: Pool): Promise<PoolConnection> {
  const coming = pool.getConnection();
  try {
    return await inTime(coming, CONNECTION_LIMIT_MS);
  } catch (error) {
    coming.then(
      (late) => late.release(),
      () => undefined,
    );
    throw error;
  }
}

type Execute = Queryable["execute"];
/** Statements of one connection, each with its limit: a server that was stopped in the middle answers nothing at all. */
const limited =
  (connection: PoolConnection): Execute =>
  (sql, values) =>
    // mysql2's own limit does not cover the preparing of a statement.
    inTime(connection.execute(sql, values), STATEMENT_LIMIT_MS) as never;

const plain = (connection: PoolConnection, sql: string) => inTime(connection.query(sql), STATEMENT_LIMIT_MS);

/** A pool for a DATABASE_URL; all times UTC, calendar days as text, a second statement refused, nothing waited for without end. */
export function openPool(
  databaseUrl: string,
  { connectionLimit = 8, connectTimeout = 5000, rowLimitS = ROW_LIMIT_S }: PoolSettings = {},
): Pool {
  const pool = createPool({
    uri: databaseUrl,
    timezone: "Z",
    dateStrings: ["DATE"],
    supportBigNumbers: true,
    connectionLimit,
    connectTimeout,
    charset: "utf8mb4",
  });
  // Sums read after a lock must see what others committed meanwhile, not a snapshot from before it.
  const session = `set session innodb_lock_wait_timeout = ${rowLimitS}, lock_wait_timeout = ${rowLimitS},
    max_statement_time = ${STATEMENT_LIMIT_MS / 1000}, tx_isolation = 'READ-COMMITTED'`;
  pool.pool.on("connection", (connection) =>
    connection.query(session, (error) => {
      // Without its limits it is not used: the first statement on it then says what is wrong.
      if (error) connection.destroy();
    }),
  );
  const execute: Execute = async (sql, values) => {
    const connection = await connectionOf(pool);
    try {
      const answer = await limited(connection)(sql, values);
      connection.release();
      return answer as never;
    } catch (error) {
      if (isConnectionError(error)) connection.destroy();
      else connection.release();
      throw error;
    }
  };
  return Object.assign(pool, { execute });
}

/** How long a transaction that lost against others is tried again, each time a little later and not all at once. */
const RETRY_MS = 8_000;
/** Who waited for a row to the end of its limit waits once more. */
const ROW_WAITS = 2;
const pauseMs = (attempt: number): number => Math.min(400, 15 * 2 ** attempt) * (0.5 + Math.random());

// Counted for the process, since a built server holds this module more than once, and kept with the pool: no two pools are ever at the same.
const counter = globalThis as typeof globalThis & { ruchkaRevision?: number };
type Revised = Pool & { revision?: number };
const markChanged = (pool: Pool): number =>
  ((pool as Revised).revision = counter.ruchkaRevision = (counter.ruchkaRevision ?? 0) + 1);

/**
 * Counts up with every transaction of a pool, whatever came of it: what was read at one revision stands while the pool is at it.
 * Writers of other processes are not seen.
 */
export const revisionOf = (pool: Pool): number => (pool as Revised).revision ?? markChanged(pool);

/** Commits of this server and of its cluster, as it counts them itself. */
const COMMITS =
  "select group_concat(variable_value order by variable_name) as n from information_schema.global_status where variable_name in ('COM_COMMIT', 'WSREP_LAST_COMMITTED')";

/**
 * What changes as any process writes to the same database: commits as the server counts them. Counted as they begin, so that one that ends in this very
 * moment may not be read yet.
 */
export async function sharedRevision(pool: Pool): Promise<string> {
  const [row] = await select<{ n: string }>(pool, COMMITS);
  return row!.n;
}

/**
 * Runs work in one transaction: all of it or nothing. What was lost against others is tried again, no other error is.
 * @throws whatever the work throws, after rolling back
 */
export async function inTransaction<T>(pool: Pool, work: (db: Queryable) => Promise<T>): Promise<T> {
  const untilMs = Date.now() + RETRY_MS;
  let rowWaits = 0;
  for (let attempt = 0; ; attempt += 1) {
    const connection = await connectionOf(pool);
    try {
      await plain(connection, "start transaction");
      const result = await work({ execute: limited(connection) });
      await plain(connection, "commit");
      connection.release();
      return result;
    } catch (error) {
      await giveBack(connection, error);
      if (!isBusy(error) || Date.now() > untilMs) throw error;
      if (errnoOf(error) === SQL_ERROR.lockTimeout && (rowWaits += 1) >= ROW_WAITS) throw error;
      await new Promise((resolve) => setTimeout(resolve, pauseMs(attempt)));
    } finally {
      // A commit whose answer was lost may stand all the same.
      markChanged(pool);
    }
  }
}

async function giveBack(connection: PoolConnection, error: unknown): Promise<void> {
  if (isConnectionError(error)) return connection.destroy();
  try {
    await plain(connection, "rollback");
    connection.release();
  } catch {
    connection.destroy();
  }
}

/** As many places in a statement as there are values. @example places([4, 7]); // "?, ?" */
export const places = (values: readonly unknown[]): string => values.map(() => "?").join(", ");

/** As many rows of places for one insert. @example rowsOf(2, 3); // "(?, ?, ?), (?, ?, ?)" */
export const rowsOf = (count: number, columns: number): string =>
  Array.from({ length: count }, () => `(${places(Array.from({ length: columns }))})`).join(", ");

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
