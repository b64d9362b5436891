import type { Recipe } from "../../book/recipe";
import type { Place } from "../../ferment/temperature/places";
import type { UseId } from "../../book/uses";

/** What of a farm a season is made of, as it stands today. Days as ISO dates. */
export interface FarmFacts {
  readonly name: string;
  readonly today: string;
  readonly days: number;
  readonly terms: SeasonTerms;
  readonly labourPerH: number;
  readonly latitudeDeg: number;
  /** Mean air outside by day, °C, from the Monday of this week. */
  readonly dailyC: readonly number[];
  readonly vessels: readonly FactVessel[];
  /** The farm's own way of each method that its schedules name. */
  readonly recipes: ReadonlyMap<string, Recipe>;
  readonly running: readonly FactRunning[];
  readonly stores: readonly FactStore[];
  readonly shelf: readonly FactItem[];
  readonly gathered: readonly FactGathered[];
  readonly plots: readonly FactPlot[];
}
/** What a farm says of a season: hours for it in a week, what brews are kept in, how far ahead it plans. */
export interface SeasonTerms {
  readonly hoursAWeek: number;
  readonly canL: number;
  readonly cans: number;
  readonly weeks: number;
  /** Weekdays, Monday 0, on which nothing is begun and nothing applied. */
  readonly closedWeekdays: readonly number[];
  /** Hours of each person; where some are said, they are the hours a week. */
  readonly hands: readonly { readonly actorId: number; readonly hoursAWeek: number }[];
  readonly forbidden: readonly FactForbidden[];
}
/** A method that is not to be begun in a vessel (or in any), always or on some days. */
export interface FactForbidden {
  readonly methodId: string;
  readonly vesselId: number | null;
  readonly fromOn: string | null;
  readonly toOn: string | null;
}
/** All hours of a week for the season's work. */
export const hoursOf = ({ hoursAWeek, hands }: Pick<SeasonTerms, "hoursAWeek" | "hands">): number =>
  hands.length > 0 ? hands.reduce((sum, hand) => sum + hand.hoursAWeek, 0) : hoursAWeek;
export interface FactVessel {
  readonly id: number;
  readonly volumeL: number;
  readonly heldManure: boolean;
  readonly hasAir: boolean;
  readonly place: Place;
  /** Not there, or to be washed first, until this day; null where it is free. */
  readonly freeFrom: string | null;
}
export interface FactRunning {
  readonly batchId: number;
  readonly methodId: string;
  readonly vesselId: number;
  readonly startedOn: string;
  readonly readyOn: string;
  readonly filledL: number;
}
export interface FactStore {
  readonly id: number;
  readonly methodId: string;
  readonly onHandL: number;
  readonly fromOn: string;
  readonly expiresOn: string;
}
export interface FactItem {
  readonly ingredientId: string;
  readonly unit: "kg" | "L";
  readonly lots: readonly { readonly id: number; readonly onHand: number; readonly expiresOn: string | null }[];
  readonly unitCost: number;
  readonly supply: { readonly amount: number; readonly cost: number | null; readonly leadD: number } | null;
}
/** A place that gave an ingredient: how much at a time, and how long it then rests. */
export interface FactGathered {
  readonly ingredientId: string;
  readonly place: string;
  readonly restD: number;
  readonly mostAtOnce: number;
}
export interface FactPlot {
  readonly id: number;
  readonly name: string;
  readonly crop: string;
  readonly areaM2: number;
  readonly dues: readonly FactDue[];
}
export interface FactDue {
  readonly programmeId: number;
  readonly step: number;
  readonly methodId: string;
  readonly use: UseId;
  readonly everyD: number;
  readonly day: string;
  /** The last day on which it may still be given: the days before picking cut it short. */
  readonly latestOn: string;
  readonly partsWater: number | null;
  readonly mixLPerM2: number | null;
}

/** What was guessed, and what was left out of a season, by code; the words are the screen's. */
export type SeasonAssumed =
  | { readonly code: "supply-guessed"; readonly ingredientId: string }
  | { readonly code: "gathering-guessed"; readonly ingredientId: string }
  | { readonly code: "not-liquid"; readonly methodId: string }
  | { readonly code: "no-rate"; readonly methodId: string };

/** Longer than any season looks, days. */
export const KEEPS_LONG_D = 400;
