import type { Observation } from "./evidence/observations";
import type { LearnedPlace, Place } from "./temperature/places";
import type { FermentModel, Setting } from "./models/types";

/** A temperature that was read, at an hour of the batch. */
export interface TemperatureReading {
  readonly hour: number;
  readonly celsius: number;
  /** Missing means air. */
  readonly where?: "air" | "liquid";
}

export interface AirPoint {
  readonly hour: number;
  readonly celsius: number;
}

/**
 * What befell the vessel. Air events and openings change the brew; the others change what its liquid stands in.
 * A moved vessel stands in air of that mean until it is moved back; a heater warms up to its thermostat; wrapping slows cooling.
 */
export type VesselEvent = { readonly hour: number } & (
  | { readonly type: "air_on" | "air_off" | "opened" | "insects" }
  | { readonly type: "moved"; readonly meanC: number; readonly swingC?: number }
  | { readonly type: "moved_back" | "heater_off" | "wrapped" | "unwrapped" }
  | { readonly type: "heater_on"; readonly setC: number; readonly watts: number }
  | { readonly type: "topped_up"; readonly litres: number; readonly ofL: number; readonly celsius: number }
);

/** A batch as the model sees it. Hours count from its start; whatever is missing stands as the recipe has it. */
export interface FermentBatch {
  readonly model: FermentModel;
  readonly volumeL?: number;
  readonly setting?: Setting;
  /** Clock hour at the start, 0 to 24. */
  readonly startHour?: number;
  /** sd of the start where it is not known, h. */
  readonly startSdH?: number;
  /** Where it stands, where the air that is known is the air outside; missing means that it stands in that air itself. */
  readonly place?: Place;
  /** What earlier batches in its vessel told of where that stands. */
  readonly placeLearned?: LearnedPlace;
  /** Mean of the air and its day-night half range where it was not read, °C and K. */
  readonly ambientC?: number;
  readonly swingC?: number;
  /** The air's usual daily means by ascending hour, where the season is known. */
  readonly season?: readonly AirPoint[];
  /** Liquid at the start, °C. */
  readonly startC?: number;
  /** Relative to the recipe. */
  readonly sugar?: number;
  readonly inoculum?: number;
  /** Acid ferments: pH at the start, and alkalinity relative to the recipe's water. */
  readonly startPh?: number;
  readonly buffer?: number;
  /** Shell: vinegar to the kg, its strength, fineness (0.5 halves, 1 crushed, 3 fine). */
  readonly lPerKg?: number;
  readonly acidPercent?: number;
  readonly sizeFactor?: number;
  readonly sunkAtStart?: number;
  /** How well the air gets in, relative to the usual. */
  readonly airFactor?: number;
  readonly readings?: readonly TemperatureReading[];
  readonly forecast?: readonly AirPoint[];
  readonly events?: readonly VesselEvent[];
  readonly observations?: readonly Observation[];
  /** What this farm's earlier batches say of the log rate. */
  readonly prior?: { readonly mean: number; readonly sd: number };
}

/** Clock hour of the start where none is given. */
export const USUAL_START_HOUR = 8;
/** Half the range between day and night where none is given, K. */
export const USUAL_SWING_C = 4;

const isAirEvent = ({ type }: VesselEvent) => type === "air_on" || type === "air_off";

/** Air events in the order of the clock. */
export const airEvents = (batch: FermentBatch): VesselEvent[] =>
  (batch.events ?? []).filter(isAirEvent).toSorted((a, b) => a.hour - b.hour);
