"use client";
import validators from "@/contracts/generated/acts/mixing.cjs";
import { actsOf } from "./act";

export const useMixingAct = actsOf("mixing", validators);
