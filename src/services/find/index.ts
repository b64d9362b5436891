import "server-only";
/** Whatever has a name, and where it is. What other places, pages and screens may use of it. */
export { readFind, type FindType, type FoundThing } from "./readFind";
