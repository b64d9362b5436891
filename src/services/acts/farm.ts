import "server-only";
import { setUpFarm } from "../farm";

export const FARM_ACTS = { setUpFarm } as const;
