"use client";
import { actsOf } from "./act";

export const useFillAct = actsOf("fill", () => import("@/contracts/generated/acts/fill.cjs"));
