/** What carrying so much by hand means. */
export interface Haul {
  readonly trips: number;
  readonly massKg: number;
  /** Filling, walking, pouring; about. */
  readonly hours: number;
  /** What would serve in place of cans; null where cans do. */
  readonly better: "tote-and-pump" | "injector" | null;
}

/** Filling, walking and pouring a can or a knapsack, minutes; judged. */
const MINUTES_A_LOAD = 5;
/** More loads than one person carries in a morning; judged. */
const MANY_LOADS = 40;
/** From here on a hose of its own is laid. */
const INJECTOR_L = 4000;

/**
 * Trips, weight and time of loads that are carried by hand, and what would serve where that is too much.
 * A litre of mix is taken as a kilogram.
 * @example haulOf([{ count: 215, mixL: 10 }]).trips; // 215
 */
export function haulOf(loads: readonly { readonly count: number; readonly mixL: number }[]): Haul {
  const trips = loads.reduce((sum, { count }) => sum + count, 0);
  const massKg = loads.reduce((sum, { count, mixL }) => sum + count * mixL, 0);
  return {
    trips,
    massKg,
    hours: (trips * MINUTES_A_LOAD) / 60,
    better: trips <= MANY_LOADS ? null : massKg >= INJECTOR_L ? "injector" : "tote-and-pump",
  };
}
