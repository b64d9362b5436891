import "server-only";
import { addDevice, placeDevice, retireDevice } from "../devices/devices";
import { importLogger } from "../devices/importLogger";
import { postReadings } from "../devices/takeReadings";

export const DEVICES_ACTS = { addDevice, placeDevice, retireDevice, importLogger, postReadings } as const;
