import "server-only";
/** What was written, by whom and when, over all tables. */
export {
  HISTORY_CODES,
  HISTORY_PARTS,
  listHistory,
  type HistoryCode,
  type HistoryLine,
  type HistoryPart,
} from "./history";
