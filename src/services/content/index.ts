import "server-only";
/** What is in a litre of batches. What other places may use of it. */
export { amountsIn, contentOf, contentsOfBatches } from "./content";
