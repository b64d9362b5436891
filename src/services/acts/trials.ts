import "server-only";
import {
  addTrialPairs,
  beginTrial,
  drawTrialAgain,
  lookAtTrial,
  measurePlot,
  noteTrial,
  openPlacement,
  resumeTrial,
  scoreTrial,
  setTrialTerms,
} from "../trials";

export const TRIALS_ACTS = {
  beginTrial,
  setTrialTerms,
  drawTrialAgain,
  addTrialPairs,
  noteTrial,
  resumeTrial,
  openPlacement,
  lookAtTrial,
  measurePlot,
  scoreTrial,
} as const;
