import { actsOf } from "./log";
import type { BatchInput } from "./batchInput";
import { forecastBatch, type BatchForecast } from "./forecastBatch";

/** What could be done otherwise from now on, or could have been from the start. */
export interface Change {
  /** Stands from now on in a place of this mean, °C. */
  readonly placeC?: number;
  /** A heater from now on with its thermostat at this, °C. */
  readonly heaterC?: number;
  /** Culture and sugar against what went in. */
  readonly inoculum?: number;
  readonly sugar?: number;
  /** Begun so many hours later than it was, or than now. */
  readonly laterH?: number;
}

/** The batch as it would be. Hours stay those of the batch as it is. */
export function changed(input: BatchInput, change: Change): BatchInput {
  const hour = input.nowH;
  const log = [
    ...input.log,
    ...(change.placeC === undefined ? [] : [{ hour, kind: "act", act: "moved", amount: change.placeC } as const]),
    ...(change.heaterC === undefined ? [] : [{ hour, kind: "act", act: "heater-on", amount: change.heaterC } as const]),
  ];
  return {
    ...input,
    log,
    ...(change.inoculum === undefined ? {} : { inoculum: (input.inoculum ?? 1) * change.inoculum }),
    ...(change.sugar === undefined ? {} : { sugar: (input.sugar ?? 1) * change.sugar }),
  };
}

/**
 * Forecast of a batch done otherwise. What was read and seen of it belongs to what was done: with another recipe or another start it is
 * left out, and only the weather is kept.
 */
export function whatIf(input: BatchInput, change: Change): BatchForecast {
  const other = changed(input, change);
  const isAnother = change.inoculum !== undefined || change.sugar !== undefined || change.laterH !== undefined;
  if (!isAnother) return forecastBatch(other);
  const laterH = change.laterH ?? 0;
  const shift = <T extends { readonly hour: number }>(items: readonly T[]) =>
    items.map((item) => ({ ...item, hour: item.hour - laterH }));
  const found = forecastBatch({
    ...other,
    nowH: Math.max(0, other.nowH - laterH),
    startHour: ((other.startHour ?? 8) + laterH) % 24,
    temperature: {
      ...other.temperature,
      liquid: laterH === 0 ? other.temperature.liquid : [],
      air: shift(other.temperature.air),
    },
    log: shift(actsOf(other.log)).filter((item) => item.hour >= 0),
    curveHours: (other.curveHours ?? []).map((hour) => hour - laterH),
  });
  return laterH === 0 ? found : delayed(found, laterH);
}

function delayed(found: BatchForecast, byH: number): BatchForecast {
  const later = (hour: number | null) => (hour === null ? null : hour + byH);
  const mark = ({ p10, p50, p90 }: BatchForecast["window"]["start"]) => ({
    p10: later(p10),
    p50: later(p50),
    p90: later(p90),
  });
  const { start, peak, end, crash } = found.window;
  return {
    ...found,
    window: { start: mark(start), peak: mark(peak), end: mark(end), crash: mark(crash) },
    curve: found.curve.map((point) => ({ ...point, hour: point.hour + byH })),
    nextCheckH: found.nextCheckH + byH,
  };
}

/** Warmest that anyone would keep a drum, and how finely it is asked for, °C. */
const WARMEST_C = 32;
const FINE_C = 0.5;

/**
 * How warm a batch must be kept from now on to be ready by an hour as likely as not.
 * @returns the least °C, to the half; null where no warmth does it, or where it will be ready as it stands
 */
export function warmthFor(input: BatchInput, byH: number): number | null {
  const opens = (placeC: number | undefined) =>
    (placeC === undefined ? forecastBatch(input) : whatIf(input, { placeC })).window.start.p50 ?? Infinity;
  if (opens(undefined) <= byH) return null;
  if (opens(WARMEST_C) > byH) return null;
  let low = 5;
  let high = WARMEST_C;
  while (high - low > FINE_C / 2) {
    const middle = (low + high) / 2;
    if (opens(middle) <= byH) high = middle;
    else low = middle;
  }
  return Math.ceil(high / FINE_C - 0.25) * FINE_C;
}
