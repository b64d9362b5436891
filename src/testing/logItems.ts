import type { LogItem } from "@/core/judge/log";

/** A pH by meter from mid-depth, as the core takes it. */
export const ph = (hour: number, value: number): LogItem => ({
  hour,
  kind: "ph",
  value,
  instrument: "meter",
  spot: "mid-depth",
});

/** A smell, as the core takes it. */
export const smell = (hour: number, word: string): LogItem => ({ hour, kind: "smell", word });
