import "server-only";
/** Choosing and scaling a method. What other places, pages and screens may use of it. */
export { readBook, type BookView, type StartView } from "./readBook";
export { readPeakStarts } from "./readPeakStarts";
