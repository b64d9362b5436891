"use client";
import { actsOf } from "./act";

export const useTrialsAct = actsOf("trials", () => import("@/contracts/generated/acts/trials.cjs"));
