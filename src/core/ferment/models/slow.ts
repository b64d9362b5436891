import type { BedModel, CharModel, DrawnModel, ShellModel, SoakModel } from "./types";

/** Plant under sugar: five to seven days at 20 to 25 °C, up to ten in a cellar. Cold slows diffusion less than life, hence the low minimum. */
export const SUGAR_DRAWN: DrawnModel = {
  id: "C1_sugar_extract",
  cls: "drawn",
  temperatures: { referenceC: 22.5, minC: -10, optimumC: 34, maxC: 48 },
  lagD: 0.5,
  startD: 5.4,
  peakD: 6.4,
  endD: 10,
  partsD: 2.35,
  bubblesPerMin: 3,
  horizonH: 960,
  volumeL: 10,
  setting: "plain",
  repeatSpanH: 24,
  smellTable: "C",
  spoilChance: 0.03,
  prior: { farmSd: 0.1, batchSd: 0.12, secondSd: 0.3 },
  daysRuleH: 144,
};

/** Eggshell in vinegar. Stoichiometry is chemistry; the pace is fitted, the activation energy judged from the literature on calcite. */
export const SHELL_IN_ACID: ShellModel = {
  id: "D1_shell_acid",
  cls: "shell",
  temperatures: { referenceC: 20, activationJPerMol: 38_000 },
  ratePerD: 0.19,
  doseExponent: 0.8,
  shrinkExponent: 2 / 3,
  acidLeft: 0.02,
  acidPercent: 5,
  purity: 0.95,
  lPerKg: 10,
  sizeFactor: 1,
  startExtent: 0.9,
  doneExtent: 0.95,
  bubblesPerMin: 60,
  horizonH: 1440,
  volumeL: 20,
  setting: "plain",
  repeatSpanH: 24,
  smellTable: null,
  spoilChance: 0.005,
  prior: { farmSd: 0.22, batchSd: 0.25, secondSd: 0.12 },
  daysRuleH: 240,
};

const SOAK = { cls: "soak", bubblesPerMin: 0, setting: "plain" } as const;

/** Leaves and leaf mould in water: one to two weeks in the warm, months in the cold. */
export const PLANT_SOAK: SoakModel = {
  ...SOAK,
  id: "E1_plant_soak",
  temperatures: { referenceC: 26, minC: 2, optimumC: 35, maxC: 46 },
  lagD: 1.5,
  startD: 9,
  peakD: 14,
  endD: 120,
  horizonH: 3600,
  volumeL: 100,
  repeatSpanH: 24,
  smellTable: "E1",
  spoilChance: 0.03,
  prior: { farmSd: 0.25, batchSd: 0.25, secondSd: 0.3 },
  daysRuleH: 240,
};

/** Dung, raw sugar and pulse flour: a week in the shade. */
export const DUNG_WITH_SUGAR: SoakModel = {
  ...SOAK,
  id: "E2_dung_sugar",
  temperatures: { referenceC: 27, minC: 4, optimumC: 36, maxC: 46 },
  lagD: 1,
  startD: 6,
  peakD: 7,
  endD: 14,
  horizonH: 1080,
  volumeL: 200,
  repeatSpanH: 24,
  smellTable: "E2",
  spoilChance: 0.05,
  prior: { farmSd: 0.15, batchSd: 0.17, secondSd: 0.3 },
  daysRuleH: 168,
};

/** A sack in a drum: two weeks open and stirred, two weeks closed. */
export const SACK_IN_DRUM: SoakModel = {
  ...SOAK,
  id: "E3_sack_drum",
  temperatures: { referenceC: 25, minC: 3, optimumC: 36, maxC: 46 },
  lagD: 1.5,
  startD: 28,
  peakD: 30,
  endD: 180,
  sealD: 14,
  horizonH: 4800,
  volumeL: 200,
  repeatSpanH: 48,
  smellTable: "E1",
  spoilChance: 0.03,
  prior: { farmSd: 0.2, batchSd: 0.2, secondSd: 0.3 },
  daysRuleH: 672,
};

/** Char in a feeding bath: two weeks, better four. */
export const CHAR_CHARGING: CharModel = {
  id: "F1_char_charge",
  cls: "char",
  temperatures: { referenceC: 22, minC: -12, optimumC: 38, maxC: 55 },
  startD: 14,
  peakD: 28,
  sunkAtStart: 0.15,
  sunkInTheEnd: 0.9,
  sinkD: 7,
  bubblesPerMin: 0,
  horizonH: 2880,
  volumeL: 200,
  setting: "plain",
  repeatSpanH: 72,
  smellTable: null,
  spoilChance: 0.005,
  prior: { farmSd: 0.2, batchSd: 0.22, secondSd: 0.08 },
  daysRuleH: 336,
};

/** Bran, leaf mould and leaves, packed: seven to ten days, and it warms itself. */
export const BRAN_BED: BedModel = {
  id: "G1_bran_starter",
  cls: "bed",
  temperatures: { referenceC: 25, minC: 4, optimumC: 36, maxC: 46 },
  lagD: 0.7,
  startD: 8.5,
  peakD: 10,
  endD: 90,
  heatMidD: 2.6,
  heatWidthD: 0.7,
  greatestRiseK: 5.5,
  bubblesPerMin: 6,
  horizonH: 1080,
  volumeL: 40,
  setting: "solid_bed",
  repeatSpanH: 24,
  smellTable: "G",
  spoilChance: 0.06,
  prior: { farmSd: 0.14, batchSd: 0.15, secondSd: 0.3 },
  daysRuleH: 204,
};
