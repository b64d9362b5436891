import "server-only";
import { changeFarm, setUpFarm } from "../farm";
import {
  addPerson,
  changeDevice,
  changeEquipment,
  changeGatheringPlace,
  changeOwnIngredient,
  changePerson,
  changeTool,
  changeVessel,
  changeWater,
  changeWormBin,
  setThingState,
} from "../things";

export const FARM_ACTS = {
  setUpFarm,
  changeFarm,
  addPerson,
  changePerson,
  changeVessel,
  changeTool,
  changeWater,
  changeEquipment,
  changeOwnIngredient,
  changeGatheringPlace,
  changeWormBin,
  changeDevice,
  setThingState,
} as const;
