import type { VerdictState } from "@/core/judge/verdict";
import { sayForecastMoment, type FarmClock } from "./times";

/** Early, likely and late moment of a mark, ms since the epoch; null for not in sight. */
export interface MarkMs {
  readonly p10: number | null;
  readonly p50: number | null;
  readonly p90: number | null;
}

export interface WindowMs {
  readonly start: MarkMs;
  readonly end: MarkMs;
}

/**
 * When a batch's window opens and closes, in a few words.
 * @example sayWindow(window, "early", nowMs, { timeZone: "UTC" }); // "Opens about Fri 06:00, between Thu 20:00 and Sat 14:00."
 */
export function sayWindow({ start, end }: WindowMs, state: VerdictState, nowMs: number, clock: FarmClock): string {
  const say = (ms: number) => sayForecastMoment(new Date(ms), new Date(nowMs), clock);
  if (state === "spoiled") return "Nothing will come of it.";
  if (start.p50 === null) return "No window in sight.";
  if (start.p50 > nowMs) {
    const span =
      start.p10 !== null && start.p90 !== null && start.p10 > nowMs
        ? `, between ${say(start.p10)} and ${say(start.p90)}`
        : "";
    const close = end.p50 === null ? "" : `; closes about ${say(end.p50)}`;
    return `Opens about ${say(start.p50)}${span}${close}.`;
  }
  // By warmth alone; the verdict may still wait for a sign or a reading.
  if (end.p50 === null) return "By its warmth the window is open, and it keeps.";
  return end.p50 > nowMs ? `Open until about ${say(end.p50)}.` : `Closed about ${say(end.p50)}.`;
}
