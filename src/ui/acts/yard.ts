"use client";
import validators from "@/contracts/generated/acts/yard.cjs";
import { actsOf } from "./act";

export const useYardAct = actsOf("yard", validators);
