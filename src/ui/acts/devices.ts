"use client";
import { actsOf } from "./act";

export const useDevicesAct = actsOf("devices", () => import("@/contracts/generated/acts/devices.cjs"));
