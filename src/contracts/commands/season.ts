import { ID } from "../parts";
import { list, nullable, NUMBER, object, TEXT } from "./parts";

const NAME = { type: "string", minLength: 1, maxLength: 120 } as const;
const DAY = { type: "integer", minimum: -1000, maximum: 2000 } as const;
const SPAN_D = { type: "integer", minimum: 0, maximum: 2000 } as const;
const AMOUNT = { type: "number", minimum: 0, maximum: 1_000_000 } as const;
const ABOVE = { type: "number", exclusiveMinimum: 0, maximum: 1_000_000 } as const;
const SHARE = { type: "number", exclusiveMinimum: 0, maximum: 1 } as const;
const MINUTES = { type: "number", minimum: 0, maximum: 100_000 } as const;
const COST = { type: "number", minimum: 0, maximum: 1_000_000 } as const;
const PRIORITY = { enum: [1, 2, 3] } as const;
const USE = { enum: ["food-safe", "manure"] } as const;

const KEEPING = {
  oneOf: [
    object(["living", "useD"], { living: { const: true }, useD: SPAN_D }),
    object(["living", "shelfD", "holdD"], { living: { const: false }, shelfD: SPAN_D, holdD: SPAN_D }),
  ],
} as const;
const INPUT = object(
  [
    "id",
    "vesselUse",
    "aerated",
    "fillShare",
    "yieldLPerL",
    "keeping",
    "work",
    "ingredients",
    "feeds",
    "wasteCostPerL",
    "weakCostPerL",
  ],
  {
    id: NAME,
    name: TEXT,
    method: ID,
    school: ID,
    vesselUse: USE,
    aerated: { type: "boolean" },
    vessels: list(NAME, 200),
    fillShare: object(["low", "high"], { low: SHARE, high: SHARE }),
    yieldLPerL: ABOVE,
    keeping: KEEPING,
    work: object(["fillMin", "dayMin", "closeMin"], { fillMin: MINUTES, dayMin: MINUTES, closeMin: MINUTES }),
    ingredients: list(object(["ingredient", "perL"], { ingredient: NAME, perL: AMOUNT }), 50),
    feeds: list(object(["input", "perL"], { input: NAME, perL: AMOUNT }), 20),
    wasteCostPerL: COST,
    weakCostPerL: COST,
  },
);
const INGREDIENT = object(["id", "unit", "lots", "forage", "pack"], {
  id: NAME,
  unit: { enum: ["kg", "L"] },
  lots: list(
    object(["id", "amount", "fromDay", "expiresDay"], { id: NAME, amount: AMOUNT, fromDay: DAY, expiresDay: DAY }),
    1000,
  ),
  forage: list(
    object(["fromDay", "toDay", "perWeek", "minPerUnit", "costPerUnit", "keepsD"], {
      fromDay: DAY,
      toDay: DAY,
      perWeek: AMOUNT,
      minPerUnit: MINUTES,
      costPerUnit: COST,
      keepsD: SPAN_D,
    }),
    100,
  ),
  pack: nullable(
    object(["amount", "cost", "leadD", "keepsD"], { amount: ABOVE, cost: COST, leadD: SPAN_D, keepsD: SPAN_D }),
  ),
});
const NAMED_DAY = { anyOf: [DAY, NAME] } as const;
const EVERY_D = { type: "integer", minimum: 1, maximum: 2000 } as const;
const TIMING = {
  oneOf: [
    object(["kind", "count", "everyD", "endBeforeD", "tolD"], {
      kind: { const: "series-before" },
      count: { type: "integer", minimum: 1, maximum: 200 },
      everyD: EVERY_D,
      endBeforeD: DAY,
      tolD: SPAN_D,
    }),
    object(["kind", "atD", "tolD"], { kind: { const: "once" }, atD: DAY, tolD: SPAN_D }),
    object(["kind", "fromDay", "everyD", "tolD"], {
      kind: { const: "calendar" },
      fromDay: DAY,
      everyD: EVERY_D,
      tolD: SPAN_D,
    }),
    object(["kind", "from", "until", "everyD", "tolD"], {
      kind: { const: "every" },
      from: NAMED_DAY,
      until: NAMED_DAY,
      everyD: EVERY_D,
      tolD: SPAN_D,
    }),
  ],
} as const;
const PROGRAMME = object(
  ["id", "input", "use", "crops", "mixRate", "partsWater", "timing", "minGapD", "beforeHarvestD", "priority", "work"],
  {
    id: NAME,
    input: NAME,
    use: NAME,
    crops: list(NAME, 200),
    mixRate: object(["amountL", "per"], { amountL: AMOUNT, per: { enum: ["m2", "plant", "time"] } }),
    partsWater: object(["default", "weakest"], { default: AMOUNT, weakest: AMOUNT }),
    timing: TIMING,
    minGapD: SPAN_D,
    beforeHarvestD: SPAN_D,
    priority: PRIORITY,
    work: object(["fixedMin", "per100Min"], { fixedMin: MINUTES, per100Min: MINUTES }),
  },
);
const DRAWS = list(object(["from", "amountL"], { from: NAME, amountL: NUMBER }), 200);
export const PLAN_BATCH = object(["id", "input", "vessel", "startDay", "readyDay", "emptyDay", "fillL"], {
  id: NAME,
  input: NAME,
  vessel: NAME,
  startDay: NUMBER,
  readyDay: NUMBER,
  emptyDay: NUMBER,
  fillL: NUMBER,
  discardL: NUMBER,
  feeds: DRAWS,
  running: { type: "boolean" },
  pinned: { type: "boolean" },
});
export const APPLICATION = object(["need", "day", "draws"], {
  need: NAME,
  day: NUMBER,
  draws: DRAWS,
  pinned: { type: "boolean" },
});
export const PURCHASE = object(["ingredient", "orderDay", "packs"], { ingredient: NAME, orderDay: DAY, packs: NUMBER });
export const FORAGED = object(["ingredient", "day", "amount"], { ingredient: NAME, day: DAY, amount: NUMBER });
export const DISCARD = object(["store", "amountL"], { store: NAME, amountL: NUMBER });
const SIDE = object(["input"], { input: NAME, use: NAME });

