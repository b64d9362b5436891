"use client";
import { actsOf } from "./act";

export const useReportAct = actsOf("report", () => import("@/contracts/generated/acts/report.cjs"));
