import { durationD } from "../durations";
import type { DurationRow, PlanBody, Season } from "../season";
import { asPlanned } from "./asPlanned";

export { simulatedAir, spreadOf, USUAL_SPREAD, type AirSpread } from "./air";
export { asPlanned } from "./asPlanned";

/** How a plan fares over years. */
export interface YearsOfPlan {
  readonly years: number;
  /** Applications that go unmet, on average and in the worst year. */
  readonly meanUnmet: number;
  readonly worstUnmet: number;
  /** Need → in how many of the years it goes unmet; only those that do in any. */
  readonly missed: Readonly<Record<string, number>>;
}
export function overYears(season: Season, plan: PlanBody, years: readonly (readonly DurationRow[])[]): YearsOfPlan {
  const unmet = years.map((rows) => asPlanned(season, plan, rows));
  const missed: Record<string, number> = {};
  for (const need of unmet.flat()) missed[need] = (missed[need] ?? 0) + 1;
  const counts = unmet.map((list) => list.length);
  return {
    years: years.length,
    meanUnmet: counts.reduce((sum, count) => sum + count, 0) / Math.max(1, years.length),
    worstUnmet: Math.max(0, ...counts),
    missed,
  };
}

/** How slow a year a plan has room for, as a share of years that are quicker: some room, and much. The worst of all is nobody's measure. */
export const SLOW_SHARES = [0.5, 0.8] as const;
/** The durations of a slow year: by start day, what only the rest of the years go beyond. Never shorter than usual. */
export function slowSeason(season: Season, years: readonly (readonly DurationRow[])[], share: number): Season {
  const at = Math.min(years.length - 1, Math.floor(share * years.length));
  return {
    ...season,
    durations: season.durations.map((row, nth) => ({
      ...row,
      daysByStart: row.daysByStart.map((usual, day) => {
        const takes = years.map((rows) => rows[nth]?.daysByStart[day] ?? null);
        const slow = takes.map((one) => one ?? Infinity).toSorted((one, other) => one - other)[at]!;
        return usual === null || !Number.isFinite(slow) ? null : Math.max(usual, slow);
      }),
    })),
  };
}

/** A plan that was made for slow years as the plan before of a usual one: batches ready as they usually are, everything held where it is. */
export function heldFrom(season: Season, slow: PlanBody): Season {
  const inputs = new Map(season.inputs.map((one) => [one.id, one]));
  const batches = slow.batches.flatMap((batch) => {
    const takes = batch.running ? null : durationD(season, batch.input, batch.vessel, batch.startDay);
    if (takes === null) return [];
    const { keeping } = inputs.get(batch.input)!;
    const readyDay = batch.startDay + takes;
    const mostDay = readyDay + (keeping.living ? keeping.useD : keeping.holdD);
    const emptyDay = Math.min(Math.max(readyDay, batch.emptyDay), mostDay);
    return [{ ...batch, readyDay, emptyDay, pinned: true as const }];
  });
  const applications = slow.applications.map((one) => ({ ...one, pinned: true as const }));
  return { ...season, previous: { batches, applications } };
}
