import "server-only";
/** Beds, and what is put on them. What other places, pages and screens may use of it. */
export { applyStore } from "./applyStore";
export { setElsewhere } from "./elsewhere";
export { exportLand, importLand, setMark } from "./marks";
export { changePlanting, clearPlantings, plantPlots, seeStage } from "./plantings";
export { doJobStep, setJob, takeBackJobStep } from "./jobs";
export {
  applicationsWithin,
  readApplicationRecord,
  type ApplicationRecordView,
  type DaySpan,
} from "./readApplicationRecord";
export { readJobs, type JobStepView, type JobsView, type JobView } from "./readJobs";
export { seePlot } from "./looks";
export { seePatchTest, startPatchTest } from "./patchTests";
export {
  readCalendar,
  readProgrammes,
  readSeasonPlots,
  setProgramme,
  type PlotCalendar,
  type ProgrammesView,
} from "./programmes";
export { addPlot, addPlotWith, drawLand } from "./plots";
export { setHarvestRule } from "./harvestRules";
export { readPlot, type PlotPage } from "./readPlot";
export { readPlots } from "./readPlots";
export { readField, type FieldStore, type FieldView, type PatchTestView, type PlotView } from "./readField";
export { redateApplication, takeBackApplication } from "./takeBack";
export { storeUses, type StoreUses } from "./takers";
