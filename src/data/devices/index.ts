import "server-only";
/** Rows of devices, what they read, what the air is expected to be. */
export { findStation, listAirForecast, listStationReadings, putForecast } from "./air";
export {
  deviceVersion,
  findDeviceByToken,
  insertDevice,
  insertPlacing,
  listDevices,
  lockDevice,
  bringBackDevice,
  retireDevice,
  type DeviceHead,
  type DeviceKind,
  type DeviceQuantity,
} from "./devices";
export {
  findReadingBefore,
  insertReadings,
  listReadingsOf,
  listSetAside,
  listVesselReadings,
  type DeviceReading,
  type VesselReading,
} from "./readings";
