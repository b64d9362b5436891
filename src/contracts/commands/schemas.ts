import { ACTS, MEASURE_KINDS } from "@/core/book/words";
import { PLACE_KINDS } from "@/core/ferment/temperature/places";
import { WATER_SOURCES, WATER_TREATMENTS } from "@/core/water/chlorine";
import { ASSUMED, ID, MEASURES, MOMENT, QUANTITY, RATIO } from "../parts";
import { MODEL_FORECAST, MODEL_FORECAST_OUTPUT } from "./model";
import { list, nullable, NUMBER, object, TEXT } from "./parts";

export const CONVERT_INPUT = object(["quantity", "to"], {
  quantity: QUANTITY,
  to: { type: "string", minLength: 1, maxLength: 40 },
  ingredient: ID,
  measures: MEASURES,
});
export const CONVERT_OUTPUT = object(["quantity", "text", "assumed"], {
  quantity: QUANTITY,
  text: TEXT,
  assumed: ASSUMED,
});

export const DILUTE_INPUT = object([], {
  concentrate: QUANTITY,
  water: QUANTITY,
  total: QUANTITY,
  ratio: RATIO,
  measures: MEASURES,
});
export const DILUTE_OUTPUT = object(
  ["concentrate", "water", "total", "ratio", "mlPerL", "percent", "text", "assumed"],
  {
    concentrate: QUANTITY,
    water: QUANTITY,
    total: QUANTITY,
    ratio: TEXT,
    mlPerL: nullable(NUMBER),
    percent: NUMBER,
    text: TEXT,
    assumed: ASSUMED,
  },
);

export const SCALE_INPUT = object(["method", "vessel"], {
  method: ID,
  school: ID,
  vessel: object(["volume"], { volume: QUANTITY, headspace: QUANTITY, diameter: QUANTITY }),
  limits: list(object(["ingredient", "amount"], { ingredient: ID, amount: QUANTITY }), 50),
  target: QUANTITY,
  include: list(ID, 50),
  stated: list(object(["ingredient", "amount"], { ingredient: ID, amount: QUANTITY }), 50),
  substitutes: list(object(["instead", "use"], { instead: ID, use: ID }), 50),
  measures: MEASURES,
});
export const SCALE_OUTPUT = object(
  ["lines", "liquid", "fillLevel", "headspace", "limitedBy", "cautions", "steps", "assumed"],
  {
    lines: list(
      object(["ingredient", "quantity", "text", "role", "part", "range"], {
        ingredient: ID,
        quantity: QUANTITY,
        text: TEXT,
        role: TEXT,
        part: { enum: ["mix", "cap"] },
        follows: { enum: ["batch", "width", "nothing"] },
        onDay: NUMBER,
        dosePerL: NUMBER,
        range: object(["low", "high"], { low: QUANTITY, high: QUANTITY }),
      }),
    ),
    liquid: QUANTITY,
    occupied: QUANTITY,
    fillLevel: NUMBER,
    headspace: QUANTITY,
    limitedBy: TEXT,
    bounds: list(object(["by", "basis"], { by: TEXT, basis: QUANTITY })),
    asks: list(object(["ingredient", "ask"], { ingredient: ID, ask: TEXT })),
    swaps: list(object(["instead", "use", "changes"], { instead: ID, use: ID, changes: TEXT })),
    cautions: list(TEXT),
    steps: list(object(["text", "why"], { text: TEXT, why: TEXT, waitMinutes: NUMBER })),
    assumed: ASSUMED,
  },
);

