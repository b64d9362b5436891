import "server-only";
/** A mixing, step by step. What other places, pages and screens may use of it. */
export { dropMixing, finishMixing, startMixing, tickMixing } from "./mixing";
export { readMixing, readPlannedMixing, type MixingView } from "./readMixing";
