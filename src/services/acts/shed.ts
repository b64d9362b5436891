import "server-only";
import { receiveLot, wasteLot, correctMovement, countStock, noteLot, addOwnIngredient, setSupply } from "../shed";
import { emptyStore, countStore, keepStore, checkStore, pourStore } from "../stores";
import { weighMeasure, takeBackWeighing } from "../farm";

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
