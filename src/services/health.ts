import "server-only";
import { statfs } from "node:fs/promises";
import pTimeout from "p-timeout";
import type { Database } from "@/data/db";
import { findDataFolder } from "@/data/farm";

/** Nobody who asks after the farm's health waits longer. */
const LIMIT_MS = 800;
/** With less room than this the next photographs fill the disk. */
const LEAST_FREE_BYTES = 50_000_000;

export interface Health {
  /** Whether the database answers, and at once. */
  readonly database: boolean;
  /** Whether there is room for what is written next; null where the database is on another machine, or does not answer. */
  readonly room: boolean | null;
}

async function look(pool: Database): Promise<Health> {
  const folder = await findDataFolder(pool);
  const room = await statfs(folder).then(
    ({ bavail, bsize }) => bavail * bsize >= LEAST_FREE_BYTES,
    () => null,
  );
  return { database: true, room };
}

/** How the farm's database is, told within a second whatever happens to it. */
export const readHealth = (pool: Database): Promise<Health> =>
  pTimeout(look(pool), { milliseconds: LIMIT_MS }).catch(() => ({ database: false, room: null }));
