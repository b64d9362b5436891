/** What devices post: °C, °C, °C, pH, mm in the hour, m/s. */
export const PROBE_QUANTITIES = ["air", "liquid", "core", "ph", "rain", "wind"] as const;
export type ProbeQuantity = (typeof PROBE_QUANTITIES)[number];

interface Limits {
  readonly min: number;
  readonly max: number;
  /** Faster than this no air, drum or brew changes, a quantity's unit an hour. */
  readonly mostPerH: number;
  readonly unit: string;
}

/** A drum of water can't jump; its air can, in a squall. Judged generously: a figure that is left out costs more than one that is a little off. */
const LIMITS: Record<ProbeQuantity, Limits> = {
  air: { min: -40, max: 55, mostPerH: 15, unit: "°C" },
  liquid: { min: -5, max: 70, mostPerH: 8, unit: "°C" },
  core: { min: -5, max: 85, mostPerH: 8, unit: "°C" },
  ph: { min: 2, max: 12.5, mostPerH: 1.5, unit: "" },
  rain: { min: 0, max: 150, mostPerH: Infinity, unit: "mm" },
  wind: { min: 0, max: 60, mostPerH: Infinity, unit: "m/s" },
};
/** Against a figure older than this a change says nothing. */
const COMPARED_H = 6;
const AHEAD_H = 1;
const LATE_D = 400;

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
 * @example whyAside({ quantity: "liquid", value: 85, fromNowH: 0, before: null }); // "85 °C can't be"
 */
export function whyAside({ quantity, value, fromNowH, before }: PostedFigure): string | null {
  const { min, max, mostPerH, unit } = LIMITS[quantity];
  const said = `${Number(value.toFixed(2))}${unit ? ` ${unit}` : ""}`;
  if (!Number.isFinite(value) || value < min || value > max) return `${said} can't be`;
  if (fromNowH > AHEAD_H) return "its clock runs ahead";
  if (fromNowH < -24 * LATE_D) return "more than a year late";
  if (!before || before.hoursEarlier > COMPARED_H) return null;
  // A quarter of an hour's worth is always allowed: probes are lifted out and put back.
  const allowed = mostPerH * Math.max(0.25, before.hoursEarlier);
  const jump = Math.abs(value - before.value);
  return jump > allowed ? `jumped by ${Number(jump.toFixed(1))} in ${Number(before.hoursEarlier.toFixed(1))} h` : null;
}
