import {
  CALM_M_PER_S,
  DRY_AFTER_H,
  LEAF_C,
  LOW_SUN,
  RAIN_MM,
  SOIL_C,
  type SunTimes,
  type WeatherHour,
} from "./weatherHour";

/** Hours in which something may go on: on leaves and soil, on soil only, or on neither. */
export interface FitBand {
  readonly fromMs: number;
  readonly toMs: number;
  readonly when: "dawn" | "dusk";
  readonly fit: "leaves" | "soil" | "none";
  /** `unknown`: the sun and the usual air fit, and rain or wind is for whoever goes out to see. */
  readonly because: "dry" | "rain" | "wind" | "cold" | "heat" | "unknown";
  readonly windMPerS: number | null;
  readonly airC: number;
}

/** Whether anything may go out in a band, if only onto soil. */
export const isFit = ({ fit }: FitBand): boolean => fit !== "none";

const HOUR_MS = 3_600_000;
/** Low sun: from half an hour before sunrise for three hours, and the last two hours of light and one after. */
const DAWN = { fromH: -0.5, toH: LOW_SUN.afterRiseH } as const;
const DUSK = { fromH: -LOW_SUN.beforeSetH, toH: 1 } as const;

const known = (values: readonly (number | null)[]): number[] => values.filter((value) => value !== null);
const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

function judgeBand(when: "dawn" | "dusk", fromMs: number, toMs: number, hours: readonly WeatherHour[]): FitBand | null {
  const during = hours.filter(({ atMs }) => atMs >= fromMs - HOUR_MS / 2 && atMs <= toMs);
  if (during.length === 0) return null;
  const after = hours.filter(({ atMs }) => atMs > toMs && atMs <= toMs + DRY_AFTER_H * HOUR_MS);
  const rains = known([...during, ...after].map((hour) => hour.rainMm));
  const winds = known(during.map((hour) => hour.windMPerS));
  const rainMm = rains.reduce((sum, fell) => sum + fell, 0);
  const airC = mean(during.map((hour) => hour.airC));
  const windMPerS = winds.length > 0 ? mean(winds) : null;
  const verdict = ((): Pick<FitBand, "fit" | "because"> => {
    if (airC < SOIL_C.min) return { fit: "none", because: "cold" };
    if (airC > SOIL_C.max) return { fit: "none", because: "heat" };
    if (rainMm > RAIN_MM) return { fit: "soil", because: "rain" };
    if (windMPerS !== null && windMPerS > CALM_M_PER_S) return { fit: "soil", because: "wind" };
    if (airC < LEAF_C.min) return { fit: "soil", because: "cold" };
    if (airC > LEAF_C.max) return { fit: "soil", because: "heat" };
    return { fit: "leaves", because: rains.length > 0 && windMPerS !== null ? "dry" : "unknown" };
  })();
  return { fromMs, toMs, when, ...verdict, windMPerS, airC };
}

/**
 * The hours fit for putting something on, within a span: low sun, calm and dry for leaves; rain is welcome on soil.
 * Bands that begin before the span are cut to it.
 */
export function fitHours(
  hours: readonly WeatherHour[],
  suns: readonly SunTimes[],
  fromMs: number,
  toMs: number,
): FitBand[] {
  return suns
    .flatMap(({ riseMs, setMs }) => [
      { when: "dawn" as const, fromMs: riseMs + DAWN.fromH * HOUR_MS, toMs: riseMs + DAWN.toH * HOUR_MS },
      { when: "dusk" as const, fromMs: setMs + DUSK.fromH * HOUR_MS, toMs: setMs + DUSK.toH * HOUR_MS },
    ])
    .filter((band) => band.toMs > fromMs && band.fromMs < toMs)
    .map((band) => judgeBand(band.when, Math.max(fromMs, band.fromMs), Math.min(toMs, band.toMs), hours))
    .filter((band) => band !== null)
    .toSorted((a, b) => a.fromMs - b.fromMs);
}
