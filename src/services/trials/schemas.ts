import { DAY, ID, NAME, NEEDED_REASON, REQUEST_KEY, ROW_ID, object, orNull } from "@/contracts/parts";
import { READING_KINDS } from "@/core/trial";
import { ARMS } from "@/core/trial/farm";

/** Kind of measure; what follows from it (which way is better, on which scale) the core knows. */
export const KIND = { enum: READING_KINDS } as const;
export const READ_UNIT = { type: "string", maxLength: 20 } as const;
/** Plants, samples or pictures of one strip on one day. */
export const PARTS = {
  type: "array",
  minItems: 1,
  maxItems: 60,
  items: { type: "number", minimum: -100_000, maximum: 1_000_000 },
} as const;

/** What a trial asks, as it is typed. */
export const TERMS = object(
  [
    "question",
    "inputs",
    "useId",
    "kind",
    "scale",
    "unit",
    "smallest",
    "card",
    "isChange",
    "looks",
    "decidingOn",
    "asked",
  ],
  {
    question: { type: "string", minLength: 1, maxLength: 200, pattern: "\\S" },
    inputs: {
      type: "array",
      minItems: 1,
      maxItems: ARMS.length,
      items: object(["name", "methodId"], { name: NAME, methodId: orNull(ID) }),
    },
    useId: orNull(ID),
    kind: KIND,
    scale: { enum: ["ratio", "difference", "ordinal"] },
    unit: READ_UNIT,
    smallest: { anyOf: [{ type: "number", exclusiveMinimum: 0, maximum: 1_000_000 }, { type: "null" }] },
    card: { type: "array", maxItems: 5, items: { type: "string", maxLength: 40 } },
    isChange: { type: "boolean" },
    looks: { enum: ["several", "one", "any"] },
    decidingOn: DAY,
    asked: { type: "integer", minimum: 1, maximum: 60 },
  },
);

/** Beds that join, whole or in strips. */
const JOINING = {
  plotIds: { type: "array", minItems: 1, maxItems: 200, uniqueItems: true, items: ROW_ID },
  strips: { type: "integer", minimum: 1, maximum: 24 },
  /** The way the ground changes most, degrees anticlockwise from east; null where nobody said. */
  gradientDeg: orNull({ type: "number", minimum: -360, maximum: 360 } as const),
  /** Those of the beds that lie at an edge: a hedge, a wall, a path with wheels. */
  edgePlotIds: { type: "array", maxItems: 200, uniqueItems: true, items: ROW_ID },
} as const;
const JOINED = ["plotIds", "strips", "gradientDeg", "edgePlotIds"] as const;

export const BEGIN_TRIAL = object(["requestKey", "terms", ...JOINED], {
  requestKey: REQUEST_KEY,
  terms: TERMS,
  ...JOINING,
});
export const SET_TERMS = object(["requestKey", "trialId", "terms"], {
  requestKey: REQUEST_KEY,
  trialId: ROW_ID,
  terms: TERMS,
});
export const DRAW_AGAIN = object(["requestKey", "trialId", "roundNo", "reason"], {
  requestKey: REQUEST_KEY,
  trialId: ROW_ID,
  roundNo: { type: "integer", minimum: 1, maximum: 100 },
  reason: NEEDED_REASON,
});
export const ADD_PAIRS = object(["requestKey", "trialId", "decidingOn", ...JOINED], {
  requestKey: REQUEST_KEY,
  trialId: ROW_ID,
  decidingOn: DAY,
  ...JOINING,
});
