"use client";
import validators from "@/contracts/generated/acts/farm.cjs";
import { actsOf } from "./act";

export const useFarmAct = actsOf("farm", validators);
