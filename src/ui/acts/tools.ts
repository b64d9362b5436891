"use client";
import validators from "@/contracts/generated/acts/tools.cjs";
import { actsOf } from "./act";

export const useToolsAct = actsOf("tools", validators);
