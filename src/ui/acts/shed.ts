"use client";
import { actsOf } from "./act";

export const useShedAct = actsOf("shed", () => import("@/contracts/generated/acts/shed.cjs"));
