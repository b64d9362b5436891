import { clockHour } from "../calendar";
import type { BatchInput } from "./batchInput";
import { forecastBatch, type BatchForecast } from "./forecastBatch";

/** What could be done otherwise with what stands there, from now on. */
export interface Change {
  /** Stands in a place of this mean, °C. */
  readonly placeC?: number;
  /** A heater with its thermostat at this, °C. */
  readonly heaterC?: number;
}

/** How another of the same could be made. */
export interface NextOne {
  /** Culture and sugar against what went in. */
  readonly inoculum?: number;
  readonly sugar?: number;
  /** Begun so many hours from now. */
  readonly laterH?: number;
}

/** Forecast of a batch done otherwise from now on. Hours stay those of the batch; what was read and seen still stands. */
export function whatIf(input: BatchInput, { placeC, heaterC }: Change): BatchForecast {
  const hour = input.nowH;
  return forecastBatch({
    ...input,
    log: [
      ...input.log,
      ...(placeC === undefined ? [] : [{ hour, kind: "act", act: "moved", amount: placeC } as const]),
      ...(heaterC === undefined ? [] : [{ hour, kind: "act", act: "heater-on", amount: heaterC } as const]),
    ],
  });
}

const shift = <T extends { readonly hour: number }>(items: readonly T[], byH: number) =>
  items.map((item) => ({ ...item, hour: item.hour - byH }));

/** The same brew begun at an hour of this batch, in the same place and weather; nothing is read or seen of it yet. Its hours are its own. */
export function begunAt(input: BatchInput, hour: number): BatchInput {
  const { air, usual } = input.temperature;
  return {
    ...input,
    nowH: 0,
    startHour: clockHour((input.startHour ?? 8) + hour),
    log: [],
    temperature: {
      ...input.temperature,
      liquid: [],
      air: shift(air, hour),
      ...(usual?.season ? { usual: { ...usual, season: shift(usual.season, hour) } } : {}),
    },
    curveHours: (input.curveHours ?? []).map((at) => at - hour),
  };
}

/** Forecast of another of the same, begun from now on and made otherwise. Hours are those of the batch that stands there. */
export function nextOne(input: BatchInput, { inoculum = 1, sugar = 1, laterH = 0 }: NextOne): BatchForecast {
  const fromH = input.nowH + laterH;
  const next = begunAt(input, fromH);
  const found = forecastBatch({
    ...next,
    inoculum: (input.inoculum ?? 1) * inoculum,
    sugar: (input.sugar ?? 1) * sugar,
  });
  return delayed(found, fromH);
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
    stageFromH: found.stageFromH + byH,
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
