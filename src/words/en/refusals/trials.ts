import type { Said } from "./wanted";

/** Trials. */
export const OF_TRIALS = {
  "trial-scale": () => "Scores are compared; figures are told as a share or in their unit.",
  "trial-change-kind": () =>
    "Only a difference in its unit can be judged as a change: choose “in its unit”, or leave the reading before away.",
  "trial-any-one-input": () => "Looking at any time goes with one input only.",
  "trial-day-past": () => "This day is past. Choose a day ahead.",
  "trial-arms-fixed": () => "What is compared stays as it was drawn. For one more input begin another trial.",
  "trial-frozen": () =>
    "Something was put on already, so the draw stays. To place it otherwise, stop this trial and begin another.",
  "trial-bed-in-it": () => "One of these beds is in the trial already. Choose others.",
  "trial-stopped": () => "This trial was stopped. Go on with it first.",
  "trial-compared": () => "This pair was compared already. It can only be left out before anybody looks.",
  "trial-unread": () => "No pair has all its readings yet. There is nothing to look at.",
  "trial-looked": () => "This trial was to be looked at once, and was. Begin a new one with more strips.",
  "trial-nothing-new": () => "Nothing was read since the last look.",
  "trial-look-stays": () => "What somebody has looked at stays written down.",
  "trial-score-range": ({ steps }: { steps: number }) => `A score is a whole step of the card, 1 to ${steps}.`,
  "trial-code-twice": () => "This strip stands here twice.",
} as const satisfies Record<string, (params: never) => Said>;
