import "server-only";
import { addDevice, placeDevice, retireDevice, importLogger, postReadings } from "../devices";

export const DEVICES_ACTS = { addDevice, placeDevice, retireDevice, importLogger, postReadings } as const;
