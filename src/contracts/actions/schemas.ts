import { CARRIED } from "@/core/safety/carried";
import {
  ACTS,
  FILMS,
  LIQUIDS,
  PH_INSTRUMENTS,
  PH_SPOTS,
  SMELLS,
  SOLIDS,
  SURFACES,
  TEXTURES,
  UNDER_LENS,
  WARMTHS,
} from "@/core/book/words";
import { AMOUNT, DAY, ID, MINUTES, MOMENT, NAME, NOTE, object, REASON, REQUEST_KEY, ROW_ID } from "../parts";
import { DEVICE_SCHEMAS } from "./devices";
import { MIXING_SCHEMAS } from "./filling";
import { GATHER_SCHEMAS } from "./gather";
import { SHED_SCHEMAS } from "./shed";
import {
  ADD_LAB_RESULT,
  ADD_TO_BATCH,
  ADD_WATER_SOURCE,
  CHOOSE_RECIPE,
  MOVE_TO_SHED,
  READ_WATER,
  READ_WATER_LEVEL,
  SAVE_RECIPE,
  START_WATER,
  TAKE_FROM_BATCH,
  WATER_ASKED,
  WEIGH_MEASURE,
  TAKE_BACK_WEIGHING,
} from "./making";

export const SET_UP_FARM = object(
  [
    "requestKey",
    "name",
    "people",
    "timeZone",
    "latitudeDeg",
    "longitudeDeg",
    "units",
    "currency",
    "labourPerH",
    "powerPerKWh",
    "climateMeanC",
    "climateSwingC",
  ],
  {
    requestKey: REQUEST_KEY,
    name: NAME,
    people: { type: "array", minItems: 1, maxItems: 30, items: NAME },
    timeZone: { type: "string", minLength: 1, maxLength: 60 },
    latitudeDeg: { type: "number", minimum: -66, maximum: 66 },
    longitudeDeg: { type: "number", minimum: -180, maximum: 180 },
    units: { enum: ["metric", "us"] },
    currency: { type: "string", minLength: 1, maxLength: 16 },
    labourPerH: { type: "number", minimum: 0, maximum: 10000 },
    powerPerKWh: { type: "number", minimum: 0, maximum: 100 },
    climateMeanC: { type: "number", minimum: -10, maximum: 35 },
    climateSwingC: { type: "number", minimum: 0, maximum: 25 },
  },
);

export const ADD_VESSEL = object(["requestKey", "name", "kind", "volumeL"], {
  requestKey: REQUEST_KEY,
  name: { ...NAME, maxLength: 40 },
  kind: { enum: ["drum", "tote", "pail", "jar"] },
  volumeL: { type: "number", minimum: 0.1, maximum: 20000 },
  diameterM: { type: ["number", "null"], minimum: 0.03, maximum: 5 },
  site: { type: "string", maxLength: 60 },
  airW: { type: "number", minimum: 0, maximum: 10000 },
});

export const ADD_PLOT = object(["requestKey", "name", "stage", "widthM", "lengthM"], {
  requestKey: REQUEST_KEY,
  name: { ...NAME, maxLength: 40 },
  crop: { type: "string", maxLength: 60 },
  stage: { enum: ["bare", "seedling", "growing", "flowering", "fruiting", "perennial"] },
  widthM: { type: "number", minimum: 0.1, maximum: 1000 },
  lengthM: { type: "number", minimum: 0.1, maximum: 1000 },
  plants: { type: ["integer", "null"], minimum: 1, maximum: 1000000 },
  leafEaten: { type: "boolean" },
  harvestOn: { anyOf: [DAY, { type: "null" }] },
});

export const ADD_TOOL = object(["requestKey", "name", "kind", "volumeL"], {
  requestKey: REQUEST_KEY,
  name: { ...NAME, maxLength: 40 },
  kind: { enum: ["can", "knapsack", "injector"] },
  volumeL: { type: "number", minimum: 0.1, maximum: 2000 },
  stepMl: { type: ["number", "null"], exclusiveMinimum: 0, maximum: 1000 },
  partsWater: { type: ["number", "null"], minimum: 1, maximum: 5000 },
});

const entry = <const K extends string, const P extends Record<string, unknown>, const R extends readonly string[]>(
  kind: K,
  required: R,
  properties: P,
) => object(["kind", ...required], { kind: { const: kind }, ...properties });

