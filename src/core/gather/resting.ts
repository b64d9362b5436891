import { addDays } from "../calendar";

/** A place that is picked from, and left to mend between visits. */
export interface Visits {
  readonly restD: number;
  /** ISO dates of visits that took something. */
  readonly takenOn: readonly string[];
}

/**
 * The day a place may be picked from again: its rest after the last taking.
 * @returns null where it may be picked now
 */
export function restsUntil({ restD, takenOn }: Visits, today: string): string | null {
  const last = takenOn.toSorted().at(-1);
  if (last === undefined) return null;
  const until = addDays(last, restD);
  return until > today ? until : null;
}
