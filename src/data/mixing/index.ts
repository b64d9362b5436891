import "server-only";
/** Rows of mixings. */
export {
  findMixing,
  insertMixEntry,
  insertMixing,
  insertMixingEnd,
  listMixEntries,
  listOpenMixings,
  lockMixing,
  type Mixing,
} from "./mixings";
