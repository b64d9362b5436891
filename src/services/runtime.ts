import "server-only";
import { type Database, openPool } from "@/data/db";

// One pool a process; kept on globalThis, since a development server loads modules more than once.
const holder = globalThis as typeof globalThis & { ruchkaPool?: Database; ruchkaClockOffsetMs?: number };

/**
 * The process's pool, opened when first asked for, so that a build needs no database.
 * @throws Error where DATABASE_URL is missing
 */
export function pool(): Database {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error("DATABASE_URL is not set: start Ruchka with bin/start or bin/demo.");
  holder.ruchkaPool ??= openPool(url);
  return holder.ruchkaPool;
}

/** The server's clock. RUCHKA_NOW sets it to a moment from which it runs on: for tests and pictures of a known day. */
export function now(): Date {
  if (holder.ruchkaClockOffsetMs === undefined) {
    const set = process.env.RUCHKA_NOW;
    holder.ruchkaClockOffsetMs = set ? Date.parse(set) - Date.now() : 0;
  }
  return new Date(Date.now() + holder.ruchkaClockOffsetMs);
}
