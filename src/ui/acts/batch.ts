"use client";
import validators from "@/contracts/generated/acts/batch.cjs";
import { actsOf } from "./act";

export const useBatchAct = actsOf("batch", validators);
