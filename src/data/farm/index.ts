import "server-only";
/** Rows of the farm, its people, its measures. */
export {
  findDataFolder,
  findFarm,
  insertActor,
  setActorRole,
  insertFarm,
  isActor,
  listActors,
  updateFarm,
  type Actor,
  type Farm,
} from "./farm";
export { insertTakenBack, insertWeighing, listMeasures, lockLastWeighing, type FarmMeasure } from "./measures";
