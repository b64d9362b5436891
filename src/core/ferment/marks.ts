import type { AcidReadiness, Readiness } from "../book/types";

/** Thermal hours at which a batch of a given pace starts to be ready, is best, and is over; Infinity for never. */
export interface Marks {
  readonly startTh: number;
  readonly peakTh: number;
  readonly endTh: number;
}

const H_PER_D = 24;

/** Thermal days at which a logistic fall reaches a pH; Infinity below its floor. Inverse of `phAt`. */
function thermalDaysToPh(readiness: AcidReadiness, floorPh: number, ph: number): number {
  if (ph <= floorPh + 1e-6) return Infinity;
  if (ph >= readiness.startPh) return 0;
  const k = 1 + Math.exp(-readiness.midpointD / readiness.widthD);
  return readiness.midpointD + readiness.widthD * Math.log((k * (readiness.startPh - floorPh)) / (ph - floorPh) - 1);
}

/**
 * pH of an acid ferment after so many thermal days: a logistic fall (Zwietering et al. 1990, Appl. Environ. Microbiol. 56:1875)
 * from its start to its floor, scaled to begin exactly at the start.
 * @param floorShift how far this batch's floor lies above the usual one
 */
export function phAt(readiness: AcidReadiness, thermalD: number, floorShift: number): number {
  const floorPh = Math.min(readiness.startPh - 0.05, readiness.floorPh + floorShift);
  const k = 1 + Math.exp(-readiness.midpointD / readiness.widthD);
  return (
    floorPh + ((readiness.startPh - floorPh) * k) / (1 + Math.exp((thermalD - readiness.midpointD) / readiness.widthD))
  );
}

/**
 * The marks of a batch that runs `exp(logRate)` times as fast as usual.
 * @param floorShift acid ferments only: how far the pH's floor lies above the usual one
 */
export function marksOf(readiness: Readiness, logRate: number, floorShift: number): Marks {
  const pace = Math.exp(-logRate);
  switch (readiness.type) {
    case "bloom":
      return { startTh: readiness.startH * pace, peakTh: readiness.peakH * pace, endTh: readiness.endH * pace };
    case "days":
      return {
        startTh: readiness.startD * H_PER_D * pace,
        peakTh: readiness.peakD * H_PER_D * pace,
        endTh: readiness.endD === null ? Infinity : readiness.endD * H_PER_D * pace,
      };
    case "fresh":
      // Hands' work, not a living pace.
      return { startTh: readiness.readyH, peakTh: readiness.readyH, endTh: readiness.freshH };
    case "acid": {
      const floorPh = readiness.floorPh + floorShift;
      const startD = thermalDaysToPh(readiness, floorPh, readiness.targetPh) + (readiness.partsAfterD ?? 0);
      // A batch that settles above the best pH is at its best once it is within a tenth of its own floor.
      const peakD = Math.max(startD, thermalDaysToPh(readiness, floorPh, Math.max(readiness.bestPh, floorPh + 0.1)));
      return {
        startTh: startD * H_PER_D * pace,
        peakTh: peakD * H_PER_D * pace,
        endTh: (startD + readiness.keepsD) * H_PER_D * pace,
      };
    }
  }
}
