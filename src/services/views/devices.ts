import "server-only";
import { readDevices } from "../devices";
import { NOTHING, view } from "../view";

export const DEVICES_VIEWS = {
  devices: view({ name: "devices", schema: NOTHING, may: "viewer" }, ({ ctx, farm }) => readDevices(ctx, farm)),
} as const;
