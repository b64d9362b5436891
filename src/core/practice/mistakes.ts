import type { DrumName } from "./yard/drums";
import type { Outcome } from "./drum/ending";
import { endingOf } from "./drum/ending";
import { coursePlayed } from "./drum/play";
import { calmly, type Habit } from "./drum/players";
import { faultsOf, FILL_FAULTS, setUpDrum, type FillFault } from "./drum/setup";

/** One thing done wrong, all else as a calm grower does it. */
const OF_JUDGING = ["cold", "late", "no-second-look"] as const;
export const MISTAKES = [...OF_JUDGING, ...FILL_FAULTS] as const;
export type Mistake = (typeof MISTAKES)[number];

const HABITS: Partial<Readonly<Record<Mistake, Habit>>> = {
  "cold": { leavesCold: true },
  "late": { lateBy: 0.9 },
  "no-second-look": { isOnceEnough: true },
  "tight-lid": { leavesTight: true },
};
const isFault = (mistake: Mistake): mistake is FillFault => FILL_FAULTS.some((fault) => fault === mistake);

/** Mistakes that can be made with a kind of drum. */
export const mistakesOf = (name: DrumName): readonly Mistake[] =>
  MISTAKES.filter((mistake) => !isFault(mistake) || faultsOf(name).includes(mistake));

/** What became of one drum, with a mistake or without. */
export interface Tried {
  readonly outcome: Outcome;
  readonly net: number;
}

/** The drum of a seed by a calm grower, filled by the recipe or with one mistake; the same drum either way. */
export function tryMistake(name: DrumName, mistake: Mistake | null, seed: number): Tried {
  const fault = mistake !== null && isFault(mistake) ? mistake : null;
  const drum = setUpDrum(name, seed, { fault, ...(mistake === "cold" ? { place: "cellar" as const } : {}) });
  const play = calmly(drum, (mistake && HABITS[mistake]) ?? {});
  const { outcome, net } = endingOf(drum, play.deeds, coursePlayed(drum, play));
  return { outcome, net };
}
