import "server-only";
import { recordPick, addForagePlace, visitForage, addWormBin, noteWormBin } from "../gather/gather";
import { addForagePhoto } from "../gather/photos";

export const GATHER_ACTS = {
  recordPick,
  addForagePlace,
  visitForage,
  addWormBin,
  noteWormBin,
  addForagePhoto,
} as const;
