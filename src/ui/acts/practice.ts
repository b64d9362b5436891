"use client";
import { actsOf } from "./act";

export const usePracticeAct = actsOf("practice", () => import("@/contracts/generated/acts/practice.cjs"));
