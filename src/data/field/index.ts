import "server-only";
/** Rows of plots, what grows on them, marks of the land, tools, applications. */
export {
  insertApplication,
  insertApplicationPlot,
  insertBlend,
  listApplicationsOfBatches,
  listApplicationsOfPlot,
  listApplicationsOfBatch,
  listApplicationsOn,
  listClearDays,
  listDosesSince,
  listPlotApplications,
  type PlotApplication,
  type WeatherThen,
} from "./applications";
export { copyApplication, insertTakenBack, listStandingOfBlend, listStepsOf } from "./corrections";
export { addToBrought, listBrought } from "./brought";
export {
  findJob,
  insertJob,
  insertJobDone,
  insertLaid,
  listJobs,
  listJobsDone,
  listLaidOn,
  lockJob,
  type JobDone,
  type JobRow,
  type LaidOn,
} from "./jobs";
export { listLastByMethod, noteLatest, seekLatest, type LatestOnPlot } from "./latest";
export { insertLook, listLooks, type PlotLook } from "./looks";
export { insertProgramme, listProgrammes } from "./programmes";
export { insertHarvestRule, listHarvestRules, type FarmRule } from "./harvestRules";
export { findOrigin, insertMark, insertOrigin, listMarks, type LandMark } from "./marks";
export {
  insertPatchLook,
  insertPatchTest,
  listPatchTests,
  lockPatchTest,
  PATCH_RESULTS,
  type PatchResult,
  type PatchTestRow,
} from "./patchTests";
export {
  insertPlanting,
  insertPlantingState,
  insertStageSeen,
  listPlantings,
  lockPlanting,
  type NewPlanting,
  type PlantingRow,
} from "./plantings";
export {
  freePlotName,
  landMark,
  insertPlot,
  listPutAway,
  type PutAway,
  findLastShape,
  namePlot,
  type Drawn,
  listPlotNames,
  listLand,
  listPlots,
  listShapes,
  lockPlot,
  putPlotAway,
  redrawPlot,
  type NewShape,
  type Plot,
  type PlotShape,
} from "./plots";
export { insertTool, listTools, type Tool } from "./tools";
