import type { FromSchema } from "json-schema-to-ts";
import type { MODEL_FORECAST } from "@/contracts/commands/model";
import { type BATCH_FORECAST, FORECAST_INPUT, FORECAST_OUTPUT } from "@/contracts/commands/schemas";
import { findRecipe } from "@/core/book";
import { SIGN_WORDS } from "@/core/book/words";
import { DomainError, requireWithin } from "@/core/errors";
import { forecast } from "@/core/ferment/outlook/forecast";
import type { Place } from "@/core/ferment/temperature/places";
import { assess } from "@/core/judge/assess";
import type { TemperaturePoint } from "@/core/judge/batchInput";
import type { Basis, Quantiles } from "@/core/judge/forecastBatch";
import type { LogItem } from "@/core/judge/log";
import { convert, litresIn } from "@/core/quantity/convert";
import { atHour, NEXT_WORDS, sayReason, sayWarmer, type Telling } from "@/words/said";
import { fromForecast, toForecastBatch } from "./modelTerms";
import type { Task } from "./task";

type ClockInput = FromSchema<typeof BATCH_FORECAST>;
type ModelInput = { readonly model: FromSchema<typeof MODEL_FORECAST> };
type Input = ClockInput | ModelInput;

function hourSince(startedAt: Date, at: string, path: string): number {
  const hour = (Date.parse(at) - startedAt.getTime()) / 3_600_000;
  if (hour < 0) throw new DomainError("time-order", { at }, path);
  return hour;
}

function toLogItem(item: NonNullable<ClockInput["observations"]>[number], startedAt: Date, path: string): LogItem {
  const hour = hourSince(startedAt, item.at, `${path}/at`);
  const by = item.by === undefined ? {} : { by: item.by };
  if (item.kind === "ph")
    return {
      hour,
      kind: "ph",
      value: item.value,
      instrument: item.method ?? "meter",
      spot: item.where ?? "mid-depth",
      ...(item.steady === undefined ? {} : { settled: item.steady }),
      ...by,
    };
  if (item.kind === "act")
    return { hour, kind: "act", act: item.act, ...(item.amount === undefined ? {} : { amount: item.amount }), ...by };
  if ("value" in item) return { hour, kind: item.kind, value: item.value, ...by };
  const known: readonly string[] = SIGN_WORDS[item.kind];
  if (!known.includes(item.word)) throw new DomainError("unknown-word", { word: item.word, known }, `${path}/word`);
  return { hour, kind: item.kind, word: item.word, ...by };
}

function placeFrom({ kind, celsius }: NonNullable<ClockInput["place"]>): Place {
  if (!celsius) return { kind };
  const [low, high] = celsius as [number, number];
  requireWithin("coolest", low, "°C", -20, high, "/place/celsius/0");
  return { kind, celsius: [low, high] };
}

const BASIS_WORDS: Record<Basis, string> = {
  read: "read in the liquid",
  place: "worked out from its place and the air outside",
  air: "worked out from the air",
  climate: "the climate's for the date",
  stated: "as stated, held",
  guessed: "nothing known; 20 °C, give or take 4",
};
/** Hours apart at which the chances are told where nobody asks for others. */
const CURVE_STEPS = 120;

function inModelTerms({ model }: ModelInput) {
  return fromForecast(forecast(toForecastBatch(model), model.now, { times: model.times ?? [] }));
}

function onTheClock(input: ClockInput) {
  const startedAt = new Date(input.startedAt);
  const now = new Date(input.now);
  const nowH = hourSince(startedAt, input.now, "/now");
  // Air before the start is welcome (it tells what the water stood in); it is only not needed.
  const points = (series: ClockInput["airTemperature"]): TemperaturePoint[] =>
    (series ?? []).map(({ at, celsius }) => ({ hour: (Date.parse(at) - startedAt.getTime()) / 3_600_000, celsius }));
  const assessment = assess({
    recipe: findRecipe(input.method, input.school),
    vesselL: litresIn(input.vesselVolume),
    nowH,
    temperature: {
      liquid: points(input.liquidTemperature),
      air: points(input.airTemperature),
      statedC: input.statedTemperature ? convert(input.statedTemperature, "°C").value : null,
    },
    log: (input.observations ?? []).map((item, index) => toLogItem(item, startedAt, `/observations/${index}`)),
    ...(input.place ? { place: placeFrom(input.place) } : {}),
    ...(input.farm ? { farm: input.farm } : {}),
    curveHours: Array.from({ length: CURVE_STEPS + 1 }, (_, step) => (step * (nowH + 21 * 24)) / CURVE_STEPS),
  });
  const telling: Telling = { units: "metric", clock: { timeZone: "UTC" }, startedAt, now };
  const iso = (hour: number | null) => (hour === null ? null : atHour(telling, hour).toISOString());
  const times = ({ p10, p50, p90 }: Quantiles) => ({ p10: iso(p10), p50: iso(p50), p90: iso(p90) });
  const { forecast: found, verdict, ifWarmer } = assessment;
  const warmer = sayWarmer(ifWarmer, telling);
  return {
    state: verdict.state,
    probabilityReady: found.probabilityReady,
    window: { start: times(found.window.start), peak: times(found.window.peak), end: times(found.window.end) },
    curve: found.curve.map(({ hour, ready, past }) => ({ at: iso(hour)!, ready, past })),
    reasons: [
      ...verdict.reasons.map((reason) => ({ code: reason.code as string, text: sayReason(reason, telling) })),
      ...(warmer ? [{ code: "if-warmer", text: warmer }] : []),
    ],
    next: { at: iso(verdict.next.hour)!, act: verdict.next.act, text: NEXT_WORDS[verdict.next.act] },
    assumed: [`temperature: ${BASIS_WORDS[found.temperatureBasis]}`, "clock times in words are UTC"],
  };
}

/** A batch on the clock, or one in the model's own terms. */
const run = (input: Input): object => ("model" in input ? inModelTerms(input) : onTheClock(input));

export const forecastTask: Task<Input> = {
  name: "forecast",
  summary: "when a batch is likely ready, from its temperature and what was read and smelt",
  input: FORECAST_INPUT,
  output: FORECAST_OUTPUT,
  example: {
    method: "cultured-extract",
    school: "equal-parts",
    vesselVolume: { value: 200, unit: "L" },
    startedAt: "2031-03-01T08:00:00+01:00",
    now: "2031-03-09T08:00:00+01:00",
    liquidTemperature: [{ at: "2031-03-02T08:00:00+01:00", celsius: 21 }],
    observations: [{ at: "2031-03-08T08:00:00+01:00", kind: "ph", value: 4.6, method: "meter" }],
  },
  run,
};
