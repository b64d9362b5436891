"use client";
import { actsOf } from "./act";

export const useBatchAct = actsOf("batch", () => import("@/contracts/generated/acts/batch.cjs"));
