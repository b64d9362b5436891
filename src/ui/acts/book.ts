"use client";
import validators from "@/contracts/generated/acts/book.cjs";
import { actsOf } from "./act";

export const useBookAct = actsOf("book", validators);
