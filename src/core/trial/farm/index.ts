/** Trials as a farm keeps them: what was said, drawn, put on and read, and how that stands. */
export { standingOf, type StandingTrial } from "./fromRecords";
export { armsByDay, DECIDING_SLACK_D, blockIdOf, firstPutOn, isDrawFrozen, type ReadBlock } from "./read";
export { agreement, scoringOrder, type ScoringTurn } from "./scoring";
export { drawLots, trialUnits, unitIdOf, unitRing, type Joining, type TrialPlot } from "./units";
export {
  ARMS,
  type TrialInput,
  type TrialLook,
  type TrialNote,
  type TrialRecords,
  type TrialRound,
  type TrialTerms,
  type TrialUnit,
  type UnitApplication,
  type UnitReading,
} from "./records";
