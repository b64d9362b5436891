import "server-only";
/** Undoing what was just done. What other places, pages and screens may use of it. */
export { takeBack } from "./takeBack";
