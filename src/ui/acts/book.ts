"use client";
import { actsOf } from "./act";

export const useBookAct = actsOf("book", () => import("@/contracts/generated/acts/book.cjs"));
