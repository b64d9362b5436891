"use client";
import validators from "@/contracts/generated/acts/field.cjs";
import { actsOf } from "./act";

export const useFieldAct = actsOf("field", validators);
