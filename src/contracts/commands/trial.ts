import { CONFOUNDERS, DESIGNS, READING_KINDS } from "@/core/trial/terms";
import { list, nullable, NUMBER, object, TEXT } from "./parts";

const NAME = { type: ["string", "integer"], maxLength: 60 } as const;
const VALUE = { anyOf: [NUMBER, list(NUMBER, 1000), { type: "null" }] } as const;
const COUNT = { type: "integer", minimum: 0, maximum: 10_000 } as const;
const SEED = { type: "integer", minimum: 0, maximum: 2_147_483_647 } as const;
const LEVEL = { type: "number", exclusiveMinimum: 0, maximum: 0.5 } as const;
const ABOVE = { type: "number", exclusiveMinimum: 0 } as const;

export const TRIAL_INPUT = object(["measure"], {
  design: { enum: DESIGNS },
  measure: object(["kind"], {
    kind: { enum: READING_KINDS },
    scale: { enum: ["ratio", "difference", "ordinal"] },
    better: { enum: ["more", "less"] },
    smallest: ABOVE,
  }),
  control: TEXT,
  alpha: LEVEL,
  pairs: list(
    object(["with", "without"], {
      id: NAME,
      with: VALUE,
      without: VALUE,
      areaWith: NUMBER,
      areaWithout: NUMBER,
      season: TEXT,
      leftOut: TEXT,
    }),
    500,
  ),
  readings: list(
    object([], {
      block: NAME,
      arm: TEXT,
      value: VALUE,
      before: NUMBER,
      after: NUMBER,
      order: { enum: ["with-first", "without-first"] },
      first: NUMBER,
      second: NUMBER,
    }),
    5000,
  ),
  looks: { anyOf: [{ enum: ["one", "any"] }, object(["earlier"], { earlier: list(COUNT, 100) })] },
  applications: COUNT,
  asked: COUNT,
  reading: { enum: ["deciding", "early"] },
  confounders: list({ enum: Object.keys(CONFOUNDERS) }, 40),
  seed: SEED,
});
const MAYBE = nullable(NUMBER);
export const TRIAL_OUTPUT = {
  type: "object",
  required: ["scale", "better", "look", "level", "left", "assumed", "arms"],
  properties: {
    arms: list({
      type: "object",
      required: ["arm", "estimate", "low", "high", "p", "seen", "verdict", "reasons"],
      properties: { estimate: NUMBER, low: MAYBE, high: MAYBE, p: NUMBER },
    }),
  },
} as const;

export const TRIAL_SIZE_INPUT = object([], {
  scale: { enum: ["ratio", "difference", "ordinal"] },
  difference: NUMBER,
  share: { type: "number", minimum: 0, maximum: 1 },
  spread: ABOVE,
  uniformity: list(NUMBER, 1000),
  chance: { type: "number", exclusiveMinimum: 0, exclusiveMaximum: 1 },
  alpha: LEVEL,
  looks: { enum: ["several", "one"] },
  inputs: { type: "integer", minimum: 1, maximum: 20 },
  most: { type: "integer", minimum: 2, maximum: 200 },
  stripTimes: ABOVE,
  smith: { type: "number", minimum: 0, maximum: 2 },
});
export const TRIAL_SIZE_OUTPUT = {
  type: "object",
  required: [
    "pairs",
    "strips",
    "least",
    "level",
    "curve",
    "spread",
    "spreadIfWorse",
    "pairsIfWorse",
    "source",
    "assumed",
  ],
} as const;

const LENGTH = { anyOf: [NUMBER, object(["value", "unit"], { value: NUMBER, unit: TEXT })] } as const;
export const TRIAL_PLACE_INPUT = object(["units"], {
  units: list(object(["id", "x", "y"], { id: TEXT, x: NUMBER, y: NUMBER, edge: { type: "boolean" } }), 2000),
  arms: list(TEXT, 20),
  seed: SEED,
  blockSize: { type: "integer", minimum: 2, maximum: 20 },
  gradient: object(["direction"], { direction: NUMBER }),
  use: TEXT,
  guard: LENGTH,
});
export const TRIAL_PLACE_OUTPUT = {
  type: "object",
  required: ["blocks", "perArm", "spare", "arrangements", "guard", "codes", "seed", "least", "assumed"],
} as const;
