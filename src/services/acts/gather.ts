import "server-only";
import { recordPick, addForagePlace, visitForage, addWormBin, noteWormBin, addForagePhoto } from "../gather";

export const GATHER_ACTS = {
  recordPick,
  addForagePlace,
  visitForage,
  addWormBin,
  noteWormBin,
  addForagePhoto,
} as const;
