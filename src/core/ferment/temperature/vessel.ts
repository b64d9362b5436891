import type { Setting } from "../models/types";

/** Judged: how a setting slows or hastens a vessel's warming against one that stands in still air with its lid on. */
const SETTING_FACTOR: Record<Setting, number> = {
  plain: 1,
  wind_or_metal: 0.65,
  aerated_open: 0.75,
  insulated: 2.2,
  buried: 4,
  solid_bed: 1.6,
};

/**
 * Time constant of a vessel's warming, h. Upright cylinder 1.4 times as high as wide, heat lost through its whole skin at
 * 7 W/m²K (still air, lid on): τ = ρcV/(UA) = 2.96 h × V^(1/3), V in litres; times a factor for how it stands.
 */
export const warmingTimeH = (volumeL: number, setting: Setting): number =>
  2.96 * Math.cbrt(Math.max(0.05, volumeL)) * SETTING_FACTOR[setting];

/** Exact step of dT/dt = (air − T)/τ over h hours in which the air moves evenly from one value to the next. */
export function stepLiquid(liquidC: number, airFromC: number, airToC: number, h: number, tauH: number): number {
  const slope = (airToC - airFromC) / h;
  const left = Math.exp(-h / tauH);
  return airToC - slope * tauH + (liquidC - airFromC + slope * tauH) * left;
}

/** Warming by a heater: watts over the heat capacity of so many litres of water, K/h. */
export const heatingKPerH = (watts: number, volumeL: number): number =>
  (watts * 3.6) / (4.186 * Math.max(0.05, volumeL));
