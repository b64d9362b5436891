import "server-only";
/** Whatever was set up: changed, lent, put away and brought back. What other places, pages and screens may use of it. */
export { addPerson } from "./addPerson";
export {
  changeDevice,
  changeEquipment,
  changeGatheringPlace,
  changeOwnIngredient,
  changePerson,
  changeTool,
  changeVessel,
  changeWater,
  changeWormBin,
  writeThing,
} from "./changeThing";
export { readThings, type ThingsView, type ThingView } from "./readThings";
export { setThingState } from "./setState";
