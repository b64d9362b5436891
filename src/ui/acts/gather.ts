"use client";
import validators from "@/contracts/generated/acts/gather.cjs";
import { actsOf } from "./act";

export const useGatherAct = actsOf("gather", validators);
