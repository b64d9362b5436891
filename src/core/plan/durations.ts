import type { DurationRow, Season } from "./season";

/** The row of durations that an input goes by in a vessel: the one that names the vessel, else the one for all; null where there is none. */
export function durationRow(
  { durations }: Pick<Season, "durations">,
  input: string,
  vessel: string,
): DurationRow | null {
  const rows = durations.filter((row) => row.input === input);
  return rows.find(({ vessels }) => vessels?.includes(vessel)) ?? rows.find(({ vessels }) => !vessels) ?? null;
}
/** Days that an input takes in a vessel from a start day; null where it can't be started then. */
export const durationD = (
  season: Pick<Season, "durations">,
  input: string,
  vessel: string,
  startDay: number,
): number | null => durationRow(season, input, vessel)?.daysByStart[startDay] ?? null;
