import "server-only";
import { FARM_SOURCES } from "./farm";
import { FIELD_SOURCES } from "./field";
import { MAKING_SOURCES } from "./making";
import type { Source } from "./source";
import { STOCK_SOURCES } from "./stock";

export { HISTORY_CODES, HISTORY_PARTS, type HistoryCode, type HistoryPart, type Source } from "./source";

/** Every table that somebody writes to, as a line of the history. */
export const SOURCES: readonly Source[] = [...MAKING_SOURCES, ...STOCK_SOURCES, ...FIELD_SOURCES, ...FARM_SOURCES];