export const LOG_ENTRY = object(["requestKey", "batchId", "entry"], {
  requestKey: REQUEST_KEY,
  batchId: ROW_ID,
  at: MOMENT,
  correctsId: { anyOf: [ROW_ID, { type: "null" }] },
  entry: {
    type: "object",
    required: ["kind"],
    discriminator: { propertyName: "kind" },
    oneOf: [
      entry("ph", ["value", "instrument", "spot"], {
        value: { type: "number", minimum: 0, maximum: 14 },
        instrument: { enum: PH_INSTRUMENTS },
        spot: { enum: PH_SPOTS },
        settled: { type: "boolean" },
      }),
      entry("temperature", ["celsius"], { celsius: { type: "number", minimum: -10, maximum: 80 } }),
      entry("smell", ["word"], { word: { enum: SMELLS } }),
      entry("surface", ["word"], { word: { enum: SURFACES } }),
      entry("film", ["word"], { word: { enum: FILMS } }),
      entry("solids", ["word"], { word: { enum: SOLIDS } }),
      entry("liquid", ["word"], { word: { enum: LIQUIDS } }),
      entry("texture", ["word"], { word: { enum: TEXTURES } }),
      entry("warmth", ["word"], { word: { enum: WARMTHS } }),
      entry("lens", ["word"], { word: { enum: UNDER_LENS } }),
      entry("bubbles", ["value"], { value: { type: "number", minimum: 0, maximum: 200 } }),
      entry("sunk", ["value"], { value: { type: "number", minimum: 0, maximum: 100 } }),
      entry("parted", ["value"], { value: { type: "number", minimum: 0, maximum: 100 } }),
      entry("core", ["value"], { value: { type: "number", minimum: -10, maximum: 90 } }),
      entry("act", ["act"], {
        act: { enum: ACTS },
        litres: { type: ["number", "null"], exclusiveMinimum: 0, maximum: 20000 },
        /** Of the place it went to, or of the thermostat. */
        celsius: { type: ["number", "null"], minimum: -10, maximum: 60 },
      }),
      entry("note", ["note"], { note: { type: "string", minLength: 1, maxLength: 500 } }),
      entry("withdrawn", [], {}),
    ],
  },
});

export const CLOSE_BATCH = object(["requestKey", "batchId", "kind", "yieldL", "residue", "labourMin"], {
  requestKey: REQUEST_KEY,
  batchId: ROW_ID,
  kind: { enum: ["strained", "discarded"] },
  at: MOMENT,
  yieldL: AMOUNT,
  /** Where what was made is weighed. */
  yieldKg: { type: ["number", "null"], exclusiveMinimum: 0, maximum: 20000 },
  /** It serves other recipes: into the shed, as a lot. */
  intoShed: { type: "boolean" },
  residue: { type: "string", minLength: 1, maxLength: 80 },
  residueKg: { type: ["number", "null"], minimum: 0, maximum: 20000 },
  labourMin: MINUTES,
  atOnce: { type: "boolean" },
  label: { type: "string", maxLength: 60 },
  place: { type: "string", maxLength: 80 },
  container: { enum: ["breathable", "sealed", "vented"] },
  overrideReason: REASON,
  note: NOTE,
});

export const CLEAN_VESSEL = object(["requestKey", "vesselId"], {
  requestKey: REQUEST_KEY,
  vesselId: ROW_ID,
  at: MOMENT,
});

export const APPLY_STORE = object(
  ["requestKey", "storeId", "useId", "ratio", "mixRateL", "mixRatePer", "toolId", "plotIds", "labourMin"],
  {
    requestKey: REQUEST_KEY,
    storeId: ROW_ID,
    useId: ID,
    ratio: { type: "string", minLength: 1, maxLength: 40 },
    mixRateL: { type: "number", exclusiveMinimum: 0, maximum: 1000 },
    mixRatePer: { enum: ["m2", "plant"] },
    toolId: ROW_ID,
    plotIds: { type: "array", minItems: 1, maxItems: 5000, uniqueItems: true, items: ROW_ID },
    at: MOMENT,
    labourMin: MINUTES,
    overrideReason: REASON,
    /** What it was thinned with; null where it goes on undiluted. */
    water: { anyOf: [WATER_ASKED, { type: "null" }] },
  },
);

export const SET_HARVEST_RULE = object(["requestKey", "hazard", "touchingD", "clearD", "source"], {
  requestKey: REQUEST_KEY,
  hazard: { enum: CARRIED },
  touchingD: { type: "integer", minimum: 0, maximum: 730 },
  clearD: { type: "integer", minimum: 0, maximum: 730 },
  /** Whose rule it is. */
  source: { type: "string", minLength: 2, maxLength: 160 },
});

/** Every write that crosses the wire, by the name of its compiled validator. */
export const ACTION_SCHEMAS = {
  setUpFarm: SET_UP_FARM,
  addVessel: ADD_VESSEL,
  ...SHED_SCHEMAS,
  ...GATHER_SCHEMAS,
  ...MIXING_SCHEMAS,
  ...DEVICE_SCHEMAS,
  addPlot: ADD_PLOT,
  addTool: ADD_TOOL,
  logEntry: LOG_ENTRY,
  closeBatch: CLOSE_BATCH,
  cleanVessel: CLEAN_VESSEL,
  applyStore: APPLY_STORE,
  setHarvestRule: SET_HARVEST_RULE,
  saveRecipe: SAVE_RECIPE,
  chooseRecipe: CHOOSE_RECIPE,
  addWaterSource: ADD_WATER_SOURCE,
  readWater: READ_WATER,
  readWaterLevel: READ_WATER_LEVEL,
  startWater: START_WATER,
  addToBatch: ADD_TO_BATCH,
  takeFromBatch: TAKE_FROM_BATCH,
  moveToShed: MOVE_TO_SHED,
  addLabResult: ADD_LAB_RESULT,
  weighMeasure: WEIGH_MEASURE,
  takeBackWeighing: TAKE_BACK_WEIGHING,
} as const;
export type ActionName = keyof typeof ACTION_SCHEMAS;
