import { isInline, type ToolKind } from "./tool";

/** What carrying so much by hand means. */
export interface Haul {
  readonly trips: number;
  readonly massKg: number;
  /** Filling, walking, pouring; about. */
  readonly hours: number;
  /** What would serve in place of cans; null where cans do. */
  readonly better: "tote-and-pump" | "injector" | null;
}

/** Filling, carrying to beds nearby and pouring a can or a knapsack, minutes; judged. */
const MINUTES_A_LOAD = 5;
/** Beds are taken to lie so near, m. */
const NEAR_M = 30;
/** With a full can one way and an empty one back, metres a minute; judged. */
const WALK_M_PER_MIN = 60;
/** More loads than one person carries in a morning; judged. */
const MANY_LOADS = 40;
/** From here on a hose of its own is laid. */
const INJECTOR_L = 4000;

/** So many hours of carrying are a day's work for one. */
const A_DAY_H = 8;

/** Whether carrying so much asks for another way altogether: compost made in place, or a cover crop. */
export const isPastCarrying = ({ hours, better }: Haul): boolean => better !== null && hours > A_DAY_H;

/**
 * Trips, weight and time of loads that are carried by hand, and what would serve where that is too much.
 * A litre of mix is taken as a kilogram.
 * @param distanceM from where cans are filled to the land, one way
 * @example haulOf([{ count: 215, mixL: 10 }]).trips; // 215
 */
export function haulOf(loads: readonly { readonly count: number; readonly mixL: number }[], distanceM = NEAR_M): Haul {
  const trips = loads.reduce((sum, { count }) => sum + count, 0);
  const massKg = loads.reduce((sum, { count, mixL }) => sum + count * mixL, 0);
  return {
    trips,
    massKg,
    hours: (trips * (MINUTES_A_LOAD + (2 * Math.max(0, distanceM - NEAR_M)) / WALK_M_PER_MIN)) / 60,
    better: trips <= MANY_LOADS ? null : massKg >= INJECTOR_L ? "injector" : "tote-and-pump",
  };
}

/** Filling a tote and priming its pump, minutes; and what a pump with a hose and a rose puts out, L a minute. Both judged. */
const MINUTES_A_TOTE = 20;
const PUMPED_L_PER_MIN = 15;

/** How long one person is at it with such a tool, h: carrying cans, standing by the hose, or nothing where the water does it. */
export function handsHours(
  kind: ToolKind,
  loads: readonly { readonly count: number; readonly mixL: number }[],
  distanceM = NEAR_M,
): number {
  if (isInline(kind)) return 0;
  if (kind !== "tote") return haulOf(loads, distanceM).hours;
  return loads.reduce((sum, { count, mixL }) => sum + count * (MINUTES_A_TOTE + mixL / PUMPED_L_PER_MIN), 0) / 60;
}

/** The same for so much mix in cans of a size, the last one not quite full. @param mixL litres in all @param canL what a can holds, L */
export function haulInCans(mixL: number, canL: number, distanceM?: number): Haul {
  const count = Math.max(1, Math.ceil(mixL / canL));
  return haulOf([{ count, mixL: mixL / count }], distanceM);
}
