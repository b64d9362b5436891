/** One change of what is on hand, in grams or millilitres; out is negative. */
export interface Flow {
  readonly atMs: number;
  readonly changeMilli: number;
  readonly kind: "received" | "used" | "wasted" | "counted" | "corrected";
}

const DAY_MS = 86_400_000;
/** Use is looked at over so many days back: two or three brews of most farms. */
export const LOOKBACK_D = 60;
/** Fewer days of history than this tell nothing of a rate. */
const LEAST_HISTORY_D = 7;

/** Sum of a lot's or an ingredient's movements: what is on hand, whatever the order they were written in. */
export const onHandMilli = (flows: readonly Flow[]): number =>
  flows.reduce((sum, { changeMilli }) => sum + changeMilli, 0);

/**
 * What goes out in a day at the present use: everything used in the last {@link LOOKBACK_D} days over those days, or over
 * the time since the first entry where that is shorter. Waste and counts are no use.
 * @param sinceMs when the first of it came in, where that is not among the flows
 * @returns milli-units a day; null where the history is under a week
 */
export function dailyUseMilli(flows: readonly Flow[], nowMs: number, sinceMs?: number): number | null {
  const first = sinceMs ?? flows.reduce((least, { atMs }) => Math.min(least, atMs), Infinity);
  const historyD = (nowMs - first) / DAY_MS;
  if (!(historyD >= LEAST_HISTORY_D)) return null;
  const overD = Math.min(LOOKBACK_D, historyD);
  const used = flows
    .filter(({ kind, atMs }) => kind === "used" && atMs > nowMs - overD * DAY_MS)
    .reduce((sum, { changeMilli }) => sum - changeMilli, 0);
  return used / overD;
}

/** Days until it is gone at a rate; null where none is used. @example daysLeft(5000, 250); // 20 */
export const daysLeft = (amountMilli: number, perDayMilli: number | null): number | null =>
  perDayMilli === null || perDayMilli <= 0 ? null : Math.max(0, amountMilli) / perDayMilli;

export type CollectorOutlook =
  | { readonly type: "enough" }
  | { readonly type: "on-day"; readonly inDays: number; readonly perDayMilli: number }
  /** Nothing has come in for so long that no day can be told. */
  | { readonly type: "standing-still" };

/**
 * When what trickles in (shells, urine, leachate, rice wash) reaches what a batch needs, at the pace of the last {@link LOOKBACK_D} days.
 * @param neededMilli what the batch takes
 * @param held what is on hand, where the flows don't tell all of it
 */
export function collectorOutlook(
  flows: readonly Flow[],
  neededMilli: number,
  nowMs: number,
  held = onHandMilli(flows),
): CollectorOutlook {
  if (held >= neededMilli) return { type: "enough" };
  const receipts = flows.filter(({ kind, atMs }) => kind === "received" && atMs > nowMs - LOOKBACK_D * DAY_MS);
  if (receipts.length === 0) return { type: "standing-still" };
  const first = receipts.reduce((least, { atMs }) => Math.min(least, atMs), Infinity);
  const total = receipts.reduce((sum, { changeMilli }) => sum + changeMilli, 0);
  // A single receipt says how much, not how often: it is taken to have gathered over a week.
  const overD = Math.max(LEAST_HISTORY_D, (nowMs - first) / DAY_MS);
  const perDayMilli = total / overD;
  return { type: "on-day", inDays: (neededMilli - held) / perDayMilli, perDayMilli };
}
