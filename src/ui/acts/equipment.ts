"use client";
import validators from "@/contracts/generated/acts/equipment.cjs";
import { actsOf } from "./act";

export const useEquipmentAct = actsOf("equipment", validators);
