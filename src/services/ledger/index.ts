import "server-only";
/** What things cost. What other places, pages and screens may use of it. */
export { readLedger, type LedgerBatch, type LedgerLoss, type LedgerPlot, type LedgerView } from "./readLedger";
