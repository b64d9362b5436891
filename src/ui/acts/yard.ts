"use client";
import { actsOf } from "./act";

export const useYardAct = actsOf("yard", () => import("@/contracts/generated/acts/yard.cjs"));
