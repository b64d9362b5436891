/** Reminded so far ahead of the end, hours: two weeks, three days, the last day. Judged. */
const STEPS_H = [14 * 24, 72, 24] as const;

/**
 * Which reminder of a store's end is due: the hours before it at which it was due first; null while it has time, or once it is over.
 * What keeps for less than twice a step is not reminded at it: fresh, it would be reminded at once.
 * @param lifeH its whole life, h
 * @param leftH what is left of it, h
 */
export function alertDue(lifeH: number, leftH: number): number | null {
  if (leftH <= 0) return null;
  const steps = STEPS_H.filter((step) => step * 2 <= lifeH);
  // What lives for hours is reminded of all the while.
  if (steps.length === 0) return lifeH;
  return steps.findLast((step) => leftH <= step) ?? null;
}
