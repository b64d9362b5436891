/**
 * The made-up farm: Quillet Field, a community plot in a mild southern place. Nothing here is anybody's.
 * `hoursAgo` counts back from the moment the demo is made.
 */
export const FARM = {
  name: "Quillet Field",
  timeZone: "Etc/GMT-10",
  latitudeDeg: -37.5,
  longitudeDeg: 150,
  units: "metric",
  currency: "crowns",
  labourPerH: 14,
  powerPerKWh: 0.32,
  climateMeanC: 16,
  climateSwingC: 3,
} as const;

export const VESSELS = [
  { name: "Blue drum", kind: "drum", volumeL: 220, diameterM: 0.58, site: "lean-to", airW: 0 },
  { name: "Air drum", kind: "drum", volumeL: 200, diameterM: 0.57, site: "pump shed", airW: 60 },
  { name: "Tote", kind: "tote", volumeL: 1000, diameterM: 1.12, site: "pump shed", airW: 180 },
  { name: "Glass drum", kind: "drum", volumeL: 120, diameterM: 0.48, site: "glasshouse", airW: 0 },
  { name: "Pail one", kind: "pail", volumeL: 20, diameterM: 0.29, site: "bench", airW: 0 },
  { name: "Pail two", kind: "pail", volumeL: 30, diameterM: 0.33, site: "pump shed", airW: 12 },
  { name: "Crock", kind: "jar", volumeL: 12, diameterM: 0.25, site: "pantry", airW: 0 },
  { name: "Jar", kind: "jar", volumeL: 5, diameterM: 0.17, site: "pantry", airW: 0 },
] as const;

/** What each site is; of the bench nobody has said so yet. */
export const STANDS = [
  { site: "lean-to", kind: "shade" },
  { site: "pump shed", kind: "shed" },
  { site: "glasshouse", kind: "greenhouse" },
  { site: "pantry", kind: "indoors", lowC: 18, highC: 21 },
] as const;

export const TOOLS = [
  { name: "Can", kind: "can", volumeL: 10, stepMl: 10, partsWater: null },
  { name: "Knapsack", kind: "knapsack", volumeL: 16, stepMl: 1, partsWater: null },
  { name: "Injector", kind: "injector", volumeL: 60, stepMl: null, partsWater: 100 },
] as const;

/** [ingredient, amount, origin, days ago, cost of the lot, days it keeps or null] */
export const LOTS = [
  ["molasses", 6, "bought", 95, 19.5, 700],
  ["molasses", 20, "bought", 20, 58, 720],
  ["castings", 14, "home-made", 60, 4, null],
  ["castings", 45, "bought", 12, 63, null],
  ["rice-wash", 11, "home-made", 63, 0, 4],
  ["brown-sugar", 8, "bought", 70, 15.2, null],
  ["brown-sugar", 15, "bought", 8, 30, null],
  ["kelp-meal", 3, "bought", 80, 21, 500],
  ["rock-dust", 12, "bought", 200, 16, null],
  ["shell-meal", 2.5, "bought", 40, 14, 600],
  ["fish-hydrolysate", 2, "bought", 55, 17, 300],
  ["seaweed-extract", 1.5, "bought", 55, 22, 400],
  ["compost", 120, "home-made", 90, 12, null],
  ["leaf-mould", 6, "foraged", 25, 0, null],
  ["sea-salt", 1.8, "bought", 150, 2.4, null],
  ["potato", 9, "given", 9, 0, 40],
  ["rice", 10, "bought", 45, 18, 500],
  ["eggshell", 3.4, "home-made", 120, 0, null],
  ["vinegar", 6, "bought", 30, 7, 900],
  ["char", 22, "home-made", 110, 6, null],
  ["bran", 8, "bought", 28, 7.5, 120],
] as const;

/** Where things stand that are not on the long shelf. */
export const PLACES: Readonly<Record<string, string>> = {
  "molasses": "cool corner",
  "vinegar": "cool corner",
  "fish-hydrolysate": "cool corner",
  "castings": "bay by the gate",
  "compost": "bay by the gate",
  "leaf-mould": "shady side",
  "char": "bay by the gate",
  "bran": "feed bin",
  "rice": "feed bin",
};

/** The farm's waters; the tap's strip shows a little chloramine. */
export const WATERS = [
  { name: "Butt by the lean-to", kind: "rain" },
  { name: "Old well", kind: "well" },
  { name: "Yard tap", kind: "mains", freeMgPerL: 0.5, totalMgPerL: 0.55 },
] as const;

/** What is treated and lies nowhere on the plan. */
export const ELSEWHERE = [
  { name: "Long heap", kind: "compost-bin" },
  { name: "Seed-mix bench", kind: "potting-mix" },
  { name: "Porch pots", kind: "houseplants" },
  { name: "Goat straw", kind: "bedding" },
] as const;

type Stage = "bare" | "seedling" | "growing" | "flowering" | "fruiting" | "perennial";
interface BedPlan {
  readonly name: string;
  readonly crop: string;
  readonly stage: Stage;
  readonly widthM: number;
  readonly lengthM: number;
  readonly plants?: number;
  readonly leafEaten?: boolean;
  /** Days from now to the first harvest. */
  readonly harvestInD?: number;
}

