import "server-only";
/** Rows of places to pick and of worm bins. */
export {
  insertForagePlace,
  insertForageVisit,
  listForagePlaces,
  listPlacesByIngredient,
  lockForagePlace,
  type ForagePlace,
  type PlaceGave,
} from "./forage";
export { insertWormBin, insertWormBinEntry, listWormBins, lockWormBin, type WormBinEntry } from "./wormBins";
