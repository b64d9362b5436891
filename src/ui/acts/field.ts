"use client";
import { actsOf } from "./act";

export const useFieldAct = actsOf("field", () => import("@/contracts/generated/acts/field.cjs"));
