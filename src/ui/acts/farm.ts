"use client";
import { actsOf } from "./act";

export const useFarmAct = actsOf("farm", () => import("@/contracts/generated/acts/farm.cjs"));
