import { chanceFrom, type Chance } from "../chance";
import type { Judgement } from "./judgement";

/** Sums that growers do in the head. */
export const DRILL_KINDS = ["per-can", "one-one-one-hundred", "pail-to-drum", "cans-for-bed", "how-far"] as const;
export type DrillKind = (typeof DRILL_KINDS)[number];
export type UnitSystem = "metric" | "us";
/** Units in which a drill asks for its answer. */
export type DrillUnit = "mL" | "L" | "fl oz" | "gal" | "cans" | "cups";

export const DRILL_LEVELS = [1, 2, 3, 4, 5] as const;
export type DrillLevel = (typeof DRILL_LEVELS)[number];

/** One sum: its figures by the code of its words, the answer, and how far off still counts. */
export interface Drill {
  readonly kind: DrillKind;
  readonly level: DrillLevel;
  readonly system: UnitSystem;
  readonly figures: Readonly<Record<string, number>>;
  readonly answer: number;
  readonly unit: DrillUnit;
  readonly judgement: Judgement;
}

export const FL_OZ_PER_GALLON = 128;
const CUPS_PER_GALLON = 16;
const FT2_PER_GALLON = 25;
/** A figure done in the head counts when it is as near as a marked jug shows. */
const NEAR = 0.06;

const one = <T>(chance: Chance, items: readonly T[]): T => items[Math.floor(chance.uniform() * items.length)]!;

/** Figures of a level: round ones first, odd ones later. */
const CANS_L: Readonly<Record<DrillLevel, readonly number[]>> = {
  1: [10],
  2: [5, 10],
  3: [8, 10, 15],
  4: [7.5, 9, 12],
  5: [7.5, 13, 16],
};
const CANS_GAL: Readonly<Record<DrillLevel, readonly number[]>> = {
  1: [1],
  2: [1, 2],
  3: [2, 3, 4],
  4: [1.5, 2.5, 3],
  5: [2.5, 3.5, 5],
};
const PARTS: Readonly<Record<DrillLevel, readonly number[]>> = {
  1: [100],
  2: [50, 100, 500],
  3: [20, 200, 250],
  4: [30, 40, 250],
  5: [15, 80, 300],
};
const PARTS_US: Readonly<Record<DrillLevel, readonly number[]>> = {
  1: [128],
  2: [64, 128],
  3: [32, 64, 256],
  4: [16, 32, 256],
  5: [20, 100, 250],
};
const DRUMS_L: Readonly<Record<DrillLevel, readonly number[]>> = {
  1: [100, 200],
  2: [100, 200, 1000],
  3: [60, 120, 200],
  4: [55, 170, 220],
  5: [45, 95, 185],
};
const DRUMS_GAL: Readonly<Record<DrillLevel, readonly number[]>> = {
  1: [50],
  2: [25, 50],
  3: [30, 55],
  4: [35, 55, 65],
  5: [17, 45, 55],
};
const BEDS_M: Readonly<Record<DrillLevel, readonly (readonly [number, number])[]>> = {
  1: [[10, 1]],
  2: [
    [10, 1],
    [20, 1],
  ],
  3: [
    [15, 1.2],
    [25, 0.8],
  ],
  4: [
    [18, 1.2],
    [30, 0.75],
  ],
  5: [
    [17, 1.1],
    [33, 0.75],
  ],
};

type Draw = (chance: Chance, level: DrillLevel, system: UnitSystem) => Pick<Drill, "figures" | "answer" | "unit">;
const DRAWS: Readonly<Record<DrillKind, Draw>> = {
  "per-can": (chance, level, system) => {
    if (system === "us") {
      const [can, parts] = [one(chance, CANS_GAL[level]), one(chance, PARTS_US[level])];
      return { figures: { can, parts }, answer: (can * FL_OZ_PER_GALLON) / parts, unit: "fl oz" };
    }
    const [can, parts] = [one(chance, CANS_L[level]), one(chance, PARTS[level])];
    return { figures: { can, parts }, answer: (can * 1000) / parts, unit: "mL" };
  },
  "one-one-one-hundred": (chance, level, system) =>
    system === "us"
      ? ((water) => ({ figures: { water }, answer: (water * CUPS_PER_GALLON) / 100, unit: "cups" }) as const)(
          one(chance, DRUMS_GAL[level]),
        )
      : ((water) => ({ figures: { water }, answer: water / 100, unit: "L" }) as const)(one(chance, DRUMS_L[level])),
  "pail-to-drum": (chance, level, system) => {
    const [pail, drum] = system === "us" ? [5, one(chance, DRUMS_GAL[level])] : [20, one(chance, DRUMS_L[level])];
    const scoop = one(chance, level < 3 ? [1, 2] : [0.5, 1.5, 3]);
    return { figures: { pail, drum, scoop }, answer: (scoop * drum) / pail, unit: "cups" };
  },
  "cans-for-bed": (chance, level, system) => {
    const [long, wide] = one(chance, BEDS_M[level]);
    if (system === "us") {
      // Beds of so many feet, 4 ft wide: 1 gallon wets about 25 square feet with an ordinary drench.
      const [feet, can] = [Math.round((long * 3.3) / 5) * 5, one(chance, CANS_GAL[level])];
      return {
        figures: { long: feet, wide: 4, can, perGallon: FT2_PER_GALLON },
        answer: Math.ceil((feet * 4) / FT2_PER_GALLON / can),
        unit: "cans",
      };
    }
    const can = one(chance, CANS_L[level]);
    const litresPerM2 = level < 4 ? 2 : one(chance, [1.5, 2, 3]);
    return {
      figures: { long, wide, can, litresPerM2 },
      answer: Math.ceil((long * wide * litresPerM2) / can - 1e-9),
      unit: "cans",
    };
  },
  "how-far": (chance, level, system) => {
    const parts = one(chance, system === "us" ? PARTS_US[level] : PARTS[level]);
    const have = one(chance, level < 3 ? [1, 2] : [0.5, 1.5, 0.25]);
    return { figures: { have, parts }, answer: have * parts, unit: system === "us" ? "gal" : "L" };
  },
};
const JUDGES: Readonly<Record<DrillKind, Judgement>> = {
  "per-can": "dose",
  "one-one-one-hundred": "dose",
  "pail-to-drum": "dose",
  "cans-for-bed": "load",
  "how-far": "load",
};

/** The sum of a kind, a level and a seed; the same for everybody. */
export function drawDrill(kind: DrillKind, level: DrillLevel, system: UnitSystem, seed: number): Drill {
  const chance = chanceFrom(seed * 9176 + level * 131 + DRILL_KINDS.indexOf(kind) * 7);
  return { kind, level, system, judgement: JUDGES[kind], ...DRAWS[kind](chance, level, system) };
}

/** Whether an answer is near enough; whole cans must be met. */
export const isRightAnswer = ({ answer, unit }: Pick<Drill, "answer" | "unit">, said: number): boolean =>
  unit === "cans" ? said === answer : Math.abs(said - answer) <= NEAR * answer + 1e-9;

/** Harder after two right ones in a row, easier after a wrong one. @param answers newest last */
export function levelAfter(level: DrillLevel, answers: readonly boolean[]): DrillLevel {
  if (answers.at(-1) === false) return Math.max(1, level - 1) as DrillLevel;
  return answers.length >= 2 && answers.slice(-2).every(Boolean) ? (Math.min(5, level + 1) as DrillLevel) : level;
}
