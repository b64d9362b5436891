import "server-only";
/** A whole farm out and in, as files that anybody can read. */
export { ARCHIVE_FORM, dumpFarm, type Manifest } from "./dump";
export { loadFarm, readManifest, requireSame } from "./load";
