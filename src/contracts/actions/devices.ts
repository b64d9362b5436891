import { PLACE_KINDS } from "@/core/ferment/temperature/places";
import { PROBE_QUANTITIES } from "@/core/probe/plausible";
import { MOMENT, NAME, object, REQUEST_KEY, ROW_ID } from "../parts";

const PLACE = { anyOf: [ROW_ID, { type: "null" }] } as const;

export const ADD_DEVICE = object(["requestKey", "name", "kind", "vesselId", "token"], {
  requestKey: REQUEST_KEY,
  name: NAME,
  kind: { enum: ["station", "probe"] },
  /** null: it hangs in the air. */
  vesselId: PLACE,
  /** Made where it is shown; only its hash is kept. */
  token: { type: "string", pattern: "^[A-Za-z0-9_-]{32,128}$" },
});

export const PLACE_DEVICE = object(["requestKey", "deviceId", "vesselId"], {
  requestKey: REQUEST_KEY,
  deviceId: ROW_ID,
  vesselId: PLACE,
  at: MOMENT,
});

export const RETIRE_DEVICE = object(["requestKey", "deviceId"], { requestKey: REQUEST_KEY, deviceId: ROW_ID });

/** What a device posts to /api/readings: figures of any past hour, and, from a station, what it expects. */
export const POST_READINGS = object(["readings"], {
  readings: {
    type: "array",
    maxItems: 5000,
    items: object(["at", "quantity", "value"], {
      at: MOMENT,
      quantity: { enum: PROBE_QUANTITIES },
      value: { type: "number", minimum: -10_000, maximum: 10_000 },
    }),
  },
  forecast: object(["issuedAt", "hours"], {
    issuedAt: MOMENT,
    hours: {
      type: "array",
      maxItems: 400,
      items: object(["at", "airC"], {
        at: MOMENT,
        airC: { type: "number", minimum: -60, maximum: 60 },
        rainMm: { type: "number", minimum: 0, maximum: 300 },
        windMPerS: { type: "number", minimum: 0, maximum: 80 },
      }),
    },
  }),
});

export const IMPORT_LOGGER = object(["requestKey", "name", "vesselId", "text", "zone", "column", "unit"], {
  requestKey: REQUEST_KEY,
  name: NAME,
  vesselId: PLACE,
  text: { type: "string", minLength: 1, maxLength: 8_000_000 },
  /** A time zone by name, where the file's times have none of their own. */
  zone: { type: "string", minLength: 1, maxLength: 60 },
  column: { type: "string", minLength: 1, maxLength: 80 },
  unit: { enum: ["°C", "°F", "pH"] },
});

export const RESET_LEARNING = object(["requestKey", "modelId", "reason"], {
  requestKey: REQUEST_KEY,
  modelId: { type: "string", pattern: "^[A-Za-z0-9_]{1,40}$" },
  reason: { type: "string", minLength: 1, maxLength: 200 },
});

export const SHARE_TASK = object(["requestKey", "batchId", "act", "personId", "slot"], {
  requestKey: REQUEST_KEY,
  batchId: ROW_ID,
  act: { type: "string", pattern: "^[a-z-]{1,20}$" },
  personId: { anyOf: [ROW_ID, { type: "null" }] },
  slot: { enum: ["morning", "midday", "evening", null] },
});

const WARMTH_C = { type: "number", minimum: -20, maximum: 60 } as const;

/** Where a vessel stands; how warm it is there where somebody knows, °C. */
export const SAY_PLACE = object(["requestKey", "vesselId", "kind"], {
  requestKey: REQUEST_KEY,
  vesselId: ROW_ID,
  kind: { enum: PLACE_KINDS },
  lowC: WARMTH_C,
  highC: WARMTH_C,
});

export const DEVICE_SCHEMAS = {
  addDevice: ADD_DEVICE,
  placeDevice: PLACE_DEVICE,
  retireDevice: RETIRE_DEVICE,
  postReadings: POST_READINGS,
  importLogger: IMPORT_LOGGER,
  resetLearning: RESET_LEARNING,
  shareTask: SHARE_TASK,
  sayPlace: SAY_PLACE,
} as const;
