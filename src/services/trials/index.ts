import "server-only";
/** Trials, and what is read of beds. What other places, pages and screens may use of it. */
export { addTrialPairs, beginTrial, drawTrialAgain, setTrialTerms } from "./begin";
export { lookAtTrial, noteTrial, openPlacement, resumeTrial } from "./note";
export { measurePlot, scoreTrial } from "./read";
export { readTrialStart, type TrialStartView } from "./readStart";
export {
  lastVerdicts,
  readTrial,
  stoppedOf,
  type TrialBlockView,
  type TrialLookView,
  type TrialRoundView,
  type TrialUnitView,
  type TrialView,
} from "./readTrial";
export { readScoring, readTrials, type ScoringView, type TrialLine, type TrialsView } from "./readTrials";
export { readTrialSize, type SizeView } from "./size";
