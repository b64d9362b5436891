import "server-only";
/** What was written, by whom and when, over all tables. */
export { listHistory, type HistoryLine } from "./history";
export { HISTORY_CODES, HISTORY_PARTS, type HistoryCode, type HistoryPart } from "./sources";
