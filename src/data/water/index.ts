import "server-only";
/** Rows of waters. */
export {
  findWater,
  findWaterOfBatch,
  insertWaterLevel,
  insertWaterReading,
  insertWaterSource,
  insertWaterStart,
  insertWaterUse,
  listOpenStarts,
  listRiverBatches,
  listWaters,
  lockWaterStart,
  type FarmWater,
  type WaterStart,
  type WaterUse,
} from "./water";
