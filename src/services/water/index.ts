import "server-only";
/** Waters and what is read of them. What other places, pages and screens may use of it. */
export { readWaters, type WaterStartView, type WaterView, type WatersView } from "./readWaters";
export { addWaterSource, bookWater, readWater, readWaterLevel, requireFitWater, startWater } from "./waters";
