import "server-only";
import { addTool } from "../farm";
import {
  addPlot,
  applyStore,
  changePlanting,
  clearPlantings,
  drawLand,
  importLand,
  plantPlots,
  seePatchTest,
  seePlot,
  seeStage,
  setHarvestRule,
  setMark,
  setProgramme,
  startPatchTest,
  takeBackApplication,
} from "../field";

export const FIELD_ACTS = {
  addPlot,
  drawLand,
  setMark,
  importLand,
  plantPlots,
  changePlanting,
  clearPlantings,
  seeStage,
  addTool,
  setProgramme,
  startPatchTest,
  seePatchTest,
  seePlot,
  applyStore,
  takeBackApplication,
  setHarvestRule,
} as const;
