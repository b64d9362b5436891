"use client";
import { useState } from "react";
import { isoDay, momentOn, type FarmClock } from "@/formats/times";

const AGO_H = [0, 0.5, 1, 2, 4, 8, 24] as const;
const sayAgo = (hours: number) =>
  hours === 0 ? "just now" : hours < 1 ? "½ h ago" : hours === 24 ? "a day ago" : `${hours} h ago`;
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const FIELD = "min-h-11 rounded-[5px] border-[1.5px] border-line bg-chalk px-3";
/** What a look of another day is taken for where nobody says. */
const USUAL_TIME = "08:00";

/** When something was seen or done: just now, hours ago, or on any day since it could be. */
export type When =
  | { readonly type: "now" }
  | { readonly type: "ago"; readonly hours: number }
  | { readonly type: "on"; readonly day: string; readonly time: string };

/** The instant meant, as it is sent; undefined for now. What can't be read is sent as typed, and refused at its field. */
export function sentAt(when: When, nowMs: number, clock: FarmClock): string | undefined {
  if (when.type === "now") return undefined;
  if (when.type === "ago") return new Date(nowMs - when.hours * HOUR_MS).toISOString();
  const at = momentOn(when.day, when.time, clock);
  return at === null ? `${when.day} ${when.time}` : at.toISOString();
}

interface WhenChoiceProps {
  readonly when: When;
  readonly nowMs: number;
  /** Not before this, ms since the epoch. */
  readonly startedMs: number;
  readonly clock: FarmClock;
  readonly onChange: (when: When) => void;
  readonly label?: string;
  readonly error?: string | undefined;
}

export const WhenChoice = ({ when, nowMs, startedMs, clock, onChange, label = "When", error }: WhenChoiceProps) => {
  const today = isoDay(new Date(nowMs), clock);
  const [lastOn, setLastOn] = useState({
    day: isoDay(new Date(Math.max(startedMs, nowMs - DAY_MS)), clock),
    time: USUAL_TIME,
  });
  const on = (change: Partial<typeof lastOn>) => {
    const next = { ...lastOn, ...change };
    setLastOn(next);
    onChange({ type: "on", ...next });
  };
  return (
    <div className="flex flex-wrap items-center gap-3">
      <label className="flex items-center gap-3">
        <span className="text-[0.92rem] font-semibold">{label}</span>
        <select
          value={when.type === "now" ? 0 : when.type === "ago" ? when.hours : "on"}
          onChange={({ target: { value } }) => {
            if (value === "on") on({});
            else onChange(value === "0" ? { type: "now" } : { type: "ago", hours: Number(value) });
          }}
          className={FIELD}
        >
          {AGO_H.map((hours) => (
            <option key={hours} value={hours}>
              {sayAgo(hours)}
            </option>
          ))}
          <option value="on">on another day</option>
        </select>
      </label>
      {when.type === "on" ? (
        <>
          <input
            type="date"
            aria-label="Day"
            value={when.day}
            min={isoDay(new Date(startedMs), clock)}
            max={today}
            onChange={(event) => on({ day: event.target.value })}
            className={FIELD}
          />
          <input
            type="time"
            aria-label="Time"
            value={when.time}
            onChange={(event) => on({ time: event.target.value })}
            className={FIELD}
          />
        </>
      ) : null}
      {error ? (
        <p role="alert" className="w-full font-semibold text-rust">
          {error}
        </p>
      ) : null}
    </div>
  );
};
