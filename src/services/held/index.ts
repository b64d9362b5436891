import "server-only";
/** Entries that the farm would not take from whoever made them, kept for a steward. */
export { dropHeld, enterHeld, keepForSteward } from "./held";
