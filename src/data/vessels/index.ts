import "server-only";
/** Rows of vessels and where they stand. */
export { insertPlaceAtSite, listVesselPlaces } from "./vesselPlaces";
export {
  insertCleaning,
  takeBackCleaning,
  insertVessel,
  listVesselStates,
  lockVessel,
  type Vessel,
  type VesselKind,
  type VesselState,
} from "./vessels";
