import "server-only";
/** Tables in and out. What other places, pages and screens may use of it. */
export { DELIMITERS, decodeText, parseCsv, writeCsv } from "./decode";
export { exportFile } from "./exportFile";
export { importFile, previewFile } from "./importFile";
export type { FilePreview, RowOutcome } from "./rows";
