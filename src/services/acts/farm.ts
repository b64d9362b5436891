import "server-only";
import { setUpFarm } from "../setUpFarm";

export const FARM_ACTS = { setUpFarm } as const;
