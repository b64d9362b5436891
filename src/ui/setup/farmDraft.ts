import { climateFrom, type Climate } from "@/core/weather/climate";
import { fromBase } from "@/core/quantity/units";
import type { UnitSystem } from "@/formats/amounts";
import { parseNumber, readCelsius } from "@/formats/numbers";
import { guessClimate, type FarmGuess } from "./guess";

/** Where a farm lies and how it counts, as it is typed. */
export interface FarmDraft {
  readonly units: UnitSystem;
  readonly currency: string;
  readonly timeZone: string;
  readonly latitude: string;
  readonly longitude: string;
  /** In the degrees of the units. */
  readonly warmAfternoon: string;
  readonly coldNight: string;
}

const MOST_DEGREES = 2;
export const typedDegrees = (value: number): string => String(Number(value.toFixed(MOST_DEGREES)));
export const typedWarmth = (celsius: number, units: UnitSystem): string =>
  String(Number(fromBase({ dimension: "temperature", value: celsius }, units === "us" ? "°F" : "°C").value.toFixed(1)));

/** A guess has no tenths. */
const wholeDegrees = (celsius: number, units: UnitSystem): string =>
  String(Math.round(Number(typedWarmth(celsius, units))));

/** What is guessed, as it would be typed in the units chosen, with what somebody has changed of it. */
export function draftOf(guess: FarmGuess, changes: Partial<FarmDraft>): FarmDraft {
  const units = changes.units ?? guess.units;
  // The climate follows the place for as long as nobody has said it.
  const { warmAfternoonC, coldNightC } = guessClimate(parseNumber(changes.latitude ?? "") ?? guess.latitudeDeg);
  return {
    units,
    currency: guess.currency,
    timeZone: guess.timeZone,
    latitude: typedDegrees(guess.latitudeDeg),
    longitude: typedDegrees(guess.longitudeDeg),
    warmAfternoon: wholeDegrees(warmAfternoonC, units),
    coldNight: wholeDegrees(coldNightC, units),
    ...changes,
  };
}

/** What was typed of the weather, in the other units: it keeps its meaning where the units change. */
export function weatherIn(units: UnitSystem, draft: FarmDraft, changes: Partial<FarmDraft>): Partial<FarmDraft> {
  const turned = (name: "warmAfternoon" | "coldNight") => {
    const celsius = changes[name] === undefined ? null : readCelsius(changes[name], draft.units);
    return celsius === null || Number.isNaN(celsius) ? {} : { [name]: typedWarmth(celsius, units) };
  };
  return { ...turned("warmAfternoon"), ...turned("coldNight") };
}

const number = (text: string): number => parseNumber(text) ?? NaN;

/** The climate as typed; null while it can't be read. */
export function climateOf({ units, latitude, longitude, warmAfternoon, coldNight }: FarmDraft): Climate | null {
  const [warmAfternoonC, coldNightC] = [readCelsius(warmAfternoon, units), readCelsius(coldNight, units)];
  const [latitudeDeg, longitudeDeg] = [number(latitude), number(longitude)];
  if (
    ![warmAfternoonC, coldNightC, latitudeDeg, longitudeDeg].every((value) => value !== null && Number.isFinite(value))
  )
    return null;
  return {
    latitudeDeg,
    longitudeDeg,
    ...climateFrom({ warmAfternoonC: warmAfternoonC!, coldNightC: coldNightC! }),
  };
}

/** Whether the coldest night was typed warmer than the warmest afternoon. */
export const isTurned = ({ units, warmAfternoon, coldNight }: FarmDraft): boolean =>
  (readCelsius(coldNight, units) ?? -Infinity) > (readCelsius(warmAfternoon, units) ?? Infinity);

/** As the server takes it; what can't be read is NaN, so that its field is marked. */
export function askedFarm(draft: FarmDraft) {
  const warmAfternoonC = readCelsius(draft.warmAfternoon, draft.units) ?? NaN;
  const coldNightC = readCelsius(draft.coldNight, draft.units) ?? NaN;
  // A night that is warmer than the afternoon is a slip, and no climate.
  const { meanC, swingC } = isTurned(draft) ? { meanC: NaN, swingC: NaN } : climateFrom({ warmAfternoonC, coldNightC });
  return {
    units: draft.units,
    currency: draft.currency,
    timeZone: draft.timeZone,
    latitudeDeg: number(draft.latitude),
    longitudeDeg: number(draft.longitude),
    climateMeanC: meanC,
    climateSwingC: swingC,
  };
}
