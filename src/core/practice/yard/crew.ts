import type { Chance } from "../../chance";
import type { World } from "./world";

/** What a farm's instruments are truly like. */
export interface Crew {
  readonly ph: "meter" | "strip" | null;
  readonly meterOff: (hour: number) => number;
  readonly hasThermometer: boolean;
  readonly thermometerOffC: number;
}

export function drawCrew(chance: Chance, world: Pick<World, "metersDrift" | "thermometers">): Crew {
  const kind = chance.uniform();
  const bias = world.metersDrift ? 0.12 * chance.normal() : 0;
  const perDay = world.metersDrift && chance.uniform() < 0.3 ? 0.03 * chance.normal() : 0;
  const dryFromH = world.metersDrift && chance.uniform() < 0.08 ? chance.between(100, 700) : Infinity;
  const dryBy = chance.between(0.5, 1.5);
  return {
    ph: kind < 0.4 ? "meter" : kind < 0.75 ? "strip" : null,
    meterOff: (hour) => bias + (perDay * hour) / 24 + (hour >= dryFromH ? dryBy : 0),
    hasThermometer: chance.uniform() < world.thermometers,
    thermometerOffC: 0.7 * chance.normal(),
  };
}

/** A pH as the instrument tells it: a meter to the hundredth and with its own fault, a strip by half steps. */
export const readPh = (chance: Chance, crew: Crew, by: "meter" | "strip", truly: number, hour: number): number =>
  by === "meter"
    ? Math.round((truly + crew.meterOff(hour) + 0.06 * chance.normal()) * 100) / 100
    : Math.round((truly + 0.22 * chance.normal()) * 2) / 2;

/** A temperature as the thermometer tells it, by half degrees, °C. */
export const readWarmth = (chance: Chance, crew: Crew, liquidC: number): number =>
  Math.round(2 * (liquidC + crew.thermometerOffC + 0.3 * chance.normal())) / 2;
