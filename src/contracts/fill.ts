import type { FromSchema } from "json-schema-to-ts";
import {
  AMOUNT,
  ID,
  MINUTES,
  MOMENT,
  NOTE,
  object,
  POSITIVE_AMOUNT,
  REQUEST_KEY,
  ROW_ID,
  VERSION_NO,
  WATER_ASKED,
} from "./parts";

/** A fill as it is chosen: what by, how much, with what in place of what. */
export const CHOSEN_FILL = {
  vesselId: ROW_ID,
  methodId: ID,
  schoolId: ID,
  /** The farm's own version; null or missing for the book's recipe. */
  versionNo: VERSION_NO,
  /** Litres of water, or kilograms of plant, that the planned amounts follow. */
  basisAmount: POSITIVE_AMOUNT,
  headspaceL: { type: ["number", "null"], minimum: 0, maximum: 20000 },
  include: { type: "array", maxItems: 20, items: ID },
  /** How much of what the recipe has no amount for. */
  stated: {
    type: "array",
    maxItems: 20,
    items: object(["ingredient", "amount"], { ingredient: ID, amount: POSITIVE_AMOUNT }),
  },
  substitutes: { type: "array", maxItems: 20, items: object(["instead", "use"], { instead: ID, use: ID }) },
  water: { anyOf: [WATER_ASKED, { type: "null" }] },
  /** The plan that this is the doing of. */
  planId: { anyOf: [ROW_ID, { type: "null" }] },
  statedC: { type: ["number", "null"], minimum: -5, maximum: 60 },
  /** Tools that hang in it, so that they are known to want a wash. */
  equipmentIds: { type: "array", maxItems: 40, uniqueItems: true, items: ROW_ID },
  /** Why a lot goes in against its caution. */
  overrideReason: { type: ["string", "null"], maxLength: 300 },
  note: NOTE,
} as const;
const LINE = {
  ingredientId: ID,
  part: { enum: ["mix", "cap"] },
  pickedNow: { type: "boolean" },
  /** Which plants they are, where they were picked for this batch. */
  species: { type: "string", maxLength: 120 },
} as const;

/** What really goes in, in the recipe's order. */
export const FILL_LINES = {
  type: "array",
  minItems: 1,
  maxItems: 40,
  items: object(["ingredientId", "part", "used"], { ...LINE, used: AMOUNT }),
} as const;

export const FILL_VESSEL = object(
  ["requestKey", "vesselId", "methodId", "schoolId", "basisAmount", "lines", "labourMin"],
  {
    requestKey: REQUEST_KEY,
    ...CHOSEN_FILL,
    lines: FILL_LINES,
    startedAt: MOMENT,
    labourMin: MINUTES,
  },
);

export const START_MIXING = object(["requestKey", "vesselId", "methodId", "schoolId", "basisAmount", "lines"], {
  requestKey: REQUEST_KEY,
  ...CHOSEN_FILL,
  /** What is meant to go in; what does is told step by step. */
  lines: {
    type: "array",
    minItems: 1,
    maxItems: 40,
    items: object(["ingredientId", "part", "amount"], { ...LINE, amount: AMOUNT }),
  },
});

export type FillRequest = Omit<FromSchema<typeof FILL_VESSEL>, "requestKey">;
export type MixingRequest = Omit<FromSchema<typeof START_MIXING>, "requestKey">;
/** A fill as it was meant when mixing began; kept with the mixing. */
export type MixingFill = MixingRequest & {
  /** Short name of the recipe, for lists. */
  readonly name: string;
};
