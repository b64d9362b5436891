import { INGREDIENT_IDS } from "@/core/book/ingredients";
import { WAIT_KINDS } from "@/core/book/types";
import { USE_IDS } from "@/core/book/uses";
import { ACTS, SIGN_KINDS, SIGN_WORDS } from "@/core/book/words";
import { ID, object } from "../parts";

/** A span: lowest, usual, highest. */
const range = (maximum: number) =>
  object(["low", "default", "high"], {
    low: { type: "number", minimum: 0, maximum },
    default: { type: "number", minimum: 0, maximum },
    high: { type: "number", minimum: 0, maximum },
  });

const TEXT = { type: "string", minLength: 1, maxLength: 500 } as const;
const INGREDIENT = { enum: INGREDIENT_IDS } as const;
const UNIT = { enum: ["kg", "L"] } as const;
const HOURS = { type: "number", minimum: 0, maximum: 20000 } as const;
const PARTS = { type: "number", minimum: 0, maximum: 10000 } as const;

const AMOUNT = {
  type: "object",
  required: ["type"],
  discriminator: { propertyName: "type" },
  oneOf: [
    object(["type", "perBasis", "unit"], { type: { const: "per-basis" }, perBasis: range(1000), unit: UNIT }),
    object(["type", "thicknessM", "unit"], {
      type: { const: "per-surface" },
      thicknessM: range(1),
      unit: { const: "kg" },
    }),
    object(["type", "amount", "unit"], { type: { const: "fixed" }, amount: range(10000), unit: UNIT }),
    object(["type", "unit", "ask"], { type: { const: "unknown" }, unit: UNIT, ask: TEXT }),
  ],
} as const;

/** The published form of a recipe: what a grower writes down, passes on and changes. */
export const RECIPE_DOCUMENT = object(
  [
    "format",
    "formatVersion",
    "method",
    "school",
    "name",
    "source",
    "note",
    "ingredients",
    "fillShare",
    "lid",
    "steps",
    "cues",
    "tending",
    "uses",
    "shelfH",
  ],
  {
    format: { const: "ruchka-recipe" },
    formatVersion: { const: 1 },
    method: ID,
    school: ID,
    name: { type: "string", minLength: 1, maxLength: 60 },
    source: { type: "string", maxLength: 200 },
    note: { type: "string", maxLength: 500 },
    ingredients: {
      type: "array",
      minItems: 1,
      maxItems: 40,
      items: object(["ingredient", "amount", "role"], {
        ingredient: INGREDIENT,
        amount: AMOUNT,
        role: TEXT,
        optional: { type: "boolean" },
        onDay: { type: "number", minimum: 0, maximum: 400 },
        leastShare: { type: "number", minimum: 0, maximum: 1 },
        roomLPerUnit: { type: "number", minimum: 0, maximum: 20 },
        bagged: { type: "boolean" },
      }),
    },
    fillShare: range(1),
    lid: { enum: ["open", "breathable", "airlock", "sealed"] },
    steps: {
      type: "array",
      minItems: 1,
      maxItems: 40,
      items: object(["id", "text", "why", "adds"], {
        id: ID,
        text: TEXT,
        why: { type: "string", maxLength: 500 },
        adds: { type: "array", maxItems: 20, items: INGREDIENT },
        waitMin: { type: "number", minimum: 0, maximum: 100000 },
        waitFor: { enum: WAIT_KINDS },
        onDay: { type: "number", minimum: 0, maximum: 400 },
        checks: { type: "array", maxItems: 10, items: TEXT },
        answers: {
          type: "array",
          maxItems: 8,
          items: object(["word", "fits", "then"], { word: TEXT, fits: { type: "boolean" }, then: TEXT }),
        },
        everyMin: { type: "number", minimum: 1, maximum: 100000 },
        prepares: INGREDIENT,
      }),
    },
    cues: {
      type: "array",
      minItems: 1,
      maxItems: 80,
      items: {
        type: "object",
        required: ["kind", "word", "says", "because"],
        discriminator: { propertyName: "kind" },
        oneOf: SIGN_KINDS.map((kind) =>
          object(["kind", "word", "says", "because"], {
            kind: { const: kind },
            word: { enum: SIGN_WORDS[kind] },
            says: { enum: ["not-yet", "ready", "past", "failed"] },
            because: { type: "string", maxLength: 300 },
          }),
        ),
      },
    },
    tending: {
      type: "array",
      maxItems: 30,
      items: object(["act", "text", "everyH", "fromH", "ifMissed"], {
        act: { enum: [...ACTS, "look", "read-ph"] },
        text: TEXT,
        everyH: { type: "number", exclusiveMinimum: 0, maximum: 20000 },
        fromH: HOURS,
        untilH: HOURS,
        once: { type: "boolean" },
        ifMissed: { type: "string", maxLength: 500 },
      }),
    },
    uses: {
      type: "array",
      maxItems: 20,
      items: object(["use", "partsWater", "everyD", "note"], {
        use: { enum: USE_IDS },
        partsWater: object(["strongest", "default", "weakest"], { strongest: PARTS, default: PARTS, weakest: PARTS }),
        everyD: { type: ["number", "null"], exclusiveMinimum: 0, maximum: 400 },
        note: { type: "string", maxLength: 300 },
      }),
    },
    shelfH: { type: "number", exclusiveMinimum: 0, maximum: 20000 },
  },
);
