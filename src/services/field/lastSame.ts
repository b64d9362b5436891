import "server-only";
import { BROUGHT_OVER_D } from "@/core/apply/brought";
import { addDays } from "@/core/calendar";

const DAY_MS = 86_400_000;
/** What lies further back than a season counts as never, for who has waited and what comes too soon. */
const SEASON_D = 120;
/** No interval of a programme is longer than a year. */
const YEAR_D = 366;

/** From when on it matters what a plot got. */
export const sinceWhen = (now: Date, spanD = SEASON_D): Date => new Date(now.getTime() - spanD * DAY_MS);
/** The same for programmes. */
export const sinceLastYear = (now: Date): Date => sinceWhen(now, YEAR_D);

/** The day from which on what was brought to a plot adds up. @param today ISO date */
export const broughtSince = (today: string): string => addDays(today, -BROUGHT_OVER_D);

/** Whole days since a moment. */
export const daysSince = (at: Date, now: Date): number =>
  Math.max(0, Math.floor((now.getTime() - at.getTime()) / DAY_MS));

/** Days since a plot last got something of a method; null where it never did. */
export function lastSameDays(
  made: readonly { readonly plotId: number; readonly methodId: string; readonly at: Date }[],
  plotId: number,
  methodId: string,
  now: Date,
): number | null {
  const last = made.find((one) => one.plotId === plotId && one.methodId === methodId);
  return last ? daysSince(last.at, now) : null;
}
