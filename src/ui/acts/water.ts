"use client";
import { actsOf } from "./act";

export const useWaterAct = actsOf("water", () => import("@/contracts/generated/acts/water.cjs"));
