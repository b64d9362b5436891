"use client";
import { actsOf } from "./act";

export const useSeasonAct = actsOf("season", () => import("@/contracts/generated/acts/season.cjs"));
