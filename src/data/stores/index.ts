import "server-only";
/** Rows of what was strained and is kept. */
export { copyStoreChecks, insertStoreCheck, listChecksOf, listStoreChecks } from "./storeChecks";
export {
  countParts,
  findStoreLine,
  insertStore,
  insertStoreExpiry,
  insertStoreMovement,
  listStoreLines,
  listStoreWaste,
  listStoresOfBatch,
  listStoresOnHand,
  lockStore,
  type Store,
  type StoreContainer,
  type StoreMovement,
} from "./stores";
