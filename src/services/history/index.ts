import "server-only";
/** Who wrote what, and when. What other places, pages and screens may use of it. */
export { exportHistory } from "./exportHistory";
export {
  readHistory,
  readHistoryQuery,
  type HistoryLineView,
  type HistoryQuery,
  type HistoryView,
} from "./readHistory";
