import "server-only";
/** How a batch comes along: its forecast, its verdict, its record. What other places, pages and screens may use of it. */
export { askWhatIf, type WhatIfAnswer, type WhatIfAsked } from "./askWhatIf";
export { assessBatch } from "./assessBatch";
export type { Course, MarkTimes, RibbonPoint } from "./course";
export { keepForecast, keepMovedForecasts } from "./keepForecast";
export { hourOf, logItemsOf } from "./logItems";
export { peakStartsOf, type PeakStartView } from "./peakStarts";
export { readPriors } from "./priors";
export { readProgress, type Progress } from "./readProgress";
export { readRecord, readRecordOf, type MethodRecord, type SaidThen } from "./record";
export { resetLearning } from "./resetLearning";
export { sayPlace } from "./sayPlace";
export { readSituation } from "./situation";
