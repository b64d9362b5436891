/** What devices post: °C, °C, °C, pH, mm in the hour, m/s. */
export const PROBE_QUANTITIES = ["air", "liquid", "core", "ph", "rain", "wind"] as const;
export type ProbeQuantity = (typeof PROBE_QUANTITIES)[number];

interface Limits {
  readonly min: number;
  readonly max: number;
  /** Faster than this no air, drum or brew changes, a quantity's unit an hour. */
  readonly mostPerH: number;
}

/** A drum of water can't jump; its air can, in a squall. Judged generously: a figure that is left out costs more than one that is a little off. */
const LIMITS: Record<ProbeQuantity, Limits> = {
  air: { min: -40, max: 55, mostPerH: 15 },
  liquid: { min: -5, max: 70, mostPerH: 8 },
  core: { min: -5, max: 85, mostPerH: 8 },
  ph: { min: 2, max: 12.5, mostPerH: 1.5 },
  rain: { min: 0, max: 150, mostPerH: Infinity },
  wind: { min: 0, max: 60, mostPerH: Infinity },
};
/** Against a figure older than this a change says nothing. */
const COMPARED_H = 6;
/** What a device's clock may run ahead, h. */
export const CLOCK_AHEAD_H = 1;
const LATE_D = 400;

/** Why a posted figure is kept apart; a jump in its quantity's unit and in hours. */
export type Aside =
  | { readonly code: "impossible" | "clock-ahead" | "too-late" }
  | { readonly code: "jumped"; readonly by: number | null; readonly inH: number | null };
export type AsideCode = Aside["code"];

export interface PostedFigure {
  readonly quantity: ProbeQuantity;
  readonly value: number;
  /** Hours from now; negative is past. */
  readonly fromNowH: number;
  /** The last figure before it that was taken: its value, and how many hours earlier it was read. */
  readonly before: { readonly value: number; readonly hoursEarlier: number } | null;
}

/**
 * Why a posted figure is kept apart and not used; null where it can be.
 * @example whyAside({ quantity: "liquid", value: 85, fromNowH: 0, before: null }); // { code: "impossible" }
 */
export function whyAside({ quantity, value, fromNowH, before }: PostedFigure): Aside | null {
  const { min, max, mostPerH } = LIMITS[quantity];
  if (!Number.isFinite(value) || value < min || value > max) return { code: "impossible" };
  if (fromNowH > CLOCK_AHEAD_H) return { code: "clock-ahead" };
  if (fromNowH < -24 * LATE_D) return { code: "too-late" };
  if (!before || before.hoursEarlier > COMPARED_H) return null;
  // A quarter of an hour's worth is always allowed: probes are lifted out and put back.
  const allowed = mostPerH * Math.max(0.25, before.hoursEarlier);
  const by = Math.abs(value - before.value);
  return by > allowed ? { code: "jumped", by, inH: before.hoursEarlier } : null;
}
