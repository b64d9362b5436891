const DAY_MS = 86_400_000;

/**
 * A calendar day so many days on; days are counted, so that neither leap years nor changes of the clock matter.
 * @param day ISO date
 * @example addDays("2032-02-28", 2); // "2032-03-01"
 */
export const addDays = (day: string, days: number): string =>
  new Date(Date.parse(day) + days * DAY_MS).toISOString().slice(0, 10);

/** Days from one calendar day to another, negative backwards. @example daysBetween("2031-12-31", "2032-01-02"); // 2 */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS);

/** The hour that a clock shows after so many hours from midnight, 0 to under 24; backwards too. @example clockHour(-2); // 22 */
export const clockHour = (hoursFromMidnight: number): number => ((hoursFromMidnight % 24) + 24) % 24;
