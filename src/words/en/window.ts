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
    return spoilt === "hold" ? "On hold until the next checks." : "Failed. Put it on hot compost.";
  const close = end.p50 === null || end.p50 <= nowMs ? "" : `; good until about ${say(end.p50)}`;
  if (isSoonerBySigns(state, start, nowMs)) return `Ready now by its signs, earlier than expected${close}.`;
  if (state === "past" && (end.p50 === null || end.p50 > nowMs)) return "Past its best, earlier than expected.";
  if (start.p50 === null) return "Ready date unknown.";
  if (start.p50 > nowMs) {
    const span =
      start.p10 !== null && start.p90 !== null && start.p10 > nowMs
        ? `, between ${say(start.p10)} and ${say(start.p90)}`
        : "";
    return `Likely ready about ${say(start.p50)}${span}${close}.`;
  }
  // By warmth alone; the verdict may still wait for a sign or a reading.
  if (end.p50 === null) return "By warmth it should be ready. It keeps.";
  return end.p50 > nowMs ? `Good until about ${say(end.p50)}.` : `Past its best since about ${say(end.p50)}.`;
}
