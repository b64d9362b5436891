import { tz, TZDate } from "@date-fns/tz";
import { eachDayOfInterval } from "date-fns";

/** What a farm's clock shows of an instant. The time zone is the farm's, not the reader's. */
export interface FarmClock {
  readonly timeZone: string;
}

const cache = new Map<string, Intl.DateTimeFormat>();
function formatter(timeZone: string, key: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const id = `${timeZone}|${key}`;
  const known = cache.get(id);
  if (known) return known;
  const made = new Intl.DateTimeFormat("en-GB", { ...options, timeZone });
  cache.set(id, made);
  return made;
}

export const clockTime = (at: Date, { timeZone }: FarmClock): string =>
  formatter(timeZone, "time", { hour: "2-digit", minute: "2-digit", hour12: false }).format(at);
export const weekday = (at: Date, { timeZone }: FarmClock): string =>
  formatter(timeZone, "weekday", { weekday: "short" }).format(at);
export const longWeekday = (at: Date, { timeZone }: FarmClock): string =>
  formatter(timeZone, "longWeekday", { weekday: "long" }).format(at);
export const dayMonth = (at: Date, { timeZone }: FarmClock): string =>
  formatter(timeZone, "dayMonth", { day: "numeric", month: "short" }).format(at);
export const fullDate = (at: Date, { timeZone }: FarmClock): string =>
  formatter(timeZone, "full", { day: "numeric", month: "short", year: "numeric" }).format(at);
/** A day by the farm's calendar, as another language writes it. @example dateIn(at, clock, "es"); // "2 mar 2031" */
export const dateIn = (at: Date, { timeZone }: FarmClock, locale: string): string =>
  new Intl.DateTimeFormat(locale, { day: "numeric", month: "short", year: "numeric", timeZone }).format(at);
/** The farm's calendar day, "2031-03-02". */
export const isoDay = (at: Date, { timeZone }: FarmClock): string => {
  const parts = Object.fromEntries(
    formatter(timeZone, "iso", { year: "numeric", month: "2-digit", day: "2-digit" })
      .formatToParts(at)
      .map(({ type, value }) => [type, value]),
  );
  return `${parts.year}-${parts.month}-${parts.day}`;
};
/** A calendar day as it is written in the books, said shortly. @example sayDay("2031-03-02"); // "2 Mar 2031" */
export const sayDay = (day: string): string => fullDate(new Date(`${day}T00:00:00Z`), { timeZone: "UTC" });
/** The farm's hour of the day, 0 to below 24, with its fraction. */
export function hourOfDay(at: Date, clock: FarmClock): number {
  const [hour = "0", minute = "0"] = clockTime(at, clock).split(":");
  return (Number(hour) % 24) + Number(minute) / 60;
}

/** Noon of one of the farm's calendar days; an invalid date where the text is no day. */
export function noonOf(day: string, clock: FarmClock): Date {
  return momentOn(day, "12:00", clock) ?? new Date(NaN);
}

/** A time of one of the farm's calendar days ("2031-03-02", "08:30"); null where the text is no day or no time. */
export function momentOn(day: string, time: string, { timeZone }: FarmClock): Date | null {
  const read = /^(\d{4})-(\d\d)-(\d\d) (\d\d):(\d\d)$/.exec(`${day} ${time}`)?.slice(1).map(Number);
  if (!read) return null;
  const [year, month, date, hour, minute] = read as [number, number, number, number, number];
  return new Date(+new TZDate(year, month - 1, date, hour, minute, timeZone));
}

/** Instants at which the farm's days begin within a span, also over a change of its clocks. */
export const midnights = (fromMs: number, toMs: number, { timeZone }: FarmClock): number[] =>
  eachDayOfInterval({ start: fromMs, end: toMs }, { in: tz(timeZone) })
    .map(Number)
    .filter((atMs) => atMs >= fromMs);

const DAY_MS = 86_400_000;

/** A moment near now as a person would say it: "today 18:00", "Fri 06:00", "12 Mar". */
export function sayMoment(at: Date, now: Date, clock: FarmClock): string {
  const days = Math.round((Date.parse(isoDay(at, clock)) - Date.parse(isoDay(now, clock))) / DAY_MS);
  if (days === 0) return `today ${clockTime(at, clock)}`;
  if (days === 1) return `tomorrow ${clockTime(at, clock)}`;
  if (days === -1) return `yesterday ${clockTime(at, clock)}`;
  if (days > 1 && days <= 3) return `${weekday(at, clock)} ${clockTime(at, clock)}`;
  if (days > 3 && days < 7) return weekday(at, clock);
  return dayMonth(at, clock);
}

const HOUR_MS = 3_600_000;
/** A forecast moment, no finer than a forecast is: to the hour. */
export const sayForecastMoment = (at: Date, now: Date, clock: FarmClock): string =>
  sayMoment(new Date(Math.round(at.getTime() / HOUR_MS) * HOUR_MS), now, clock);

/** Age or span as a person says it: "hour 21", "day 11". */
export const sayAge = (hours: number): string =>
  hours < 48 ? `hour ${Math.floor(hours)}` : `day ${Math.floor(hours / 24)}`;

/** @example sayDuration(26); // "26 h" */
export function sayDuration(hours: number): string {
  if (hours < 1) return `${Math.max(1, Math.round(hours * 60))} min`;
  if (hours < 48) return `${Math.round(hours)} h`;
  const days = Math.round(hours / 24);
  return days < 60 ? `${days} days` : `${Math.round(days / 30.4)} months`;
}

/** A span of hours. @example saySpan(3, 7); // "3 to 7 h" */
export function saySpan(leastH: number, mostH: number): string {
  // Both ends in one unit, the larger end's.
  const least = mostH >= 48 ? `${Math.max(1, Math.round(leastH / 24))} days` : sayDuration(leastH);
  const most = sayDuration(mostH);
  if (least === most) return `about ${most}`;
  const [figure, unit] = least.split(" ");
  return most.endsWith(` ${unit}`) ? `${figure} to ${most}` : `${least} to ${most}`;
}

/** A moment by the clock of the device that somebody holds, for what happens on it. @example sayDeviceMoment(0); // "Thu, 1 Jan, 00:00" */
export const sayDeviceMoment = (atMs: number): string =>
  new Date(atMs).toLocaleString("en-GB", {
    weekday: "short",
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
  });
