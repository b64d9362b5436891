import type { TrialFault } from "@/core/errors";

/** What makes a trial none, in words. */
export const TRIAL_FAULTS: Readonly<Record<TrialFault, (name: string) => string>> = {
  "nothing-read": () => "There are no readings to compare.",
  "no-number": () => "A reading is missing here.",
  "negative": () => "This can't be below 0.",
  "share-above-one": () => "A share lies between 0 and 1.",
  "nought-in-ratio": () => "A value of 0 makes no ratio: compare differences instead.",
  "no-area": () => "An area is above 0.",
  "one-order": () => "Some pots must begin with the input, and some without.",
  "no-arm": () => "Each reading says what its strip got.",
  "no-control": (name) => `Some strips must go without: "${name}" is missing.`,
  "not-for-crossover": (name) =>
    `Pots that change over can't be judged by ${name}: it does not go back to where it was.`,
  "scores-only-compare": () => "Scores are compared side by side: in pairs or blocks.",
  "any-time-only-pairs": () => "Only pairs with one input can be judged at any time.",
  "looks-grow": (name) =>
    `Each look has more strips than the one before, and fewer than there are now: ${name} has not.`,
  "no-difference": () => "Say how large a difference should be seen.",
  "no-spread": () => "Say how much two strips of a pair differ by themselves, or give untreated strips in their order.",
  "too-few-strips": (name) => `At least four untreated strips tell how much strips differ; there are ${name}.`,
  "no-seed": () => "A draw wants a seed, so that it can be shown again.",
  "arm-twice": (name) => `"${name}" stands twice.`,
  "unit-twice": (name) => `Strip "${name}" stands twice.`,
  "block-size": (name) => `A block of ${name} does not hold each alike.`,
  "too-few-units": (name) => `${name} strips are fewer than one block.`,
};
