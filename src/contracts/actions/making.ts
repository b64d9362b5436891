import { NUTRIENT_IDS } from "@/core/book/composition";
import { WATER_SOURCES, WATER_TREATMENTS } from "@/core/water/chlorine";
import { ID, MOMENT, NAME, NOTE, object, POSITIVE_AMOUNT, REASON, REQUEST_KEY, ROW_ID } from "../parts";
import { RECIPE_DOCUMENT } from "../recipe/schema";

export const VERSION_NO = { anyOf: [{ type: "integer", minimum: 1 }, { type: "null" }] } as const;
const LITRES = { type: "number", exclusiveMinimum: 0, maximum: 20000 } as const;
const CHLORINE = { anyOf: [{ type: "number", minimum: 0, maximum: 20 }, { type: "null" }] } as const;
export const WATER_ASKED = object(["sourceId"], {
  sourceId: ROW_ID,
  startId: { anyOf: [ROW_ID, { type: "null" }] },
  overrideReason: REASON,
});

export const SAVE_RECIPE = object(["requestKey", "document", "basedOn"], {
  requestKey: REQUEST_KEY,
  document: RECIPE_DOCUMENT,
  /** The newest version that was known when typing began; 0 for none. */
  basedOn: { type: "integer", minimum: 0 },
  /** Figures far from what growers use are meant. */
  confirmed: { type: "boolean" },
});

export const CHOOSE_RECIPE = object(["requestKey", "methodId", "schoolId"], {
  requestKey: REQUEST_KEY,
  methodId: ID,
  schoolId: ID,
  versionNo: VERSION_NO,
});

export const ADD_WATER_SOURCE = object(["requestKey", "name", "kind"], {
  requestKey: REQUEST_KEY,
  name: { ...NAME, maxLength: 60 },
  kind: { enum: WATER_SOURCES },
});

export const READ_WATER = object(["requestKey", "sourceId"], {
  requestKey: REQUEST_KEY,
  sourceId: ROW_ID,
  freeMgPerL: CHLORINE,
  totalMgPerL: CHLORINE,
  at: MOMENT,
});

export const READ_WATER_LEVEL = object(["requestKey", "sourceId", "volumeL"], {
  requestKey: REQUEST_KEY,
  sourceId: ROW_ID,
  volumeL: { type: "number", minimum: 0, maximum: 1000000 },
  at: MOMENT,
});

export const START_WATER = object(["requestKey", "sourceId", "purpose", "volumeL", "treatment"], {
  requestKey: REQUEST_KEY,
  sourceId: ROW_ID,
  purpose: { enum: ["brew", "dilution"] },
  volumeL: LITRES,
  treatment: { enum: WATER_TREATMENTS },
  /** As read; nothing where nobody read it. */
  celsius: { type: ["number", "null"], minimum: 0, maximum: 60 },
  covered: { type: "boolean" },
  place: { type: "string", maxLength: 80 },
  at: MOMENT,
});

export const ADD_TO_BATCH = object(["requestKey", "batchId", "ingredientId", "amount"], {
  requestKey: REQUEST_KEY,
  batchId: ROW_ID,
  ingredientId: ID,
  amount: POSITIVE_AMOUNT,
  at: MOMENT,
  /** Why a lot that is held goes in all the same. */
  overrideReason: { type: ["string", "null"], maxLength: 300 },
});

export const TAKE_FROM_BATCH = object(["requestKey", "batchId", "litres"], {
  requestKey: REQUEST_KEY,
  batchId: ROW_ID,
  litres: LITRES,
  at: MOMENT,
});

export const MOVE_TO_SHED = object(["requestKey", "storeId", "litres"], {
  requestKey: REQUEST_KEY,
  storeId: ROW_ID,
  litres: LITRES,
  at: MOMENT,
});

export const ADD_LAB_RESULT = object(["requestKey", "batchId", "nutrient", "gPerL"], {
  requestKey: REQUEST_KEY,
  batchId: ROW_ID,
  nutrient: { enum: NUTRIENT_IDS },
  gPerL: { type: "number", minimum: 0, maximum: 1500 },
  note: NOTE,
});

export const TAKE_BACK_WEIGHING = object(["requestKey", "measure", "ingredientId"], {
  requestKey: REQUEST_KEY,
  measure: { ...NAME, maxLength: 40 },
  ingredientId: ID,
});

export const WEIGH_MEASURE = object(["requestKey", "measure", "ingredientId", "amount"], {
  requestKey: REQUEST_KEY,
  measure: { ...NAME, maxLength: 40 },
  ingredientId: ID,
  amount: { type: "number", exclusiveMinimum: 0, maximum: 1000 },
});
