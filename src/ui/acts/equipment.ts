"use client";
import { actsOf } from "./act";

export const useEquipmentAct = actsOf("equipment", () => import("@/contracts/generated/acts/equipment.cjs"));
