import "server-only";
/** Lots, plans, the shelf, what must be bought. What other places, pages and screens may use of it. */
export { correctMovement, countStock, noteLot, wasteLot } from "./changeLot";
export type { ShedItem } from "./items";
export { stateLots, stateLotsOf, type LotView } from "./lotStates";
export { dropPlan, endPlan, planBatch, planWith } from "./plans";
export { readCount, type CountLot, type CountView } from "./readCount";
export { readItem, type ItemView } from "./readItem";
export { readShed, readShelf, type ShedStore, type ShedView, type ShelfItem } from "./readShed";
export { readShopping, type ShoppingLine, type ShoppingView } from "./readShopping";
export { bookLot, lotFault, receiveLot } from "./receiveLot";
export { bookIn, drawOut, chooseDraw, putBack } from "./shedBook";
export { readShelfLots } from "./shelf";
export { addOwnIngredient, setSupply } from "./terms";
