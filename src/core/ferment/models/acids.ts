import type { AcidModel } from "./types";

const COMMON = { cls: "acid", setting: "plain", smellTable: "B" } as const;

/** Plant, molasses and culture: under pH 4 in one to three weeks. */
export const PLANT_FERMENT: AcidModel = {
  ...COMMON,
  id: "B1_plant_ferment",
  temperatures: { referenceC: 25, minC: 3.3, optimumC: 36, maxC: 43.7 },
  startPh: 6,
  floorPh: 3.5,
  targetPh: 4,
  bestPh: 3.7,
  midpointD: 6.93,
  widthD: 1.5,
  keepsD: 120,
  agesD: 20,
  bubblesPerMin: 8,
  horizonH: 1800,
  volumeL: 100,
  repeatSpanH: 24,
  spoilChance: 0.04,
  prior: { farmSd: 0.18, batchSd: 0.18, secondSd: 0.15 },
  stuck: { chance: 0.08, meanShiftPh: 0.8, sdPh: 0.35 },
  daysRuleH: 336,
};

/** First rinse of rice with salt, sugar on the second day: seven to nine days. */
export const SALTED_RICE_WASH: AcidModel = {
  ...COMMON,
  id: "B2_ricewash_salt",
  temperatures: { referenceC: 25, minC: 0, optimumC: 29, maxC: 39 },
  startPh: 6.3,
  floorPh: 3.6,
  targetPh: 4,
  bestPh: 3.8,
  midpointD: 4.85,
  widthD: 1.2,
  keepsD: 90,
  agesD: 15,
  bubblesPerMin: 8,
  horizonH: 1080,
  volumeL: 20,
  repeatSpanH: 24,
  spoilChance: 0.04,
  prior: { farmSd: 0.13, batchSd: 0.13, secondSd: 0.13 },
  stuck: { chance: 0.05, meanShiftPh: 0.7, sdPh: 0.3 },
  daysRuleH: 192,
};

/** Plain rinse of rice: two to three days, layers part. */
export const RICE_WASH: AcidModel = {
  ...COMMON,
  id: "B3_ricewash",
  temperatures: { referenceC: 25, minC: 2, optimumC: 32, maxC: 41 },
  startPh: 6.5,
  floorPh: 3.9,
  targetPh: 4.6,
  bestPh: 4.3,
  midpointD: 1.6,
  widthD: 0.4,
  partsAtPh: { ph: 4.9, width: 0.25 },
  keepsD: 6,
  agesD: 3,
  bubblesPerMin: 6,
  horizonH: 480,
  volumeL: 20,
  repeatSpanH: 12,
  spoilChance: 0.05,
  prior: { farmSd: 0.15, batchSd: 0.15, secondSd: 0.15 },
  stuck: { chance: 0.05, meanShiftPh: 1, sdPh: 0.4 },
  daysRuleH: 60,
};

/** Milk soured with rice wash: the curd parts in five to seven days. */
export const SOUR_MILK: AcidModel = {
  ...COMMON,
  id: "B4_milk",
  temperatures: { referenceC: 25, minC: 2, optimumC: 32, maxC: 41 },
  startPh: 6.4,
  floorPh: 3.8,
  targetPh: 4.6,
  bestPh: 4.2,
  midpointD: 1.7,
  widthD: 0.55,
  curd: { timeD: 1.55, neededShare: 0.8 },
  keepsD: 14,
  agesD: 5,
  bubblesPerMin: 4,
  horizonH: 720,
  volumeL: 20,
  repeatSpanH: 12,
  spoilChance: 0.06,
  prior: { farmSd: 0.14, batchSd: 0.14, secondSd: 0.15 },
  stuck: { chance: 0.05, meanShiftPh: 1, sdPh: 0.4 },
  daysRuleH: 144,
};
