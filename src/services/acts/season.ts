import "server-only";
import { setSeasonTerms, takeSeasonPlan } from "../season";

export const SEASON_ACTS = { setSeasonTerms, takeSeasonPlan } as const;