export const BEDS: readonly BedPlan[] = [
  { name: "Bed 1", crop: "lettuce", stage: "growing", widthM: 1.2, lengthM: 12, leafEaten: true, harvestInD: 16 },
  { name: "Bed 2", crop: "chard", stage: "growing", widthM: 1.2, lengthM: 12, leafEaten: true, harvestInD: 9 },
  { name: "Bed 3", crop: "carrots", stage: "growing", widthM: 1.2, lengthM: 12, harvestInD: 45 },
  { name: "Bed 4", crop: "beetroot", stage: "growing", widthM: 1.2, lengthM: 12, harvestInD: 38 },
  { name: "Bed 5", crop: "broad beans", stage: "fruiting", widthM: 1.2, lengthM: 12, harvestInD: 12 },
  { name: "Bed 6", crop: "peas", stage: "flowering", widthM: 1.2, lengthM: 12, harvestInD: 20 },
  { name: "Bed 7", crop: "onions", stage: "growing", widthM: 1.2, lengthM: 12, harvestInD: 60 },
  { name: "Bed 8", crop: "leeks", stage: "seedling", widthM: 1.2, lengthM: 12, harvestInD: 150 },
  { name: "Bed 9", crop: "potatoes", stage: "flowering", widthM: 1.5, lengthM: 12, harvestInD: 40 },
  { name: "Bed 10", crop: "potatoes", stage: "growing", widthM: 1.5, lengthM: 12, harvestInD: 55 },
  { name: "Bed 11", crop: "tomatoes", stage: "growing", widthM: 1, lengthM: 12, plants: 28, harvestInD: 50 },
  { name: "Bed 12", crop: "peppers", stage: "growing", widthM: 1, lengthM: 12, plants: 30, harvestInD: 60 },
  { name: "Bed 13", crop: "cucumbers", stage: "seedling", widthM: 1, lengthM: 12, plants: 18, harvestInD: 55 },
  { name: "Bed 14", crop: "", stage: "bare", widthM: 1.2, lengthM: 11 },
  { name: "Bed 15", crop: "", stage: "bare", widthM: 1.2, lengthM: 11 },
  { name: "Bed 16", crop: "strawberries", stage: "fruiting", widthM: 1.2, lengthM: 11, plants: 55, harvestInD: 6 },
  { name: "Currant row", crop: "currants", stage: "perennial", widthM: 1.6, lengthM: 13, plants: 9, harvestInD: 30 },
  { name: "Apple row", crop: "apples", stage: "perennial", widthM: 2.4, lengthM: 13, plants: 5, harvestInD: 110 },
  { name: "Plum row", crop: "plums", stage: "perennial", widthM: 2.4, lengthM: 13, plants: 4, harvestInD: 60 },
  { name: "Herb strip", crop: "herbs", stage: "growing", widthM: 0.9, lengthM: 13, leafEaten: true },
];

/** What the farm gives its crops over the season. */
export const PROGRAMMES = [
  {
    name: "Fruit under glass",
    crops: ["tomatoes", "peppers", "cucumbers"],
    steps: [
      { methodId: "shell-calcium", use: "foliar", everyD: 21, from: "settling", to: "flowering" },
      { methodId: "cultured-extract", use: "drench-growing", everyD: 14, from: "growing", to: "fruiting" },
      { methodId: "plant-juice", use: "foliar", everyD: 21, from: "flowering", to: "fruiting" },
    ],
  },
  {
    name: "Roots and leeks",
    crops: ["carrots", "beetroot", "leeks", "onions"],
    steps: [
      { methodId: "aerated-tea", use: "drench-growing", everyD: 28, from: "growing", to: "growing" },
      { methodId: "cultured-extract", use: "drench-growing", everyD: 28, from: "growing", to: "growing" },
    ],
  },
] as const;

/** The middle path of the field, and how far apart beds and rows lie on either side of it, m. */
const PATH = { westM: 24.4, eastM: 28.6 } as const;
const FIRST_M = 3;
const BED_PITCH_M = 2.6;
const ROW_PITCH_M = 3.6;
const BEDS_A_SIDE = 8;

/** Where a bed lies: its head at the path, in turn on its west and its east; trees and strips below. Its corner on the plan, m. */
export function placeOf(index: number, { lengthM }: Pick<BedPlan, "lengthM">): readonly [number, number] {
  const row = Math.floor(index / 2);
  const yM =
    row < BEDS_A_SIDE
      ? FIRST_M + row * BED_PITCH_M
      : FIRST_M + BEDS_A_SIDE * BED_PITCH_M + 0.8 + (row - BEDS_A_SIDE) * ROW_PITCH_M;
  return [index % 2 === 0 ? PATH.westM - lengthM : PATH.eastM, yM];
}

/** What stands and runs on the land beside the beds. */
export const MARKS = [
  { kind: "fill-point", name: "Trestle", line: [[26.5, 0.6]], bufferM: 0 },
  { kind: "tap", name: "Yard tap", line: [[30.5, 0.6]], bufferM: 0 },
  { kind: "gate", name: "Gate", line: [[26.5, 34]], bufferM: 0 },
  { kind: "well", name: "Old well", line: [[4, 29]], bufferM: 10 },
  {
    kind: "stream",
    name: "Sedge Ditch",
    line: [
      [51, 8],
      [49.5, 15],
      [46.5, 21],
      [45.5, 27],
      [42, 34],
    ],
    bufferM: 5,
  },
] as const;
