import { EQUIPMENT_KINDS } from "@/core/equipment/needs";
import { ANIMALS, CHAR_SOURCES, DUNG_AGES, URINE_DONORS } from "@/core/safety/provenance";
import { LOT_HAPPENINGS } from "@/core/stock/lotState";
import { STORE_CHECKS } from "@/core/stock/storeChecks";
import { AMOUNT, DAY, ID, MOMENT, NAME, NOTE, object, POSITIVE_AMOUNT, REASON, REQUEST_KEY, ROW_ID } from "../parts";
import { VERSION_NO } from "./making";

const orNull = <const S>(schema: S) => ({ anyOf: [schema, { type: "null" }] }) as const;
const SHORT = { type: "string", maxLength: 80 } as const;
const NEEDED_REASON = { type: "string", minLength: 1, maxLength: 200, pattern: "\\S" } as const;
const MONEY = { type: "number", minimum: 0, maximum: 1000000 } as const;

/** Where a lot came from, as far as it matters to who eats what it feeds. */
export const PROVENANCE = object([], {
  dung: orNull(
    object(["animal", "age", "heapedOn"], {
      animal: { enum: ANIMALS },
      age: { enum: DUNG_AGES },
      heapedOn: orNull(DAY),
    }),
  ),
  urine: orNull(
    object(["donor", "collectedFrom", "collectedUntil", "medicine"], {
      donor: { enum: URINE_DONORS },
      collectedFrom: DAY,
      collectedUntil: DAY,
      medicine: { type: "boolean" },
    }),
  ),
  charSource: orNull({ enum: CHAR_SOURCES }),
  plant: orNull(
    object(["species", "part", "place"], { species: { ...NAME, maxLength: 60 }, part: SHORT, place: SHORT }),
  ),
  herbicideSuspected: { type: "boolean" },
  storedHot: { type: "boolean" },
  firstRinse: orNull(object(["riceKg", "rinseL"], { riceKg: POSITIVE_AMOUNT, rinseL: POSITIVE_AMOUNT })),
  overrideReason: orNull(REASON),
});

export const RECEIVE_LOT = object(["requestKey", "ingredientId", "amount", "origin", "receivedOn", "cost"], {
  requestKey: REQUEST_KEY,
  ingredientId: ID,
  /** One of the farm's own ingredients, a kind of the one above. */
  ownId: orNull(ROW_ID),
  amount: POSITIVE_AMOUNT,
  origin: { enum: ["bought", "foraged", "home-made", "given"] },
  receivedOn: DAY,
  cost: MONEY,
  expiresOn: orNull(DAY),
  openedOn: orNull(DAY),
  place: SHORT,
  note: NOTE,
  provenance: PROVENANCE,
});

export const WASTE_LOT = object(["requestKey", "lotId", "amount", "reason"], {
  requestKey: REQUEST_KEY,
  lotId: ROW_ID,
  amount: POSITIVE_AMOUNT,
  reason: NEEDED_REASON,
  /** Used for something that is no batch; else it is waste. */
  usedElsewhere: { type: "boolean" },
  at: MOMENT,
});

export const CORRECT_MOVEMENT = object(["requestKey", "movementId", "amount", "reason"], {
  requestKey: REQUEST_KEY,
  movementId: ROW_ID,
  /** What it should have said, without a sign. */
  amount: AMOUNT,
  reason: NEEDED_REASON,
});

export const COUNT_STOCK = object(["requestKey", "lines"], {
  requestKey: REQUEST_KEY,
  /** What was found of each lot. */
  lines: {
    type: "array",
    minItems: 1,
    maxItems: 5000,
    items: object(["lotId", "counted"], { lotId: ROW_ID, counted: AMOUNT, expected: AMOUNT }),
  },
  note: NOTE,
});

export const NOTE_LOT = object(["requestKey", "lotId", "kind", "onDay"], {
  requestKey: REQUEST_KEY,
  lotId: ROW_ID,
  kind: { enum: LOT_HAPPENINGS },
  word: NOTE,
  onDay: DAY,
});

export const ADD_OWN_INGREDIENT = object(["requestKey", "name", "countsAs"], {
  requestKey: REQUEST_KEY,
  name: { ...NAME, maxLength: 60 },
  countsAs: ID,
  densityKgPerL: { type: ["number", "null"], minimum: 0.02, maximum: 5 },
  keepsD: { type: ["integer", "null"], minimum: 1, maximum: 10000 },
  season: { type: "array", uniqueItems: true, maxItems: 4, items: { enum: ["spring", "summer", "autumn", "winter"] } },
  caution: { type: "string", maxLength: 300 },
  keeping: NOTE,
});

