import { sayDuration, sayForecastMoment, saySpan, type FarmClock } from "@/formats/times";
import type { MarkMs, WindowMs } from "./window";

/** When a course opens, is best and closes. */
export interface CourseWindow extends WindowMs {
  readonly peak: MarkMs;
}

/** A course as it is and as it would be; of what stands there, or of another of the same. */
export interface Difference {
  readonly before: CourseWindow;
  readonly after: CourseWindow;
  readonly of: "this" | "next";
}

/** When a window opens, is best and closes, with the span that its opening lies in; what is behind us is said as that. */
export function sayCourse({ start, peak, end }: CourseWindow, nowMs: number, clock: FarmClock): string {
  const say = (ms: number) => sayForecastMoment(new Date(ms), new Date(nowMs), clock);
  if (start.p50 === null) return "no window in sight";
  if (end.p50 !== null && end.p50 <= nowMs) return `likely past since ${say(end.p50)}`;
  const closes = end.p50 === null ? "keeps" : `closes about ${say(end.p50)}`;
  if (start.p50 <= nowMs) return `likely open already, ${closes}`;
  const span =
    start.p10 === null || start.p90 === null ? "" : ` (${say(Math.max(nowMs, start.p10))} to ${say(start.p90)})`;
  const best = peak.p50 === null ? "" : `, best about ${say(peak.p50)}`;
  return `opens about ${say(start.p50)}${span}${best}, ${closes}`;
}

/** Shorter than this is not worth doing anything for, h. */
const WORTH_H = 1;
const HOUR_MS = 3_600_000;

/** How much sooner a mark would come, over its early, likely and late hours, h. */
interface Sooner {
  readonly least: number;
  readonly likely: number;
  readonly most: number;
}

/** Null where the mark is not in sight. */
function soonerBy(before: MarkMs, after: MarkMs): Sooner | null {
  const hoursOf = (key: keyof MarkMs): number[] => {
    const [from, to] = [before[key], after[key]];
    return from === null || to === null ? [] : [(from - to) / HOUR_MS];
  };
  const hours = [...hoursOf("p10"), ...hoursOf("p50"), ...hoursOf("p90")];
  if (hours.length === 0) return null;
  return { least: Math.min(...hours), likely: hoursOf("p50")[0] ?? hours[0]!, most: Math.max(...hours) };
}

const isNothing = ({ least, most }: Sooner): boolean => Math.abs(least + most) / 2 < WORTH_H;

function saySooner({ least, likely, most }: Sooner): string {
  const [from, to] = [Math.abs(least), Math.abs(most)].toSorted((a, b) => a - b) as [number, number];
  const way = least + most > 0 ? "sooner" : "later";
  // Where one end stays, or goes the other way, the likely hour is told, and how far the other may go.
  if (least * most <= 0 || from < WORTH_H) {
    const atMost = `${sayDuration(to)} ${way} at most`;
    return Math.abs(likely) < WORTH_H
      ? `as soon, ${atMost}`
      : `about ${sayDuration(Math.abs(likely))} ${likely > 0 ? "sooner" : "later"}, ${atMost}`;
  }
  return `${saySpan(from, to)} ${way}`;
}

/** How the close moves, where the window is open already and only that can. */
function sayClose(before: MarkMs, after: MarkMs): string {
  const moved = soonerBy(before, after);
  return !moved || isNothing(moved)
    ? "It is open, and would stay so as long."
    : `It is open, and would close ${saySooner(moved)}.`;
}

/**
 * What doing otherwise comes to, in one sentence; a span where the early and the late hour move otherwise.
 * @example sayDifference({ before, after, of: "this" }, nowMs); // "It would open 1 to 3 days sooner."
 */
export function sayDifference({ before: asIs, after: changed, of }: Difference, nowMs: number): string {
  const [before, after] = [asIs.start, changed.start];
  if (before.p50 === null && after.p50 === null) return "Neither comes to anything that can be foreseen.";
  if (before.p50 === null) return of === "this" ? "That would bring it in." : "Changed so it would come in.";
  if (after.p50 === null) return "That would keep it from coming in at all.";
  if (before.p50 <= nowMs && after.p50 <= nowMs) return sayClose(asIs.end, changed.end);
  const moved = soonerBy(before, after)!;
  if (isNothing(moved)) return "It would make no difference worth the trouble.";
  return `It would open ${saySooner(moved)}.`;
}
