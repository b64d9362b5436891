import "server-only";
import { recordPick, addForagePlace, visitForage, addWormBin, noteWormBin } from "../gather/gather";

export const GATHER_ACTS = { recordPick, addForagePlace, visitForage, addWormBin, noteWormBin } as const;
