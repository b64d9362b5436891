import type { Recipe } from "../book/recipe";
import type { Setting } from "../ferment/models/types";
import type { LearnedPlace, Place } from "../ferment/temperature/places";
import type { LogItem } from "./log";

/** A temperature at an hour of the batch. */
export interface TemperaturePoint {
  readonly hour: number;
  readonly celsius: number;
}

export interface TemperatureInput {
  /** Read in the liquid. */
  readonly liquid: readonly TemperaturePoint[];
  /** Air, past and forecast, in any order. */
  readonly air: readonly TemperaturePoint[];
  /** What the grower says the liquid stood at when it was filled, where nothing was read. */
  readonly statedC: number | null;
  /** What the air usually is at the farm: mean of now, half the range between day and night, and how the daily mean goes with the season. */
  readonly usual?: {
    readonly meanC: number;
    readonly swingC: number;
    readonly season?: readonly TemperaturePoint[];
  };
}

/** A batch as the farm knows it: its recipe, its vessel, its log. */
export interface BatchInput {
  readonly recipe: Recipe;
  readonly vesselL: number;
  /** What stands in it, L; the vessel's volume if missing. */
  readonly filledL?: number;
  /** The batch's age, hours. */
  readonly nowH: number;
  /** Clock hour of the start, at the farm. */
  readonly startHour?: number;
  readonly temperature: TemperatureInput;
  /** Where it stands; unsaid if missing. */
  readonly place?: Place;
  /** What earlier batches in its vessel told of where that stands. */
  readonly placeLearned?: LearnedPlace;
  readonly log: readonly LogItem[];
  /** What went in against what the recipe asks for, 1 as it asks. */
  readonly sugar?: number;
  readonly inoculum?: number;
  readonly lPerKg?: number;
  readonly setting?: Setting;
  /** What the farm's finished batches say of the log rate. */
  readonly farm?: { readonly mean: number; readonly sd: number };
  /** Hours of the batch at which the curve is wanted. */
  readonly curveHours?: readonly number[];
}
