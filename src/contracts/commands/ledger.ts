import { list, object, TEXT } from "./parts";

const NAME = { type: "string", minLength: 1, maxLength: 80 } as const;
const ON = { type: "string", format: "date" } as const;
const MONEY = { type: "number", minimum: 0 } as const;
const COUNT = { type: "number", minimum: 0 } as const;
const QUANTITY = object(["value", "unit"], { value: COUNT, unit: TEXT });
const MOST = 50_000;

export const LEDGER_INPUT = object(["currency", "rates", "lots", "batches"], {
  currency: object(["code", "minor"], { code: NAME, minor: { enum: [0, 2, 3] } }),
  basis: { enum: ["free-at-nought", "gathering-priced"] },
  rates: object([], { labourPerHour: MONEY, powerPerKWh: MONEY, waterPerM3: MONEY, gatherPerHour: MONEY }),
  lots: list(
    object(["id", "item", "on", "amount"], {
      id: NAME,
      item: NAME,
      on: ON,
      amount: QUANTITY,
      cost: MONEY,
      free: { type: "boolean" },
      gatherMin: COUNT,
    }),
    MOST,
  ),
  lotWaste: list(
    object(["lot", "on", "amount", "reason"], { lot: NAME, on: ON, amount: QUANTITY, reason: TEXT }),
    MOST,
  ),
  vessels: list(object(["id", "cost", "lifeDays"], { id: NAME, cost: MONEY, salvage: MONEY, lifeDays: COUNT }), MOST),
  batches: list(
    object(["id", "start"], {
      id: NAME,
      start: ON,
      outcome: { enum: ["running", "strained", "discarded"] },
      yield: QUANTITY,
      draws: list(object(["item", "amount"], { item: NAME, amount: QUANTITY, on: ON, lot: NAME })),
      feeds: list(object(["batch", "amount"], { batch: NAME, amount: QUANTITY, on: ON })),
      labour: list(object(["act", "min"], { act: TEXT, min: COUNT, perHour: MONEY })),
      water: QUANTITY,
      power: list(object(["device"], { device: TEXT, watts: COUNT, hours: COUNT, kWh: COUNT })),
      consumables: list(object(["name", "cost"], { name: TEXT, cost: MONEY })),
      vessel: object(["id", "days"], { id: NAME, days: COUNT }),
      residue: list(object(["name", "value"], { name: TEXT, value: MONEY, into: NAME })),
      nGPerL: COUNT,
      kGPerL: COUNT,
    }),
    MOST,
  ),
  uses: list(
    object(["id", "on", "batch", "amount", "plots"], {
      id: NAME,
      on: ON,
      batch: NAME,
      amount: QUANTITY,
      labourMin: COUNT,
      plots: list(object(["id"], { id: NAME, mix: QUANTITY })),
    }),
    MOST,
  ),
  waste: list(
    object(["batch", "on", "amount", "reason"], { batch: NAME, on: ON, amount: QUANTITY, reason: TEXT }),
    MOST,
  ),
  plots: list(object(["id"], { id: NAME, crop: TEXT, area: QUANTITY }), MOST),
  instead: object(["name", "price"], {
    name: TEXT,
    price: MONEY,
    covers: QUANTITY,
    nGPerPack: COUNT,
    kGPerPack: COUNT,
  }),
  corrections: list(object(["lot", "cost", "knownOn"], { lot: NAME, cost: MONEY, knownOn: ON }), MOST),
  asOf: ON,
  closedThrough: ON,
});
export const LEDGER_OUTPUT = {
  type: "object",
  required: [
    "batches",
    "uses",
    "plots",
    "crops",
    "losses",
    "in",
    "out",
    "totalIn",
    "totalOut",
    "balanced",
    "vessels",
    "instead",
    "assumed",
    "restated",
  ],
  properties: { balanced: { const: true } },
} as const;
