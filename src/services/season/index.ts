import "server-only";
/** The season: what to start, in which vessel, on which day. What other places, pages and screens may use of it. */
export { endSeasonFeed, newSeasonFeed, readSeasonFeed } from "./feed";
export { DEED_KINDS, seasonCalendar, seasonCsv, type CalendarWish } from "./outputs";
export { readSeason, type SeasonView, type StandingPlan } from "./readSeason";
export { readYears, type SeasonYearsView } from "./readYears";
export { takeSeasonPlan } from "./takePlan";
export { refreshSeason } from "./refreshSeason";
export { setSeasonTerms } from "./terms";
