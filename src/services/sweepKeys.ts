import "server-only";
import { sweepRequests } from "@/data/requests";
import type { Context } from "./context";

/** As long as a phone may be away with what it has yet to send. */
const KEPT_MS = 30 * 86_400_000;
const EVERY_MS = 3_600_000;
const MOST_AT_ONCE = 500;
const swept = { atMs: 0 };

/** Forgets the keys of old writes, once an hour at most; what fails here is tried again in the next. */
export async function sweepKeys({ pool, now }: Pick<Context, "pool" | "now">): Promise<void> {
  const nowMs = now().getTime();
  if (Math.abs(nowMs - swept.atMs) < EVERY_MS) return;
  swept.atMs = nowMs;
  await sweepRequests(pool, new Date(nowMs - KEPT_MS), MOST_AT_ONCE).catch(() => 0);
}
