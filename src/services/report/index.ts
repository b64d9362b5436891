import "server-only";
/** The season's report, and what stands beside it. What other places, pages and screens may use of it. */
export { setBudget, setInstead } from "./acts";
export { reportCsv } from "./reportCsv";
export { readReport, type InsteadLine, type OverrideLine, type ReportTrial, type ReportView } from "./readReport";
