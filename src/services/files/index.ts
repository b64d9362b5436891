import "server-only";
/** Tables in and out. What other places, pages and screens may use of it. */
export { decodeText, parseCsv, writeCsv } from "@/formats/csv/decode";
export { exportFile } from "./exportFile";
export { exportRecord, RECORD_KINDS, type RecordKind } from "./exportRecord";
export { importFile, previewFile } from "./importFile";
export type { FilePreview, RowOutcome } from "./rows";
