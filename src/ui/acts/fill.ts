"use client";
import validators from "@/contracts/generated/acts/fill.cjs";
import { actsOf } from "./act";

export const useFillAct = actsOf("fill", validators);
