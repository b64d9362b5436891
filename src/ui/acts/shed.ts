"use client";
import validators from "@/contracts/generated/acts/shed.cjs";
import { actsOf } from "./act";

export const useShedAct = actsOf("shed", validators);
