import "server-only";
/** What was strained and is kept: its checks and what it may still do. What other places, pages and screens may use of it. */
export { checkStore, countStore, emptyStore, keepStore, pourStore } from "./changeStore";
export { airDays, storeState, storeViews, type StoreView } from "./storeStates";
