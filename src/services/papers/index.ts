import "server-only";
/** What is printed. What other places, pages and screens may use of it. */
export { readLabels, type LabelsView } from "./readLabels";
export { squaresOf, type Squares } from "./squares";
