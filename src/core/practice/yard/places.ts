import type { PlaceKind } from "../../ferment/temperature/places";
import type { Chance } from "../../chance";

/** Where a drum truly stands. A heated one is in a shed with a thermostat in the liquid. */
export const TRUE_PLACES = ["shade", "sun", "shed", "cellar", "kitchen", "greenhouse", "heated"] as const;
export type TruePlace = (typeof TRUE_PLACES)[number];

export const SAID_AS: Record<TruePlace, PlaceKind> = {
  shade: "shade",
  sun: "sun",
  shed: "shed",
  cellar: "cellar",
  kitchen: "indoors",
  greenhouse: "greenhouse",
  heated: "shed",
};
export const THERMOSTAT_C = 24;

/** Air outside by the hour: a season's mean, day and night, spells of some days, clouds. */
export interface Weather {
  readonly airC: Float64Array;
  /** Share of full sun by the hour. */
  readonly sun: Float64Array;
  readonly meanC: number;
  readonly swingC: number;
}

export function drawWeather(chance: Chance, hours: number, startHour: number): Weather {
  const meanC = chance.between(6, 25);
  const swingC = chance.between(2.5, 7);
  const airC = new Float64Array(hours);
  const sun = new Float64Array(hours);
  let spell = 2 * chance.normal();
  let cloud = chance.uniform();
  for (let hour = 0; hour < hours; hour += 1) {
    spell = 0.988 * spell + 0.3 * chance.normal();
    if (hour % 12 === 0) cloud = Math.min(1, Math.max(0, 0.5 * cloud + chance.between(-0.1, 0.7)));
    const clock = (startHour + hour) % 24;
    airC[hour] = meanC + swingC * Math.cos((2 * Math.PI * (clock - 15)) / 24) * (1 - 0.4 * cloud) + spell;
    sun[hour] = Math.max(0, Math.sin((Math.PI * (clock - 6)) / 12)) * (1 - 0.8 * cloud);
  }
  return { airC, sun, meanC, swingC };
}

export interface Standing {
  readonly place: TruePlace;
  /** What the place is like, for those who say how warm it is, °C. */
  readonly meanC: number;
  readonly liquidC: Float64Array;
}

/** What nobody knows of a yard's places and of a vessel's slowness. */
export interface PlaceTraits {
  readonly tauH: number;
  readonly roomC: number;
  readonly cellarC: number;
  readonly sunK: number;
  readonly glassK: number;
  readonly shedK: number;
  readonly startC: number;
}

export function drawPlaceTraits(chance: Chance, meanC: number, volumeL: number): PlaceTraits {
  return {
    tauH: 2.2 * volumeL ** 0.36 * chance.between(0.7, 1.5),
    roomC: chance.between(18, 24),
    cellarC: 11 + 0.25 * (meanC - 11) + chance.between(0, 4),
    sunK: chance.between(5, 12),
    glassK: chance.between(7, 15),
    shedK: chance.between(0, 3.5),
    startC: chance.uniform() < 0.3 ? chance.between(18, 28) : chance.between(9, 18),
  };
}

/** How warm it is around a drum at an hour, °C. @param dailyC the air's slow mean of about a day */
export function aroundC(
  traits: PlaceTraits,
  { airC, sun }: Weather,
  place: TruePlace,
  hour: number,
  dailyC: number,
): number {
  switch (place) {
    case "shade":
      return airC[hour]!;
    case "sun":
      return airC[hour]! + traits.sunK * sun[hour]!;
    case "shed":
    case "heated":
      return dailyC + 0.35 * (airC[hour]! - dailyC) + traits.shedK;
    case "cellar":
      return traits.cellarC;
    case "kitchen":
      return traits.roomC + 1.2 * Math.cos((2 * Math.PI * (hour - 10)) / 24);
    case "greenhouse":
      return Math.min(40, Math.max(2, airC[hour]! + 2.5 + traits.glassK * sun[hour]!));
  }
}

/** The liquid an hour on, °C; a thermostat holds what is heated. */
export function anHourOn(tauH: number, liquidC: number, around: number, isHeated: boolean): number {
  const next = liquidC + (around - liquidC) * (1 - Math.exp(-1 / tauH));
  return isHeated && next < THERMOSTAT_C ? Math.min(THERMOSTAT_C, next + 4) : next;
}

/** The liquid by the hour: the place's own air, sun on its skin, and the vessel's slowness, which no two vessels share. */
export function stand(chance: Chance, weather: Weather, place: TruePlace, volumeL: number): Standing {
  const { airC, meanC } = weather;
  const hours = airC.length;
  const liquidC = new Float64Array(hours);
  const traits = drawPlaceTraits(chance, meanC, volumeL);
  let dailyC = meanC;
  let celsius = traits.startC;
  let sum = 0;
  for (let hour = 0; hour < hours; hour += 1) {
    dailyC += (airC[hour]! - dailyC) / 24;
    const around = aroundC(traits, weather, place, hour, dailyC);
    sum += around / hours;
    celsius = anHourOn(traits.tauH, celsius, around, place === "heated");
    liquidC[hour] = celsius;
  }
  const said = place === "kitchen" ? traits.roomC : place === "cellar" ? traits.cellarC : sum;
  return { place, meanC: said, liquidC };
}
