/** Pieces that several schemas share. */
export const QUANTITY = {
  type: "object",
  additionalProperties: false,
  required: ["value", "unit"],
  properties: { value: { type: "number" }, unit: { type: "string", minLength: 1, maxLength: 40 } },
} as const;

export const MEASURES = {
  type: "array",
  maxItems: 50,
  items: {
    type: "object",
    additionalProperties: false,
    required: ["name", "quantity"],
    properties: { name: { type: "string", minLength: 1, maxLength: 40 }, quantity: QUANTITY },
  },
} as const;

export const RATIO = { type: "string", minLength: 1, maxLength: 60 } as const;
export const ID = { type: "string", pattern: "^[a-z][a-z0-9-]*$", maxLength: 40 } as const;
export const MOMENT = { type: "string", format: "date-time" } as const;
export const DAY = { type: "string", format: "date" } as const;
export const ROW_ID = { type: "integer", minimum: 1, maximum: 9007199254740991 } as const;
/** The client's key of one intended write; a resent request carries the same one. */
export const REQUEST_KEY = { type: "string", pattern: "^[0-9a-f-]{36}$" } as const;
export const ASSUMED = { type: "array", items: { type: "string" } } as const;
export const NAME = { type: "string", minLength: 1, maxLength: 60, pattern: "\\S" } as const;

/** An object of just these properties. */
export const object = <const P extends Record<string, unknown>, const R extends readonly string[]>(
  required: R,
  properties: P,
) => ({ type: "object", additionalProperties: false, required, properties }) as const;

export const AMOUNT = { type: "number", minimum: 0, maximum: 100000 } as const;
export const POSITIVE_AMOUNT = { type: "number", exclusiveMinimum: 0, maximum: 100000 } as const;
export const MINUTES = { type: "number", minimum: 0, maximum: 6000 } as const;
export const REASON = { type: "string", maxLength: 300 } as const;
export const NOTE = { type: "string", maxLength: 200 } as const;
