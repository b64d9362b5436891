import "server-only";
/** Rows of a batch: its lines, its log, what was foretold of it. */
export { insertBatchLine, listBatchLines, listLinesOf, listLinesOfRunning, type BatchLine } from "./batchLines";
export {
  closeVersion,
  findBatch,
  insertBatch,
  insertClose,
  listBatches,
  listBatchesById,
  listBatchesOfMethod,
  listBatchesOfSpan,
  listFinished,
  listMethodsMade,
  listMethodsOfVessel,
  listNamedBatches,
  listRunningBatches,
  lockBatch,
  type Batch,
  type BatchClose,
  type CloseKind,
} from "./batches";
export {
  TOPPED_UP_L,
  findEntry,
  insertEntry,
  isActLogged,
  listLog,
  listStanding,
  listStandingOf,
  listStandingOfRunning,
  type Entry,
  type EntryKind,
  type LoggedEntry,
  type NewEntry,
} from "./entries";
export {
  insertForecast,
  insertLearningReset,
  listForecastsOfBatch,
  listForecastsOf,
  listForecastsOfMethod,
  listLatestForecasts,
  listLearningResets,
  type KeptForecast,
  type LearningReset,
} from "./forecasts";
export { insertLabResult, listLabResults, listLabResultsOf, type LabResult } from "./labResults";
export { listFeedings } from "./lineage";
export { findPhoto, insertBatchPhoto, insertForagePhoto, listBatchPhotos } from "./photos";
export { insertArranged, listArranged, type ArrangedTask } from "./arranged";
export { insertTaskShare, listTaskShares, type DaySlot, type TaskShare } from "./taskShares";
export { insertResidue, listResidues, type BatchResidue } from "./residues";
export { listLastPh } from "./readings";
export {
  findStandingClose,
  insertCloseTakenBack,
  isWrittenOf,
  listLotsLeft,
  listStoresLeft,
  type LeftByEnd,
} from "./closes";
