import { createHash } from "node:crypto";
import type { PostedReadings } from "@/services/devices";
import { probeFigures, type SimulatedProbe } from "@/sim/drumProbe";
import type { Climate } from "@/core/weather/climate";
import { weather } from "@/sim/weatherStation";
import { FARM } from "./story";

const HOUR_MS = 3_600_000;
const AHEAD_H = 10 * 24 + 12;
const CHUNK = 4000;

/** The devices of the demo farm, by name: what each posts is made up by its stand-in. */
export const STATION = "Mast by the pump shed";
export const FLOAT = "Float in the air drum";
export const PEN = "Pen in the glass drum";

/** Tokens of made-up devices on a farm that answers on loopback alone; those of a real farm are made by its own browser. */
export const tokenOf = (device: string): string =>
  createHash("sha256").update(`quillet-field/device/${device}`).digest("base64url");

const CLIMATE: Climate = {
  latitudeDeg: FARM.latitudeDeg,
  longitudeDeg: FARM.longitudeDeg,
  meanC: FARM.climateMeanC,
  swingC: FARM.climateSwingC,
};

/** When the drums that have a probe were filled, hours before the demo was made. */
export const FILLED_H_AGO = { [FLOAT]: 27, [PEN]: 18 * 24 } as const;

/** The glass drum soured to 4.75 and stood there: its pH, by its hour. */
const stalled = (hour: number): number => 4.72 + 1.28 / (1 + Math.exp((hour - 150) / 30));

export function probeOf(device: typeof FLOAT | typeof PEN, madeAt: Date): SimulatedProbe {
  const filledAt = new Date(madeAt.getTime() - FILLED_H_AGO[device] * HOUR_MS);
  return device === FLOAT
    ? { seed: 11, climate: { ...CLIMATE, meanC: CLIMATE.meanC + 6 }, volumeL: 150, filledAt, filledC: 24 }
    : {
        seed: 23,
        climate: { ...CLIMATE, meanC: CLIMATE.meanC + 4.5 },
        volumeL: 100,
        filledAt,
        filledC: 23,
        ph: stalled,
        phDriftPerD: 0.002,
      };
}

/** What a device would have posted between two moments, in posts of bearable size. */
export function postsOf(device: string, madeAt: Date, from: Date, to: Date): PostedReadings[] {
  if (device !== STATION) {
    const figures = probeFigures(probeOf(device as typeof FLOAT, madeAt), from, to);
    return [{ readings: figures.map((figure) => ({ ...figure, at: figure.at.toISOString() })) }];
  }
  const hours = weather(CLIMATE, from, new Date(to.getTime() + AHEAD_H * HOUR_MS), to);
  const readings = hours
    .filter(({ measured }) => measured)
    .flatMap(({ at, airC, rainMm, windMPerS }) => [
      { at: at.toISOString(), quantity: "air" as const, value: Number(airC.toFixed(2)) },
      { at: at.toISOString(), quantity: "rain" as const, value: rainMm },
      { at: at.toISOString(), quantity: "wind" as const, value: Number(windMPerS.toFixed(2)) },
    ]);
  const posts: PostedReadings[] = [];
  for (let first = 0; first < readings.length; first += CHUNK)
    posts.push({ readings: readings.slice(first, first + CHUNK) });
  const forecast = {
    issuedAt: to.toISOString(),
    hours: hours
      .filter(({ measured }) => !measured)
      .map(({ at, airC, rainMm, windMPerS }) => ({
        at: at.toISOString(),
        airC: Number(airC.toFixed(2)),
        rainMm,
        windMPerS: Number(windMPerS.toFixed(2)),
      })),
  };
  return [...posts, { readings: [], forecast }];
}
