import "server-only";
import { endSeasonFeed, newSeasonFeed, setSeasonTerms, takeSeasonPlan } from "../season";

export const SEASON_ACTS = { setSeasonTerms, takeSeasonPlan, newSeasonFeed, endSeasonFeed } as const;
