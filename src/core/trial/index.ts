/** Trials: how they are placed, how many strips would tell, and what may be said of them. */
export { analyseTrial } from "./analyse";
export { CONTROL, placeTrial, type PlaceAsked, type Placement } from "./place";
export { sizeTrial, type TrialSize, type TrialSizeAsked } from "./size";
export {
  CONFOUNDERS,
  DESIGNS,
  MEASURES,
  type ArmAnswer,
  type Confounder,
  type Trial,
  type TrialAnswer,
  type TrialPair,
} from "./terms";
