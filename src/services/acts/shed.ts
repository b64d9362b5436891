import "server-only";
import { receiveLot } from "../shed/receiveLot";
import { wasteLot, correctMovement, countStock, noteLot } from "../shed/changeLot";
import { addOwnIngredient, setSupply } from "../shed/terms";
import { emptyStore, countStore, keepStore, checkStore, pourStore } from "../shed/changeStore";
import { weighMeasure, takeBackWeighing } from "../farm/measures";

export const SHED_ACTS = {
  receiveLot,
  wasteLot,
  correctMovement,
  countStock,
  noteLot,
  addOwnIngredient,
  setSupply,
  emptyStore,
  countStore,
  keepStore,
  checkStore,
  pourStore,
  weighMeasure,
  takeBackWeighing,
} as const;
