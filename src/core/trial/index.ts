/** Trials: how they are placed, how many strips would tell, and what may be said of them. */
export { analyseTrial } from "./analyse";
export { requireReading } from "./prepare";
export { CONTROL, placeTrial, type PlaceAsked, type Placement } from "./place";
export { sizeTrial, type TrialSize, type TrialSizeAsked } from "./size";
export {
  CONFOUNDERS,
  DESIGNS,
  READING_KINDS,
  MEASURES,
  type ArmAnswer,
  type Confounder,
  type MeasureKind,
  type Scale,
  type SeasonsTogether,
  type Trial,
  type TrialAnswer,
  type TrialPair,
  type TrialReason,
  type Verdict,
} from "./terms";
