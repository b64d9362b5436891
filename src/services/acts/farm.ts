import "server-only";
import { setUpFarm } from "../farm/setUpFarm";

export const FARM_ACTS = { setUpFarm } as const;
