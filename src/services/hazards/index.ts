import "server-only";
/** What a batch carries along from what went in. What other places, pages and screens may use of it. */
export { hazardsOfBatches } from "./batchHazards";
export { carriedOfBatches, type CarriedOf } from "./carriedOf";
