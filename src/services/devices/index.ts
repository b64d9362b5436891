import "server-only";
/** Probes, loggers and the station. What other places, pages and screens may use of it. */
export { addDevice, placeDevice, retireDevice } from "./devices";
export { importLogger, previewLogger, type LoggerPreview } from "./importLogger";
export { readDevices, type DeviceView, type DevicesView } from "./readDevices";
export { deviceOf, postReadings, takeReadings, type PostedReadings } from "./takeReadings";
