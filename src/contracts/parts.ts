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
/** A moment of this or the last century, on a second that a clock of the database has: none leaps. */
export const MOMENT = {
  type: "string",
  format: "date-time",
  pattern: "^(19|2[01])\\d{2}-[^ ]+T\\d\\d:\\d\\d:[0-5]",
} as const;
export const DAY = { type: "string", format: "date", pattern: "^(19|2[01])" } as const;
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
/** The books count to the gram and the millilitre. */
export const POSITIVE_AMOUNT = { type: "number", minimum: 0.001, maximum: 100000 } as const;
export const MINUTES = { type: "number", minimum: 0, maximum: 6000 } as const;
export const REASON = { type: "string", maxLength: 300 } as const;
export const NOTE = { type: "string", maxLength: 200 } as const;
export const NEEDED_REASON = { type: "string", minLength: 1, maxLength: 200, pattern: "\\S" } as const;
export const SHORT = { type: "string", maxLength: 80 } as const;
export const MONEY = { type: "number", minimum: 0, maximum: 1000000 } as const;
export const LITRES = { type: "number", minimum: 0.001, maximum: 20000 } as const;
export const VERSION_NO = { anyOf: [{ type: "integer", minimum: 1 }, { type: "null" }] } as const;

export const orNull = <const S>(schema: S) => ({ anyOf: [schema, { type: "null" }] }) as const;

export const WATER_ASKED = object(["sourceId"], {
  sourceId: ROW_ID,
  startId: { anyOf: [ROW_ID, { type: "null" }] },
  overrideReason: REASON,
});
