import "server-only";
/** Where things came from and where they went. What other places, pages and screens may use of it. */
export { exportTrace } from "./exportTrace";
export { readTrace, type Trace, type TracedApplication, type TracedBatch, type TracedLot } from "./readTrace";
