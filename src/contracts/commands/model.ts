import { list, NUMBER, object } from "./parts";

/** The ferment model's own terms: hours from the start, °C, amounts relative to the recipe. */
const HOUR = { type: "number", minimum: -10_000, maximum: 20_000 } as const;
const AGE = { type: "number", minimum: 0, maximum: 19_200 } as const;
const CELSIUS = { type: "number", minimum: -273.15, maximum: 1000 } as const;
const RELATIVE = { type: "number", exclusiveMinimum: 0, maximum: 1000 } as const;
const MODEL_ID = { type: "string", pattern: "^[A-G][0-9]_[a-z_]{1,40}$" } as const;
const EPS = { type: "number", minimum: 0, maximum: 1 } as const;

const seen = <T extends object>(type: string, value: T) =>
  object(["t", "type", "value"], { t: HOUR, eps: EPS, type: { const: type }, value });

export const MODEL_OBSERVATION = {
  oneOf: [
    object(["t", "type", "value", "method"], {
      t: HOUR,
      eps: EPS,
      type: { const: "ph" },
      value: NUMBER,
      method: { enum: ["meter", "strip"] },
      sd: { type: "number", exclusiveMinimum: 0, maximum: 5 },
    }),
    seen("foam", { enum: ["none", "first_ring", "patches", "full_head", "collapsing", "gone"] } as const),
    seen("smell", { enum: ["sweet_raw", "yeasty", "sour_clean", "neutral_earthy", "rotten"] } as const),
    seen("film", { enum: ["none", "white_flat", "white_fuzzy", "coloured"] } as const),
    seen("bubbles", NUMBER),
    seen("sep", NUMBER),
    seen("sink", NUMBER),
    seen("core", NUMBER),
    seen("judge", { enum: ["not_yet", "ready", "past"] } as const),
  ],
} as const;

const EVENT = object(["t", "type"], { t: HOUR, type: { enum: ["air_on", "air_off", "opened", "insects"] } });
const POINT = object(["t", "T"], { t: HOUR, T: NUMBER });
const READING = object(["t", "T"], { t: HOUR, T: NUMBER, where: { enum: ["air", "liquid"] } });

/** What the farm's finished batches taught of the rate, in logarithms. */
const PRIOR = object(["m", "s"], {
  m: { type: "number", minimum: -5, maximum: 5 },
  s: { type: "number", exclusiveMinimum: 0, maximum: 5 },
});

const BATCH_FIELDS = {
  volumeL: RELATIVE,
  setting: { enum: ["plain", "wind_or_metal", "aerated_open", "insulated", "buried", "solid_bed"] },
  startHour: { type: "number", minimum: -48, maximum: 72 },
  startSdH: { type: "number", minimum: 0, maximum: 1000 },
  ambient: CELSIUS,
  amp: { type: "number", minimum: 0, maximum: 40 },
  T0: CELSIUS,
  sugar: RELATIVE,
  inoc: RELATIVE,
  pH0: { type: "number", minimum: 2, maximum: 12 },
  buffer: { type: "number", minimum: 0.1, maximum: 10 },
  lPerKg: RELATIVE,
  acidPct: { type: "number", exclusiveMinimum: 0, maximum: 100 },
  sizeF: RELATIVE,
  sink0: { type: "number", minimum: 0, maximum: 1 },
  klaFactor: RELATIVE,
  readings: list(READING),
  forecast: list(POINT),
  events: list(EVENT),
  observations: list(MODEL_OBSERVATION),
  prior: PRIOR,
} as const;

/** Air as a wave: mean, half range between day and night, clock hour of the start. */
const AIR = object(["mean"], {
  mean: CELSIUS,
  amp: { type: "number", minimum: 0, maximum: 40 },
  startHour: { type: "number", minimum: 0, maximum: 24 },
  /** A reading every so many hours up to now; none strictly inside the gap; a forecast for so many hours from now. */
  step: { type: "number", minimum: 0.25, maximum: 48 },
  gap: { type: "array", items: NUMBER, minItems: 2, maxItems: 2 },
  forecastH: { type: "number", minimum: 0, maximum: 2000 },
});

export const MODEL_BATCH = object(["method"], { method: MODEL_ID, ...BATCH_FIELDS });

export const MODEL_FORECAST = object(["batch", "now"], {
  batch: MODEL_BATCH,
  now: AGE,
  air: AIR,
  liquid: list(POINT),
  observations: list(MODEL_OBSERVATION),
  /** May stand beside the batch, as what was seen may; then it goes before the batch's own. */
  prior: PRIOR,
  times: list(HOUR),
});

export const TRAJECTORY_INPUT = object(["method", "air"], {
  method: MODEL_ID,
  air: AIR,
  T0: CELSIUS,
  u: { type: "number", minimum: -3, maximum: 3 },
  v: { type: "number", minimum: -3, maximum: 3 },
  batch: object([], BATCH_FIELDS),
  at: list(HOUR),
});

const HOUR_OR_NEVER = { type: ["number", "null"] } as const;
export const TRAJECTORY_OUTPUT = object(["start", "peak", "end", "crash", "feats"], {
  start: HOUR_OR_NEVER,
  peak: HOUR_OR_NEVER,
  end: HOUR_OR_NEVER,
  crash: HOUR_OR_NEVER,
  seal: HOUR_OR_NEVER,
  feats: list({ type: "object", additionalProperties: { type: "number" } } as const),
});

const HOURS = object(["p10", "p50", "p90"], { p10: HOUR_OR_NEVER, p50: HOUR_OR_NEVER, p90: HOUR_OR_NEVER });
const WORDS = list({ type: "string" } as const);
const NUMBERS = list(NUMBER);

export const MODEL_FORECAST_OUTPUT = {
  type: "object",
  required: ["start", "peak", "end", "crash", "advice", "u", "stuck", "spoil", "pReady", "warnings"],
  properties: {
    start: HOURS,
    peak: HOURS,
    end: HOURS,
    crash: HOURS,
    times: NUMBERS,
    pReady: NUMBERS,
    pStarted: NUMBERS,
    pPast: NUMBERS,
    u: object(["mean", "sd", "priorMean", "priorSd"], { mean: NUMBER, sd: NUMBER, priorMean: NUMBER, priorSd: NUMBER }),
    state: { type: "object", additionalProperties: NUMBER },
    stuck: object(["codes", "pNoReady", "pHighAsymptote", "meanRate24"], {
      codes: WORDS,
      pNoReady: NUMBER,
      pHighAsymptote: NUMBER,
      meanRate24: NUMBER,
    }),
    codes: WORDS,
    pNoReady: NUMBER,
    pHighAsymptote: NUMBER,
    surprises: list({ type: "object" } as const),
    surprising: list({ type: "boolean" } as const),
    spoil: object(["p", "level", "hard", "needsSmellCheck"], {
      p: NUMBER,
      level: { enum: ["ok", "watch", "hold", "discard"] },
      hard: WORDS,
      needsSmellCheck: { type: "boolean" },
    }),
    pReadyNow: NUMBER,
    pUsableNow: NUMBER,
    nextCheck: NUMBER,
    advice: { type: "string" },
    warnings: WORDS,
  },
} as const;
