import { DomainError, requirePositive, requireWithin } from "../errors";

/** Where water comes from; only mains carries chlorine. */
export const WATER_SOURCES = ["rain", "well", "spring", "river", "reverse-osmosis", "mains", "unknown"] as const;
export type WaterSource = (typeof WATER_SOURCES)[number];
export const WATER_TREATMENTS = ["none", "stand", "bubble", "ascorbic", "carbon"] as const;
export type WaterTreatment = (typeof WATER_TREATMENTS)[number];

export interface WaterRequest {
  readonly source: WaterSource;
  /** Free and total chlorine by strip, mg/L as Cl₂; null where nobody read it. */
  readonly freeMgPerL: number | null;
  readonly totalMgPerL: number | null;
  readonly volumeL: number;
  readonly treatment: WaterTreatment;
  readonly temperatureC: number;
  /** A lid on it slows the gas. */
  readonly covered?: boolean;
}

export type WaterReason =
  | { readonly code: "free-of-chlorine-by-source"; readonly source: WaterSource }
  | { readonly code: "strip-needed" }
  | { readonly code: "low-enough"; readonly totalMgPerL: number }
  | { readonly code: "chlorine-left"; readonly totalMgPerL: number }
  | { readonly code: "chloramine-stays"; readonly chloramineMgPerL: number }
  | { readonly code: "free-leaves"; readonly halfLifeH: number }
  | { readonly code: "neutralised" }
  | { readonly code: "carbon-filter" }
  | { readonly code: "river-on-leaves" };

export interface WaterAnswer {
  /** Fit for a living brew once the hours have passed or the dose is in. */
  readonly safe: boolean;
  /** Hours to wait; null where waiting does not help. */
  readonly hours: number | null;
  /** Ascorbic acid to stir in, g; null where none is asked for. */
  readonly ascorbicG: number | null;
  readonly reasons: readonly WaterReason[];
}

/** What microbes bear, mg/L. */
export const CHLORINE_TARGET_MG_PER_L = 0.1;
/** Strips read no finer; a smaller difference of total and free is no chloramine. */
const CHLORAMINE_NOTICED_MG_PER_L = 0.1;
/** Mains seldom carries more than 4–5 mg/L; beyond this a misread strip is likelier. */
const MAX_MG_PER_L = 20;
/** Ascorbic acid to chlorine by mass, and the margin for what else takes it up. */
const ASCORBIC_PER_CHLORINE = 2.5;
const ASCORBIC_MARGIN = 1.2;
const ASCORBIC_STAND_H = 0.25;
/** Half-lives at 20 °C, h: an open bucket, a still full drum, strong bubbling. Growers' figures, good to about a third. */
const HALF_LIFE_H = { bucket: 6, drum: 11, bubbled: 0.33 } as const;
const BUCKET_L = 20;
const DRUM_L = 200;
const COVER_SLOWS = 1.5;
const REFERENCE_C = 20;
/** What water is taken to have where nobody read it: as cold as from a well, so that the wait is rather too long than too short. */
export const UNREAD_WATER_C = 10;

/** Half-life of free chlorine: longer in a deep vessel, under a lid, and in the cold (twice for every 10 °C). */
export function freeChlorineHalfLifeH(
  treatment: "stand" | "bubble",
  volumeL: number,
  temperatureC: number,
  covered = false,
): number {
  const depth = Math.min(1, Math.max(0, Math.log(volumeL / BUCKET_L) / Math.log(DRUM_L / BUCKET_L)));
  const standing = HALF_LIFE_H.bucket + (HALF_LIFE_H.drum - HALF_LIFE_H.bucket) * depth;
  const base = treatment === "bubble" ? HALF_LIFE_H.bubbled : standing * (covered ? COVER_SLOWS : 1);
  return base * 2 ** ((REFERENCE_C - temperatureC) / 10);
}

