import type { Verdict } from "@/core/judge/judged";
import { isUsable, type VerdictState } from "@/core/judge/verdictState";
import { sayForecastMoment, type FarmClock } from "@/formats/times";

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

/** What the words of a window go by. */
export interface JudgedWindow extends Pick<Verdict, "state" | "spoilt"> {
  readonly window: WindowMs;
}

/** Whether its signs make it ready before its forecast does. */
export const isSoonerBySigns = (state: VerdictState, { p50 }: MarkMs, nowMs: number): boolean =>
  isUsable(state) && (p50 === null || p50 > nowMs);

/**
 * When a batch's window opens and closes, in a few words.
 * @example sayWindow(early, nowMs, { timeZone: "UTC" }); // "Opens about Fri 06:00, between Thu 20:00 and Sat 14:00."
 */
export function sayWindow({ window, state, spoilt }: JudgedWindow, nowMs: number, clock: FarmClock): string {
  const { start, end } = window;
  const say = (ms: number) => sayForecastMoment(new Date(ms), new Date(nowMs), clock);
  if (state === "spoiled")
    return spoilt === "hold" ? "It waits for what the doubt comes to." : "Nothing will come of it.";
  const close = end.p50 === null || end.p50 <= nowMs ? "" : `; closes about ${say(end.p50)}`;
  if (isSoonerBySigns(state, start, nowMs)) return `Open by its signs, sooner than reckoned${close}.`;
  if (state === "past" && (end.p50 === null || end.p50 > nowMs)) return "Past, sooner than reckoned.";
  if (start.p50 === null) return "No window in sight.";
  if (start.p50 > nowMs) {
    const span =
      start.p10 !== null && start.p90 !== null && start.p10 > nowMs
        ? `, between ${say(start.p10)} and ${say(start.p90)}`
        : "";
    return `Opens about ${say(start.p50)}${span}${close}.`;
  }
  // By warmth alone; the verdict may still wait for a sign or a reading.
  if (end.p50 === null) return "By its warmth the window is open, and it keeps.";
  return end.p50 > nowMs ? `Open until about ${say(end.p50)}.` : `Closed about ${say(end.p50)}.`;
}
