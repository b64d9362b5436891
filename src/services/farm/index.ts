import "server-only";
/** The farm itself: its set-up, people, measures. What other places, pages and screens may use of it. */
export { addTool, addVessel } from "./addThings";
export { changeFarm } from "./changeFarm";
export { farmView, readFarm, type FarmView } from "./farmView";
export { addLabResult, readMeasures, takeBackWeighing, weighMeasure } from "./measures";
export { readSettings, type FarmSettings, type SettingsView } from "./readSettings";
export { setUpFarm } from "./setUpFarm";
export { listZonePlaces, type ZonePlace } from "./zones";
