import "server-only";
/** What is picked and where; worm bins. What other places, pages and screens may use of it. */
export { addForagePlace, addWormBin, noteWormBin, recordPick, visitForage } from "./gather";
export { addForagePhoto } from "./photos";
export { readGather, type GatherView } from "./readGather";