const TEMPERATURES = list(
  object(["at", "celsius"], { at: MOMENT, celsius: { type: "number", minimum: -40, maximum: 90 } }),
);
const QUANTILES = object(["p10", "p50", "p90"], {
  p10: nullable(MOMENT),
  p50: nullable(MOMENT),
  p90: nullable(MOMENT),
});
/** Who looked, by any name: two people are two looks. */
const BY = { type: "string", minLength: 1, maxLength: 60 } as const;
/** A batch of a method of the book, on the clock. */
export const BATCH_FORECAST = object(["method", "vesselVolume", "startedAt", "now"], {
  method: ID,
  school: ID,
  vesselVolume: QUANTITY,
  startedAt: MOMENT,
  now: MOMENT,
  liquidTemperature: TEMPERATURES,
  airTemperature: TEMPERATURES,
  statedTemperature: QUANTITY,
  place: object(["kind"], {
    kind: { enum: PLACE_KINDS },
    celsius: { type: "array", items: { type: "number", minimum: -20, maximum: 60 }, minItems: 2, maxItems: 2 },
  }),
  farm: object(["mean", "sd"], { mean: NUMBER, sd: { type: "number", exclusiveMinimum: 0, maximum: 5 } }),
  observations: list({
    oneOf: [
      object(["at", "kind", "value"], {
        at: MOMENT,
        kind: { const: "ph" },
        value: { type: "number", minimum: 0, maximum: 14 },
        method: { enum: ["meter", "strip"] },
        where: { enum: ["mid-depth", "film", "lees"] },
        steady: { type: "boolean" },
        by: BY,
      }),
      object(["at", "kind", "word"], {
        at: MOMENT,
        kind: { enum: ["smell", "surface", "film", "solids", "liquid", "texture", "warmth"] },
        word: { type: "string", maxLength: 40 },
        by: BY,
      }),
      object(["at", "kind", "value"], {
        at: MOMENT,
        kind: { enum: MEASURE_KINDS },
        value: { type: "number", minimum: -10, maximum: 200 },
        by: BY,
      }),
      object(["at", "kind", "act"], {
        at: MOMENT,
        kind: { const: "act" },
        act: { enum: ACTS },
        amount: { type: "number", minimum: 0, maximum: 100_000 },
        by: BY,
      }),
    ],
  }),
});
const IN_MODEL_TERMS = object(["model"], { model: MODEL_FORECAST });
/** Either a batch on the clock, or one in the model's own terms. */
export const FORECAST_INPUT = {
  type: "object",
  if: { required: ["model"] },
  then: IN_MODEL_TERMS,
  else: BATCH_FORECAST,
} as const;
const BATCH_FORECAST_OUTPUT = object(["state", "probabilityReady", "window", "curve", "reasons", "next", "assumed"], {
  state: { enum: ["early", "near", "ready", "peak", "past", "spoiled", "stuck"] },
  probabilityReady: NUMBER,
  window: object(["start", "peak", "end"], { start: QUANTILES, peak: QUANTILES, end: QUANTILES }),
  curve: list(object(["at", "ready", "past"], { at: MOMENT, ready: NUMBER, past: NUMBER })),
  reasons: list(object(["code", "text"], { code: TEXT, text: TEXT })),
  next: object(["at", "act", "text"], { at: MOMENT, act: TEXT, text: TEXT }),
  assumed: ASSUMED,
});
export const FORECAST_OUTPUT = {
  type: "object",
  if: { required: ["advice"] },
  then: MODEL_FORECAST_OUTPUT,
  else: BATCH_FORECAST_OUTPUT,
} as const;

const TEXT_ID = { type: "string", minLength: 1, maxLength: 60 } as const;
export const LOADS_INPUT = object(["use", "ratio", "mixRate", "plots"], {
  use: ID,
  ratio: RATIO,
  mixRate: object(["value", "unit"], { value: NUMBER, unit: { enum: ["L/m2", "L/plant"] } }),
  plots: {
    ...list(
      object(["id"], {
        id: TEXT_ID,
        area: QUANTITY,
        plants: { type: "integer" },
      }),
    ),
    minItems: 1,
  },
  tool: object(["volume"], { volume: QUANTITY, step: QUANTITY }),
  injector: object(["ratio", "tank"], { ratio: RATIO, tank: QUANTITY }),
  available: QUANTITY,
  measures: MEASURES,
});
const AMOUNTS = { mix: QUANTITY, concentrate: QUANTITY, water: QUANTITY } as const;
export const LOADS_OUTPUT = object(["totals", "plots", "loads", "left", "short", "roundingError", "text", "assumed"], {
  totals: object(["mix", "concentrate", "water"], AMOUNTS),
  plots: list(object(["id", "mix", "concentrate", "water"], { id: TEXT, ...AMOUNTS })),
  loads: list(object(["count", "mix", "concentrate", "water", "text"], { count: NUMBER, ...AMOUNTS, text: TEXT })),
  left: nullable(QUANTITY),
  short: nullable(QUANTITY),
  roundingError: QUANTITY,
  text: TEXT,
  assumed: ASSUMED,
});

