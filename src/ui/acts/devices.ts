"use client";
import validators from "@/contracts/generated/acts/devices.cjs";
import { actsOf } from "./act";

export const useDevicesAct = actsOf("devices", validators);
