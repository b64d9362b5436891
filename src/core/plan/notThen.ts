import type { Season } from "./season";

/** Whether nothing is begun and nothing applied on a day. */
export const isClosed = ({ closedWeekdays }: Pick<Season, "closedWeekdays">, day: number): boolean =>
  closedWeekdays?.includes(((day % 7) + 7) % 7) ?? false;

/** Whether a grower will not have an input begun there on that day. */
export const isForbidden = (
  { forbidden }: Pick<Season, "forbidden">,
  input: string,
  vessel: string,
  day: number,
): boolean =>
  forbidden?.some(
    (one) =>
      one.input === input &&
      (one.vessel === undefined || one.vessel === vessel) &&
      day >= one.fromDay &&
      day <= one.toDay,
  ) ?? false;
