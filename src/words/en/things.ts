/** Kinds of things that are set up: one of them, several, and the button that adds one. */
export const THING_NAMES = {
  "person": { one: "person", many: "People" },
  "vessel": { one: "vessel", many: "Vessels" },
  "tool": { one: "can or sprayer", many: "Cans and sprayers" },
  "water": { one: "water source", many: "Water" },
  "equipment": { one: "equipment", many: "Equipment" },
  "own-ingredient": { one: "own ingredient", many: "Own ingredients" },
  "gathering-place": { one: "gathering place", many: "Gathering places" },
  "worm-bin": { one: "worm bin", many: "Worm bins" },
  "device": { one: "sensor", many: "Sensors" },
} as const;

/** How a thing stands. */
export const STATE_WORDS = {
  "in-use": "in use",
  "lent": "lent out",
  "repair": "in repair",
  "retired": "put away",
} as const;

/** How a batch ended. */
export const ENDED_WORDS = {
  "strained": "strained",
  "discarded": "thrown away",
  "taken-back": "start undone",
} as const;

/** Of a lot that came into stock with the batch that it went into. */
export const sayCameWith = (batchId: number, origin: string): string =>
  origin === "foraged" ? `picked for batch ${batchId}` : `not in stock before, came with batch ${batchId}`;

/** What a gathering place gives. */
export const GATHERED_WORDS = { "leaf-mould": "leaf mould", "plants": "plants", "seaweed": "seaweed" } as const;

/** From when on what was made keeps. */
export const KEEPS_FROM_WORDS = {
  "air-off": "when the air stops",
  "ready": "when it is ready",
  "strained": "straining",
  "closed": "closing it",
  "made": "the day it is made",
} as const;
