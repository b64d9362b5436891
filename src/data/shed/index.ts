import "server-only";
/** Rows of lots, their movements, what is planned. */
export { insertLots, insertMovements } from "./bulk";
export {
  findLotSources,
  listAllDraws,
  listDrawnInto,
  listDrawsOfBatch,
  listDrawsOfBatches,
  listOriginsOf,
  type LotDraw,
} from "./draws";
export { insertLotEvent, listEventsOfLots, listLotEvents, listLotEventsOf, type LotEvent } from "./lotEvents";
export {
  insertLot,
  listAllLots,
  listFirstDays,
  listLotsOf,
  listLotsOnHand,
  lockAllBalances,
  lockLot,
  lockLots,
  shelfMark,
  type Lot,
  type LotOrigin,
  type NewLot,
} from "./lots";
export {
  findLedgerLine,
  insertStockMovement,
  listDrawLines,
  listDrawnSince,
  listLedgerOf,
  listLinesCameWith,
  listLinesOfEntry,
  listLinesOfLot,
  listReceipts,
  listUse,
  type DayFlow,
  type DrawnSince,
  type LedgerLine,
} from "./movements";
export { insertOwnIngredient, listOwnIngredients, type OwnIngredient } from "./ownIngredients";
export { insertPlan, insertPlanEnd, listOpenPlans, lockPlan, type Plan } from "./plans";
export { insertSupplyTerms, listSupplyTerms, type SupplyTerms } from "./supply";