const unsafe = (...reasons: WaterReason[]): WaterAnswer => ({ safe: false, hours: null, ascorbicG: null, reasons });

function checkReadings({ freeMgPerL, totalMgPerL }: WaterRequest): void {
  for (const [what, value, path] of [
    ["chlorine-free", freeMgPerL, "/free"],
    ["chlorine-total", totalMgPerL, "/total"],
  ] as const) {
    if (value !== null) requireWithin(what, value, "mg/L", 0, MAX_MG_PER_L, path);
  }
  if (freeMgPerL !== null && totalMgPerL !== null && freeMgPerL > totalMgPerL + CHLORAMINE_NOTICED_MG_PER_L) {
    throw new DomainError(
      "out-of-range",
      { what: "chlorine-free", value: freeMgPerL, unit: "mg/L", min: 0, max: totalMgPerL },
      "/free",
    );
  }
}

function waitFor(
  request: WaterRequest,
  treatment: "stand" | "bubble",
  totalMgPerL: number,
  chloramineMgPerL: number,
): WaterAnswer {
  if (chloramineMgPerL > CHLORAMINE_NOTICED_MG_PER_L) return unsafe({ code: "chloramine-stays", chloramineMgPerL });
  const halfLifeH = freeChlorineHalfLifeH(treatment, request.volumeL, request.temperatureC, request.covered);
  // First-order decay: c = c0·2^(−t/h), so t = h·log2(c0/target).
  const hours = Math.max(0, halfLifeH * Math.log2(totalMgPerL / CHLORINE_TARGET_MG_PER_L));
  return { safe: true, hours, ascorbicG: null, reasons: [{ code: "free-leaves", halfLifeH }] };
}

/**
 * What makes water safe for a living brew: hours to stand or bubble, or a dose.
 * Free chlorine leaves by first-order decay; chloramine (total above free) does not leave in useful time and wants ascorbic acid or carbon.
 * @throws {DomainError} `not-positive` (the volume), `out-of-range` (a reading, the temperature, free above total)
 */
export function treatWater(request: WaterRequest): WaterAnswer {
  const { source, treatment, volumeL } = request;
  requirePositive("volume", volumeL, "L", "/volume/value");
  requireWithin("volume", volumeL, "L", 0, 1_000_000, "/volume/value");
  requireWithin("temperature", request.temperatureC, "°C", 0, 60, "/temperature/value");
  checkReadings(request);
  if (source !== "mains" && source !== "unknown") {
    const river: WaterReason[] = source === "river" ? [{ code: "river-on-leaves" }] : [];
    return {
      safe: true,
      hours: 0,
      ascorbicG: null,
      reasons: [{ code: "free-of-chlorine-by-source", source }, ...river],
    };
  }
  if (treatment === "carbon") return { safe: true, hours: 0, ascorbicG: null, reasons: [{ code: "carbon-filter" }] };
  const totalMgPerL = request.totalMgPerL;
  // Without a total reading chloramine can't be ruled out, so nothing but carbon is known to be enough.
  if (totalMgPerL === null) return unsafe({ code: "strip-needed" });
  if (totalMgPerL <= CHLORINE_TARGET_MG_PER_L)
    return { safe: true, hours: 0, ascorbicG: null, reasons: [{ code: "low-enough", totalMgPerL }] };
  if (treatment === "none") return unsafe({ code: "chlorine-left", totalMgPerL });
  if (treatment === "ascorbic") {
    const ascorbicG = (totalMgPerL * volumeL * ASCORBIC_PER_CHLORINE * ASCORBIC_MARGIN) / 1000;
    return { safe: true, hours: ASCORBIC_STAND_H, ascorbicG, reasons: [{ code: "neutralised" }] };
  }
  if (request.freeMgPerL === null) return unsafe({ code: "strip-needed" });
  return waitFor(request, treatment, totalMgPerL, totalMgPerL - request.freeMgPerL);
}
