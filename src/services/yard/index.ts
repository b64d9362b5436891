import "server-only";
/** Vessels and the day's round. What other places, pages and screens may use of it. */
export { arrangeTask } from "./arrangeTask";
export { readYard, statusOf, type AirPoint, type VesselStatus, type YardVessel, type YardView } from "./readYard";
export type { RoundDone, RoundTask } from "./roundTask";
