"use client";
import { actsOf } from "./act";

export const useGatherAct = actsOf("gather", () => import("@/contracts/generated/acts/gather.cjs"));
