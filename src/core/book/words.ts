/** The closed lists of words that a grower taps when looking at a batch. */
export const SMELLS = [
  "raw sweet",
  "fresh green",
  "yeasty",
  "fruity",
  "cidery",
  "yogurt-sour",
  "vinegar",
  "earthy",
  "neutral",
  "fishy",
  "ammonia",
  "sulphur",
  "putrid",
] as const;
export const SURFACES = [
  "still",
  "fine bubbles",
  "ring at the wall",
  "patches",
  "full head",
  "thick fine head",
  "collapsing",
  "flat",
] as const;
export const FILMS = ["none", "thin pale", "white bubbly", "white fuzzy", "coloured mould", "maggots"] as const;
export const SOLIDS = ["floating", "sunk", "bleached", "slimy", "spongy"] as const;

export const LIQUIDS = ["clear", "cloudy", "thick", "dark", "separated"] as const;
/** Solid starters and heaps: how a fistful feels. */
export const TEXTURES = ["dry", "sponge", "dripping", "white threads", "crumbles"] as const;
export const WARMTHS = ["cool", "warm"] as const;
/** What a drop under a microscope shows, as far as a grower can tell: never a name. */
export const UNDER_LENS = ["much moves", "little moves", "nothing moves"] as const;

export const SIGN_WORDS = {
  smell: SMELLS,
  surface: SURFACES,
  film: FILMS,
  solids: SOLIDS,
  liquid: LIQUIDS,
  texture: TEXTURES,
  warmth: WARMTHS,
  lens: UNDER_LENS,
} as const;
export type SignKind = keyof typeof SIGN_WORDS;
export const SIGN_KINDS = Object.keys(SIGN_WORDS) as readonly SignKind[];

/** What a grower does to a running batch, or finds has been done to it. */
export const ACTS = [
  "stirred",
  "vented",
  "topped-up",
  "fed",
  "air-on",
  "air-off",
  "pressed-under",
  "power-cut",
  "power-back",
  "moved",
  "moved-back",
  "heater-on",
  "heater-off",
  "wrapped",
  "unwrapped",
  "sealed",
  "opened",
  "flies-in",
  "lid-checked",
  "lid-off",
  "bag-out",
  "joined",
  "kept-on-air",
] as const;
export type Act = (typeof ACTS)[number];

export const PH_INSTRUMENTS = ["meter", "strip"] as const;
export type PhInstrument = (typeof PH_INSTRUMENTS)[number];
/** Where in the vessel a pH was read; only mid-depth stands for the batch. */
export const PH_SPOTS = ["mid-depth", "film", "lees"] as const;
export type PhSpot = (typeof PH_SPOTS)[number];

/** What is counted or measured besides pH and temperature: bubbles a minute, shares of the solids, the middle of a bed. */
export const MEASURES = {
  bubbles: { unit: "a minute", min: 0, max: 200 },
  sunk: { unit: "%", min: 0, max: 100 },
  parted: { unit: "%", min: 0, max: 100 },
  core: { unit: "°C", min: -10, max: 90 },
} as const;
export type MeasureKind = keyof typeof MEASURES;
export const MEASURE_KINDS = Object.keys(MEASURES) as readonly MeasureKind[];
