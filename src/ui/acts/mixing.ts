"use client";
import { actsOf } from "./act";

export const useMixingAct = actsOf("mixing", () => import("@/contracts/generated/acts/mixing.cjs"));
