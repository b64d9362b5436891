import "server-only";
/** Rows of beds, tools, applications. */
export {
  insertApplication,
  insertApplicationPlot,
  listApplicationsOfBatch,
  listClearDays,
  listLastByMethod,
  listLatestByPlot,
  listPlotApplications,
  type PlotApplication,
} from "./applications";
export { insertHarvestRule, listHarvestRules, type FarmRule } from "./harvestRules";
export { insertPlot, insertTool, listPlots, listTools, type Plot, type PlotStage, type Tool } from "./plots";