export const SEASON = object(
  [
    "format",
    "formatVersion",
    "name",
    "firstDay",
    "days",
    "nowDay",
    "labour",
    "airLines",
    "cans",
    "vessels",
    "inputs",
    "durations",
    "ingredients",
    "plantings",
    "programmes",
    "separations",
    "stores",
    "running",
    "applied",
  ],
  {
    format: { const: "ruchka-season" },
    formatVersion: { const: 1 },
    name: TEXT,
    firstDay: { type: "string", format: "date" },
    days: { type: "integer", minimum: 1, maximum: 800 },
    nowDay: { type: "integer", minimum: 0, maximum: 800 },
    labour: object(["weekMin", "costPerHour"], { weekMin: list(MINUTES, 200), costPerHour: COST }),
    airLines: { type: "integer", minimum: 0, maximum: 10_000 },
    cans: object(["volumeL", "count"], { volumeL: ABOVE, count: { type: "integer", minimum: 0, maximum: 10_000 } }),
    vessels: list(
      object(["id", "volumeL", "holds", "air", "cleanD", "fromDay", "toDay"], {
        id: NAME,
        volumeL: ABOVE,
        holds: list(USE, 2),
        air: { enum: ["none", "line", "own"] },
        cleanD: SPAN_D,
        fromDay: DAY,
        toDay: DAY,
      }),
      200,
    ),
    inputs: list(INPUT, 100),
    durations: list(
      object(["input", "daysByStart"], {
        input: NAME,
        vessels: list(NAME, 200),
        daysByStart: list(nullable({ type: "integer", minimum: 0, maximum: 2000 }), 800),
      }),
      5000,
    ),
    ingredients: list(INGREDIENT, 500),
    plantings: list(
      object(["id", "plot", "crop", "areaM2", "plants", "plantDay", "harvest", "stages"], {
        id: NAME,
        plot: NAME,
        crop: NAME,
        areaM2: AMOUNT,
        plants: AMOUNT,
        plantDay: DAY,
        harvest: nullable(object(["fromDay", "toDay"], { fromDay: DAY, toDay: DAY })),
        stages: list(object(["stage", "fromDay"], { stage: NAME, fromDay: DAY }), 20),
      }),
      2000,
    ),
    programmes: list(PROGRAMME, 500),
    separations: list(object(["a", "b", "apartD"], { a: SIDE, b: SIDE, apartD: SPAN_D }), 1000),
    needs: list(
      object(
        [
          "id",
          "planting",
          "programme",
          "seq",
          "part",
          "earliestDay",
          "latestDay",
          "preferredDay",
          "preferredL",
          "leastL",
          "priority",
          "workMin",
        ],
        {
          id: NAME,
          planting: NAME,
          programme: NAME,
          seq: { type: "integer" },
          part: { type: "integer", minimum: 0 },
          earliestDay: DAY,
          latestDay: DAY,
          preferredDay: DAY,
          preferredL: AMOUNT,
          leastL: AMOUNT,
          priority: PRIORITY,
          workMin: MINUTES,
        },
      ),
      20_000,
    ),
    stores: list(
      object(["id", "input", "onHandL", "fromDay", "expiresDay"], {
        id: NAME,
        input: NAME,
        onHandL: AMOUNT,
        fromDay: DAY,
        expiresDay: DAY,
      }),
      2000,
    ),
    running: list(
      object(["id", "input", "vessel", "startDay", "readyDay", "fillL"], {
        id: NAME,
        input: NAME,
        vessel: NAME,
        startDay: DAY,
        readyDay: DAY,
        fillL: AMOUNT,
        drawnL: AMOUNT,
        emptyDay: DAY,
      }),
      200,
    ),
    applied: list(
      object(["id", "planting", "programme", "seq", "day"], {
        id: NAME,
        planting: NAME,
        programme: NAME,
        seq: { type: "integer" },
        day: DAY,
      }),
      20_000,
    ),
    previous: nullable(
      object(["batches", "applications"], { batches: list(PLAN_BATCH, 5000), applications: list(APPLICATION, 20_000) }),
    ),
    weights: object(["unmet", "perUnmet", "perStart", "perLateDay", "nearD", "farD", "changeNear", "changeFar"], {
      unmet: object(["1", "2", "3"], { 1: AMOUNT, 2: AMOUNT, 3: AMOUNT }),
      perUnmet: AMOUNT,
      perStart: AMOUNT,
      perLateDay: AMOUNT,
      nearD: SPAN_D,
      farD: SPAN_D,
      changeNear: AMOUNT,
      changeFar: AMOUNT,
    }),
    closedWeekdays: list({ type: "integer", minimum: 0, maximum: 6 }, 6),
    forbidden: list(
      object(["input", "fromDay", "toDay"], { input: NAME, vessel: NAME, fromDay: DAY, toDay: DAY }),
      1000,
    ),
  },
);
