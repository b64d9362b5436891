import type { FitBand } from "./fitHours";

/** Hours in which a piece of work can be done, and whether they are enough for it. */
export interface WorkWindow {
  readonly band: FitBand;
  /** Hours of it that are left before the liquid is over. */
  readonly hours: number;
  /** Hands that get it done within it; more than `MOST_HANDS` means that it can't be. */
  readonly people: number;
  /** The liquid is over before these hours begin. */
  readonly tooLate: boolean;
}

const HOUR_MS = 3_600_000;
/** More than so many at one fill point stand in each other's way; judged. */
export const MOST_HANDS = 8;

/**
 * The hours ahead in which work that takes so long may be done: those that are fit for where it lands, cut where the liquid is over.
 * @param needH one person's hours
 * @param overMs when the liquid is over, ms since the epoch
 */
export function workWindows(
  bands: readonly FitBand[],
  target: "leaves" | "soil" | "other",
  needH: number,
  overMs: number,
): WorkWindow[] {
  return bands
    .filter(({ fit }) => fit === "leaves" || (fit === "soil" && target !== "leaves"))
    .map((band) => {
      const hours = Math.max(0, Math.min(band.toMs, overMs) - band.fromMs) / HOUR_MS;
      return { band, hours, people: hours > 0 ? Math.ceil(needH / hours - 1e-9) : Infinity, tooLate: hours === 0 };
    });
}
