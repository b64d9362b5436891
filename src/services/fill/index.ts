import "server-only";
/** What can be made and the filling of a vessel. What other places, pages and screens may use of it. */
export { fillVessel, fillWith } from "./fillVessel";
export { requirePickable } from "./pickedPlant";
export { prepareFill, requireFreeVessel, requireVesselFor, type PreparedFill } from "./prepareFill";
export { readMaking, type MakingView } from "./readMaking";
export { requireRoomFor } from "./room";
export { startFirstDrum } from "./startFirstDrum";
export { takeBackStart } from "./takeBackStart";
