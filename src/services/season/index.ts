import "server-only";
/** The season: what to start, in which vessel, on which day. What other places, pages and screens may use of it. */
export { seasonCalendar, seasonCsv } from "./outputs";
export { readSeason, type SeasonView, type StandingPlan } from "./readSeason";
export { takeSeasonPlan } from "./takePlan";
export { setSeasonTerms } from "./terms";
