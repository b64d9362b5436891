import type { FromSchema } from "json-schema-to-ts";
import type { MODEL_BATCH, MODEL_FORECAST, MODEL_OBSERVATION } from "@/contracts/commands/model";
import type { FermentBatch, TemperatureReading, VesselEvent } from "@/core/ferment/batch";
import type { Observation } from "@/core/ferment/evidence/observations";
import type { Features } from "@/core/ferment/kinetics/trajectory";
import { findModel } from "@/core/ferment/models";
import type { Forecast } from "@/core/ferment/outlook/forecast";
import { modelAdvice, sayRefused } from "./modelWords";

type BatchTerms = FromSchema<typeof MODEL_BATCH>;
type ForecastTerms = FromSchema<typeof MODEL_FORECAST>;

/** Clock hour of the wave that worked cases draw their air from; without such a wave the model's own default stands. */
const WAVE_START_HOUR = 9;
const DEFAULT_STEP_H = 3;

/** Takes fields over under their names in the core, and leaves out those that are not given. */
function given<T extends object>(fields: T): { [K in keyof T]?: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as never;
}

export const toObservation = ({ t, ...rest }: FromSchema<typeof MODEL_OBSERVATION>): Observation =>
  ({ hour: t, ...rest }) as Observation;

/** A batch in the model's terms as the core takes it. @throws {DomainError} `unknown-method` */
export function toBatch(terms: BatchTerms): FermentBatch {
  const { method, volumeL, setting, startHour, startSdH, sugar, buffer, lPerKg } = terms;
  return {
    model: findModel(method),
    ...given({
      volumeL,
      setting,
      startHour,
      startSdH,
      sugar,
      buffer,
      lPerKg,
      ambientC: terms.ambient,
      swingC: terms.amp,
      startC: terms.T0,
      inoculum: terms.inoc,
      startPh: terms.pH0,
      acidPercent: terms.acidPct,
      sizeFactor: terms.sizeF,
      sunkAtStart: terms.sink0,
      airFactor: terms.klaFactor,
      readings: terms.readings?.map(({ t, T, where }) => ({ hour: t, celsius: T, ...(where ? { where } : {}) })),
      forecast: terms.forecast?.map(({ t, T }) => ({ hour: t, celsius: T })),
      events: terms.events?.map(({ t, type }): VesselEvent => ({ hour: t, type })),
      observations: terms.observations?.map(toObservation),
      prior: terms.prior && { mean: terms.prior.m, sd: terms.prior.s },
    }),
  };
}

/** Readings and forecast drawn from a wave of air, as worked cases give it. */
export function toForecastBatch({ batch: alone, now, air, liquid, observations, prior }: ForecastTerms): FermentBatch {
  const batch = prior ? { ...alone, prior } : alone;
  const waveHour = air?.startHour ?? batch.startHour ?? WAVE_START_HOUR;
  const plain = toBatch(air ? { ...batch, startHour: batch.startHour ?? waveHour } : batch);
  const at = (hour: number) => ({
    hour,
    celsius: air!.mean + (air!.amp ?? 0) * Math.cos((2 * Math.PI * (waveHour + hour - 15)) / 24),
  });
  const stepH = air?.step ?? DEFAULT_STEP_H;
  const every = (fromH: number, toH: number) =>
    Array.from({ length: Math.floor((toH - fromH) / stepH + 1e-9) + 1 }, (_, index) => at(fromH + index * stepH));
  const [gapFrom, gapTo] = air?.gap ?? [Infinity, Infinity];
  const drawn = air ? every(0, now).filter(({ hour }) => !(hour > gapFrom! && hour < gapTo!)) : [];
  const inLiquid = (liquid ?? []).map(({ t, T }): TemperatureReading => ({ hour: t, celsius: T, where: "liquid" }));
  return {
    ...plain,
    readings: [...(plain.readings ?? []), ...drawn, ...inLiquid],
    forecast: [...(plain.forecast ?? []), ...(air?.forecastH === undefined ? [] : every(now, now + air.forecastH))],
    observations: [...(plain.observations ?? []), ...(observations ?? []).map(toObservation)],
  };
}

const FEATURE_TERMS: Partial<Record<keyof Features, string>> = {
  ph: "pH",
  parted: "sep",
  sunk: "sink",
  extent: "x",
  coreC: "core",
  calciumGPerL: "Ca",
  carbonDioxideLPerL: "CO2L",
};

/** What a batch shows, under the model's names. */
export const fromFeatures = (features: object): Record<string, number> =>
  Object.fromEntries(
    Object.entries(features as Record<string, number>).map(([name, value]) => [
      FEATURE_TERMS[name as keyof Features] ?? name,
      value,
    ]),
  );

/** A forecast in the model's terms. */
export function fromForecast(found: Forecast): object {
  const { stuck, spoilage } = found;
  const stuckTerms = {
    codes: stuck.codes,
    pNoReady: stuck.chanceNever,
    pHighAsymptote: stuck.chanceSettlesHigh,
  };
  return {
    start: found.start,
    peak: found.peak,
    end: found.end,
    crash: found.crash,
    times: found.times,
    pReady: [...found.ready],
    pStarted: [...found.started],
    pPast: [...found.past],
    u: found.u,
    state: fromFeatures(found.state),
    stuck: { ...stuckTerms, meanRate24: stuck.meanRate24 },
    ...stuckTerms,
    surprises: found.surprises.map(({ hour, chance, ...rest }) => ({
      ...rest,
      t: hour,
      ...(chance === undefined ? {} : { p: chance }),
    })),
    surprising: found.surprises.map(({ surprising }) => surprising ?? false),
    spoil: {
      p: spoilage.chance,
      level: spoilage.level,
      hard: spoilage.hard,
      needsSmellCheck: spoilage.needsSmellCheck,
    },
    pReadyNow: found.readyNow,
    pUsableNow: found.usableNow,
    nextCheck: found.nextCheckH,
    advice: modelAdvice(found),
    warnings: sayRefused(found.refused),
  };
}
