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
  seeStage,
  setHarvestRule,
  setMark,
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
  applyStore,
  takeBackApplication,
  setHarvestRule,
} as const;