export const SET_SUPPLY = object(["requestKey", "itemId", "packName", "packAmount"], {
  requestKey: REQUEST_KEY,
  itemId: ID,
  packName: { ...NAME, maxLength: 30 },
  packAmount: POSITIVE_AMOUNT,
  packCost: orNull(MONEY),
  leadD: { type: "integer", minimum: 0, maximum: 365 },
  reorderAt: orNull(AMOUNT),
  target: orNull(POSITIVE_AMOUNT),
  note: NOTE,
});

export const PLAN_BATCH = object(["requestKey", "methodId", "schoolId", "basisAmount", "forDay"], {
  requestKey: REQUEST_KEY,
  methodId: ID,
  schoolId: ID,
  versionNo: VERSION_NO,
  vesselId: orNull(ROW_ID),
  basisAmount: POSITIVE_AMOUNT,
  forDay: DAY,
  substitutes: { type: "array", maxItems: 20, items: object(["instead", "use"], { instead: ID, use: ID }) },
  stated: {
    type: "array",
    maxItems: 20,
    items: object(["ingredient", "amount"], { ingredient: ID, amount: POSITIVE_AMOUNT }),
  },
  include: { type: "array", maxItems: 20, items: ID },
  note: NOTE,
});

export const DROP_PLAN = object(["requestKey", "planId"], { requestKey: REQUEST_KEY, planId: ROW_ID, note: NOTE });

const LITRES = { type: "number", exclusiveMinimum: 0, maximum: 20000 } as const;
export const EMPTY_STORE = object(["requestKey", "storeId", "litres", "to", "reason"], {
  requestKey: REQUEST_KEY,
  storeId: ROW_ID,
  litres: LITRES,
  to: { enum: ["composted", "bare-ground", "wasted"] },
  reason: NEEDED_REASON,
  at: MOMENT,
});

export const COUNT_STORE = object(["requestKey", "storeId", "litres"], {
  requestKey: REQUEST_KEY,
  storeId: ROW_ID,
  litres: { type: "number", minimum: 0, maximum: 20000 },
  reason: NOTE,
});

export const KEEP_STORE = object(["requestKey", "storeId", "until", "reason"], {
  requestKey: REQUEST_KEY,
  storeId: ROW_ID,
  until: DAY,
  reason: NEEDED_REASON,
});

export const CHECK_STORE = object(["requestKey", "storeId", "kind"], {
  requestKey: REQUEST_KEY,
  storeId: ROW_ID,
  kind: { enum: STORE_CHECKS },
  ph: { type: ["number", "null"], minimum: 0, maximum: 14 },
  note: NOTE,
  at: MOMENT,
});

export const POUR_STORE = object(["requestKey", "storeId", "parts"], {
  requestKey: REQUEST_KEY,
  storeId: ROW_ID,
  parts: {
    type: "array",
    minItems: 1,
    maxItems: 40,
    items: object(["litres", "label", "container"], {
      litres: LITRES,
      label: { ...NAME, maxLength: 60 },
      container: { enum: ["breathable", "sealed", "vented"] },
      place: SHORT,
    }),
  },
  at: MOMENT,
});

export const ADD_EQUIPMENT = object(["requestKey", "kind", "name"], {
  requestKey: REQUEST_KEY,
  kind: { enum: EQUIPMENT_KINDS },
  name: { ...NAME, maxLength: 60 },
  count: { type: "integer", minimum: 1, maximum: 1000 },
  size: { type: ["number", "null"], exclusiveMinimum: 0, maximum: 100000 },
  outlets: { type: ["integer", "null"], minimum: 1, maximum: 100 },
  note: NOTE,
});

export const NOTE_EQUIPMENT = object(["requestKey", "equipmentId", "kind"], {
  requestKey: REQUEST_KEY,
  equipmentId: ROW_ID,
  kind: { enum: ["used", "washed", "calibrated", "broken", "mended"] },
  batchId: orNull(ROW_ID),
  note: NOTE,
  at: MOMENT,
});

/** A CSV, already in letters; its rows are looked at by the service. */
export const IMPORT_FILE = object(["requestKey", "kind", "text"], {
  requestKey: REQUEST_KEY,
  kind: { enum: ["ingredients", "lots", "stock"] },
  text: { type: "string", maxLength: 8_000_000 },
});

export const SHED_SCHEMAS = {
  importFile: IMPORT_FILE,
  receiveLot: RECEIVE_LOT,
  wasteLot: WASTE_LOT,
  correctMovement: CORRECT_MOVEMENT,
  countStock: COUNT_STOCK,
  noteLot: NOTE_LOT,
  addOwnIngredient: ADD_OWN_INGREDIENT,
  setSupply: SET_SUPPLY,
  planBatch: PLAN_BATCH,
  dropPlan: DROP_PLAN,
  emptyStore: EMPTY_STORE,
  countStore: COUNT_STORE,
  keepStore: KEEP_STORE,
  checkStore: CHECK_STORE,
  pourStore: POUR_STORE,
  addEquipment: ADD_EQUIPMENT,
  noteEquipment: NOTE_EQUIPMENT,
} as const;
