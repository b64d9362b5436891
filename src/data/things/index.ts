import "server-only";
/** Whatever was set up, its changes and whether it is used. */
export {
  insertThingChange,
  listThings,
  lockThing,
  THING_KINDS,
  THING_STATES,
  updateThing,
  type Thing,
  type ThingChange,
  type ThingFacts,
  type ThingKind,
  type ThingState,
} from "./things";