const TOOL = object(["volume"], { volume: QUANTITY, step: QUANTITY });
export const ALLOCATE_INPUT = object(["available", "plots"], {
  /** One liquid for all, or one for each use. */
  available: {
    anyOf: [QUANTITY, { ...list(object(["use", "quantity"], { use: TEXT_ID, quantity: QUANTITY })), minItems: 1 }],
  },
  ratio: RATIO,
  uses: list(object(["id", "ratio"], { id: TEXT_ID, ratio: RATIO })),
  plots: list(
    object(["id", "priority", "preferred"], {
      id: TEXT_ID,
      priority: { enum: [1, 2, 3] },
      preferred: QUANTITY,
      least: QUANTITY,
      use: TEXT_ID,
    }),
  ),
  tool: TOOL,
  wholeLoads: { type: "boolean" },
  measures: MEASURES,
});
export const ALLOCATE_OUTPUT = object(["plots", "totals", "left", "without", "text", "assumed"], {
  plots: list(
    object(["id", "concentrate", "share"], {
      id: TEXT,
      ...AMOUNTS,
      loads: NUMBER,
      /** Of what it would get. */
      share: NUMBER,
    }),
  ),
  totals: object(["concentrate"], AMOUNTS),
  left: QUANTITY,
  without: list(
    object(["id", "reason", "text"], {
      id: TEXT,
      reason: { enum: ["more-than-all", "not-enough-left", "no-whole-load"] },
      text: TEXT,
    }),
  ),
  text: TEXT,
  assumed: ASSUMED,
});

const MONEY = { type: "number", minimum: 0, maximum: 1e9 } as const;
export const COST_INPUT = object(["lots", "yield"], {
  lots: list(
    object(["ingredient", "used", "price"], {
      ingredient: ID,
      used: QUANTITY,
      price: object(["amount", "per"], { amount: MONEY, per: QUANTITY }),
    }),
  ),
  labour: object(["time", "perHour"], { time: QUANTITY, perHour: MONEY }),
  power: object(["kWh", "perKWh"], { kWh: { type: "number", minimum: 0 }, perKWh: MONEY }),
  consumables: list(object(["name", "amount"], { name: { type: "string", maxLength: 60 }, amount: MONEY })),
  yield: QUANTITY,
  measures: MEASURES,
});
export const COST_OUTPUT = object(["total", "perL", "breakdown", "assumed"], {
  total: NUMBER,
  perL: nullable(NUMBER),
  breakdown: list(object(["kind", "label", "amount"], { kind: TEXT, label: TEXT, amount: NUMBER })),
  assumed: ASSUMED,
});

export const WATER_INPUT = object(["source", "volume", "treatment"], {
  source: { enum: WATER_SOURCES },
  free: NUMBER,
  total: NUMBER,
  volume: QUANTITY,
  treatment: { enum: WATER_TREATMENTS },
  temperature: QUANTITY,
  covered: { type: "boolean" },
  measures: MEASURES,
});
export const WATER_OUTPUT = object(["safe", "hours", "dose", "reasons", "assumed"], {
  safe: { type: "boolean" },
  hours: nullable(NUMBER),
  dose: nullable(QUANTITY),
  reasons: list(object(["code", "text"], { code: TEXT, text: TEXT })),
  assumed: ASSUMED,
});

export const CALCIUM_INPUT = object(["vinegar", "shell"], {
  vinegar: object(["volume", "aceticPercent"], { volume: QUANTITY, aceticPercent: NUMBER }),
  shell: object(["mass"], { mass: QUANTITY, purity: NUMBER }),
  measures: MEASURES,
});
export const CALCIUM_OUTPUT = object(
  [
    "limiting",
    "dissolved",
    "calciumGPerL",
    "shellLeft",
    "vinegarNeededForAll",
    "carbonDioxideL",
    "text",
    "cautions",
    "assumed",
  ],
  {
    limiting: { enum: ["acid", "shell"] },
    dissolved: QUANTITY,
    calciumGPerL: NUMBER,
    shellLeft: QUANTITY,
    vinegarNeededForAll: QUANTITY,
    carbonDioxideL: NUMBER,
    text: TEXT,
    cautions: list(TEXT),
    assumed: ASSUMED,
  },
);

export const FIGURE_INPUT = object(["text"], {
  text: { type: "string", maxLength: 200 },
  units: { enum: ["metric", "us"] },
  measures: MEASURES,
});
export const FIGURE_OUTPUT = object(["answers", "working", "assumed"], {
  answers: list(object(["label", "quantity", "text"], { label: TEXT, quantity: nullable(QUANTITY), text: TEXT })),
  working: TEXT,
  assumed: ASSUMED,
});
