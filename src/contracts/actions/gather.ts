import { BALL_WORDS } from "@/core/gather/wormBin";
import { DAY, ID, MOMENT, NAME, NOTE, object, POSITIVE_AMOUNT, REASON, REQUEST_KEY, ROW_ID } from "../parts";

const KG = { type: "number", minimum: 0, maximum: 5000 } as const;

export const RECORD_PICK = object(["requestKey", "species", "part", "ingredientId", "amount", "place", "pickedOn"], {
  requestKey: REQUEST_KEY,
  species: { ...NAME, maxLength: 60 },
  part: { enum: ["growing tips", "leaves", "flowers", "fruit", "roots", "whole plant", "stems"] },
  ingredientId: ID,
  amount: POSITIVE_AMOUNT,
  place: { ...NAME, maxLength: 80 },
  /** Crops that it is meant for, so that none gets its own kin. */
  crops: { type: "array", maxItems: 40, items: { type: "string", maxLength: 60 } },
  pickedOn: DAY,
  herbicideSuspected: { type: "boolean" },
  overrideReason: REASON,
  note: NOTE,
});

export const ADD_FORAGE_PLACE = object(["requestKey", "name", "kind", "restD"], {
  requestKey: REQUEST_KEY,
  name: { ...NAME, maxLength: 60 },
  kind: { enum: ["leaf-mould", "plants", "seaweed"] },
  ground: NOTE,
  permission: { type: "string", maxLength: 120 },
  restD: { type: "integer", minimum: 0, maximum: 3650 },
});

export const VISIT_FORAGE = object(["requestKey", "placeId", "vigour", "onDay"], {
  requestKey: REQUEST_KEY,
  placeId: ROW_ID,
  vigour: { enum: ["strong", "weak", "none"] },
  onDay: DAY,
  /** What was taken; nothing for a look. */
  takenKg: { type: ["number", "null"], exclusiveMinimum: 0, maximum: 500 },
  note: NOTE,
  overrideReason: REASON,
});

export const ADD_WORM_BIN = object(["requestKey", "name", "wormsKg"], {
  requestKey: REQUEST_KEY,
  name: { ...NAME, maxLength: 60 },
  wormsKg: { type: "number", exclusiveMinimum: 0, maximum: 500 },
});

export const NOTE_WORM_BIN = object(["requestKey", "binId", "kind", "kg"], {
  requestKey: REQUEST_KEY,
  binId: ROW_ID,
  kind: { enum: ["fed", "harvested", "weighed", "note"] },
  kg: KG,
  what: { type: "string", maxLength: 120 },
  /** How a handful of what was taken held. */
  ball: { enum: [...BALL_WORDS, null] },
  plasticPicked: { type: "boolean" },
  overrideReason: REASON,
  at: MOMENT,
});

export const GATHER_SCHEMAS = {
  recordPick: RECORD_PICK,
  addForagePlace: ADD_FORAGE_PLACE,
  visitForage: VISIT_FORAGE,
  addWormBin: ADD_WORM_BIN,
  noteWormBin: NOTE_WORM_BIN,
} as const;
