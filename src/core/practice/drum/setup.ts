import { chanceFrom, type Chance } from "../../chance";
import { drawCrew, type Crew } from "../yard/crew";
import {
  drawTraits,
  isQuick,
  volumesOf,
  watchedForOf,
  YARD_METHODS,
  type DrumName,
  type DrumTraits,
} from "../yard/drums";
import { drawPlaceTraits, drawWeather, type PlaceTraits, type TruePlace, type Weather } from "../yard/places";
import { REAL } from "../yard/world";
import type { Care, Look } from "./deeds";

/** What a fill may be like where it is not by the recipe. */
export const FILL_FAULTS = [
  "tap-water",
  "too-sweet",
  "too-little-sugar",
  "tight-lid",
  "no-lid",
  "dirty-vessel",
] as const;
export type FillFault = (typeof FILL_FAULTS)[number];

/** One training drum: what its learner is told, and what nobody knows of it. */
export interface PracticeDrum {
  readonly name: DrumName;
  readonly seed: number;
  readonly methodId: string;
  readonly schoolId: string;
  readonly volumeL: number;
  /** Hour of the clock at the fill. */
  readonly startHour: number;
  readonly place: TruePlace;
  readonly fault: FillFault | null;
  readonly weather: Weather;
  readonly placeTraits: PlaceTraits;
  readonly traits: DrumTraits;
  readonly badAt: number | null;
  readonly crew: Crew;
  /** Hour at which the pump's power goes; Infinity where it does not. */
  readonly powerCutH: number;
  /** What chance decides where a fault may or may not tell, 0..1. */
  readonly luck: number;
  /** Left for so long it is given up, h. */
  readonly untilH: number;
}

const SWEETENED: readonly DrumName[] = ["extract", "serum", "tea", "leaf-mould brew", "juice"];
const GASSING: readonly DrumName[] = ["extract", "serum", "juice", "shell", "leaf soak"];

/** Which faults a kind of drum can be filled with. */
export const faultsOf = (name: DrumName): readonly FillFault[] =>
  FILL_FAULTS.filter((fault) => {
    switch (fault) {
      case "tap-water":
        return name !== "juice" && name !== "shell";
      case "too-sweet":
        return SWEETENED.includes(name) && name !== "juice";
      case "too-little-sugar":
        return name === "juice" || name === "extract";
      case "tight-lid":
        return GASSING.includes(name);
      case "no-lid":
        return name !== "tea";
      case "dirty-vessel":
        return true;
    }
  });

/** What of a kind of drum can be looked at: each tells something. */
export const looksOf = (name: DrumName): readonly Look[] => [
  "lid",
  "smell",
  ...(name === "juice" || name === "leaf soak" || name === "shell" ? (["solids"] as const) : []),
  ...(name === "extract" || name === "serum" || name === "shell" ? (["ph-strip", "ph-meter"] as const) : []),
  "dip",
];
/** What can be done to a kind of drum. */
export const caresOf = (name: DrumName): readonly Care[] => [
  "stir",
  ...(name === "tea" ? (["air-on"] as const) : (["vent"] as const)),
  "warm",
  ...(name === "shell" ? [] : (["feed"] as const)),
];

const MOST_SEED = 9999;
/** A drum's code, to be said aloud: the same code is the same drum for everybody. @example codeOf("leaf soak", 12); // "leaf-soak-12" */
export const codeOf = (name: DrumName, seed: number): string => `${name.replaceAll(" ", "-")}-${seed}`;

/** Reads a code however it is typed; null where it names no drum. */
export function readDrumCode(typed: string): { readonly name: DrumName; readonly seed: number } | null {
  const found = /^([a-z-]+)-(\d{1,4})$/.exec(
    typed
      .trim()
      .toLowerCase()
      .replaceAll(/[\s_-]+/g, "-"),
  );
  const method = found && YARD_METHODS.find(({ name }) => name.replaceAll(" ", "-") === found[1]);
  const seed = Number(found?.[2]);
  return method && seed >= 1 && seed <= MOST_SEED ? { name: method.name, seed } : null;
}

const PLACES: readonly TruePlace[] = ["shade", "sun", "shed", "cellar", "kitchen", "greenhouse"];
const FAULT_SHARE = 0.35;
const POWER_CUT_SHARE = 0.25;

const drawPlace = (chance: Chance): TruePlace => PLACES[Math.floor(chance.uniform() * PLACES.length)]!;

/** The drum of a name and a seed, with its weather, place, vessel, instruments and how it was filled. */
export function setUpDrum(
  name: DrumName,
  seed: number,
  given: { readonly fault?: FillFault | null; readonly place?: TruePlace } = {},
): PracticeDrum {
  const chance = chanceFrom(seed * 613 + YARD_METHODS.findIndex((one) => one.name === name) * 15_485_863);
  const { method, school } = YARD_METHODS.find((one) => one.name === name)!;
  const startHour = Math.floor(chance.between(7, 18));
  const volumes = volumesOf(name);
  const volumeL = volumes[Math.floor(chance.uniform() * volumes.length)]!;
  const untilH = watchedForOf(name);
  const drawn = drawWeather(chance, untilH + 48, startHour);
  // A farm makes inputs in its season: a mild one.
  const lift = Math.max(0, 13 - drawn.meanC);
  const weather: Weather = { ...drawn, meanC: drawn.meanC + lift, airC: drawn.airC.map((celsius) => celsius + lift) };
  const place = drawPlace(chance);
  const placeTraits = drawPlaceTraits(chance, weather.meanC, volumeL);
  const { badAt, ...traits } = drawTraits(chance, name, chance.uniform() < REAL.bad, REAL.spread);
  const crew = drawCrew(chance, REAL);
  const faults = faultsOf(name);
  const hasFault = chance.uniform() < FAULT_SHARE;
  const fault = faults[Math.floor(chance.uniform() * faults.length)]!;
  const cutAt = Math.round(chance.between(6, 30));
  const powerCutH = name === "tea" && chance.uniform() < POWER_CUT_SHARE ? cutAt : Infinity;
  return {
    name,
    seed,
    methodId: method,
    schoolId: school,
    volumeL,
    startHour,
    place: given.place ?? place,
    fault: given.fault === undefined ? (hasFault ? fault : null) : given.fault,
    weather,
    placeTraits,
    traits,
    badAt,
    crew,
    powerCutH,
    luck: chance.uniform(),
    untilH,
  };
}

/** The hour by the clock, 0 to 23, so many hours after the fill. */
export const clockAt = ({ startHour }: Pick<PracticeDrum, "startHour">, hour: number): number =>
  (startHour + hour) % 24;

/** The day of the drum, 1 for the first. */
export const dayAt = ({ startHour }: Pick<PracticeDrum, "startHour">, hour: number): number =>
  Math.floor((startHour + hour) / 24) + 1;

/** Visits a day: a quick brew is seen to in steps of hours. */
export const stepsOf = (name: DrumName): readonly number[] => (isQuick(name) ? [3, 6, 12] : [12, 24, 72]);
