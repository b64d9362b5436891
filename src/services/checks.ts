import "server-only";
import { errnoOf, SQL_ERROR, type Queryable } from "@/data/db";
import { findFarm } from "@/data/farm";
import { isoDay } from "@/formats/times";
import type { Context } from "./context";
import { refuse } from "./refusal";

/** A moment may lie this far ahead of the server's clock: phones run fast. */
const CLOCK_SLACK_MS = 5 * 60_000;

/**
 * The moment that a request names, or now.
 * @throws {Refusal} at `/at` for one that lies ahead, or before `notBefore`
 */
export function momentOf(ctx: Context, at: string | undefined, notBefore: Date | null = null, path = "/at"): Date {
  const now = ctx.now();
  const moment = at === undefined ? now : new Date(at);
  if (moment.getTime() > now.getTime() + CLOCK_SLACK_MS) throw refuse("in-future", {}, path);
  if (notBefore && moment < notBefore) throw refuse("before-start", {}, path);
  return moment;
}

/** Turns a clash of names into a message at the name. */
export async function withFreeName<T>(name: string, work: () => Promise<T>, path = "/name"): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (errnoOf(error) === SQL_ERROR.duplicate) throw refuse("name-taken", { name }, path);
    throw error;
  }
}

/** The name, or the first with a number that nobody has. @example freeName("Drum", ["Drum"]); // "Drum 2" */
export function freeName(wanted: string, taken: readonly string[]): string {
  const known = new Set(taken.map((name) => name.toLowerCase()));
  for (let number = 1; ; number += 1) {
    const name = number === 1 ? wanted : `${wanted} ${number}`;
    if (!known.has(name.toLowerCase())) return name;
  }
}

/** The day that it is on the farm, or was at a moment. */
export const dayOnFarm = async (db: Queryable, at: Date): Promise<string> =>
  isoDay(at, { timeZone: (await findFarm(db))?.timeZone ?? "UTC" });

/** Who writes, and when: as every row that is added has it. */
export const writtenBy = (ctx: Context): { readonly actorId: number; readonly addedAt: Date } => ({
  actorId: ctx.actor.id,
  addedAt: ctx.now(),
});

/** Money as it is typed, in whole minor units (hundredths): how the books hold it. */
export const minorOf = (money: number): number => Math.round(money * 100);
