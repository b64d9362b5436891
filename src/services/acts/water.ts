import "server-only";
import { addWaterSource, readWater, readWaterLevel, startWater } from "../water";

export const WATER_ACTS = { addWaterSource, readWater, readWaterLevel, startWater } as const;
