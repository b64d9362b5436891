"use client";
import validators from "@/contracts/generated/acts/water.cjs";
import { actsOf } from "./act";

export const useWaterAct = actsOf("water", validators);
