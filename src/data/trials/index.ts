import "server-only";
/** Rows of trials, and of what is read of plots. */
export {
  findTrial,
  findTrialEntryKind,
  insertTrial,
  insertTrialDraw,
  insertTrialEntry,
  insertTrialTerms,
  listTrialIds,
  listTrialRows,
  lockTrial,
  type EntryKind,
  type DrawDocument,
  type TrialEntry,
  type TrialRow,
} from "./trials";
export { insertReading, listReadingsOfPlot, listReadingsOfTrials, type NewReading, type Reading } from "./readings";
