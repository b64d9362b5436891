import { DAY_NIGHT_HALF_C, dayWave, usualAir, type Climate } from "@/core/weather/climate";

export interface HourOfWeather {
  readonly at: Date;
  readonly airC: number;
  readonly rainMm: number;
  readonly windMPerS: number;
  /** Measured by the station, or forecast. */
  readonly measured: boolean;
}

const HOUR_MS = 3_600_000;
const DAY_H = 24;
/** The station's own luck: same seed, same weather, whenever it is asked. */
const SEED = 20_310_407;

/** A repeatable draw from 0 to 1 for a whole number (mulberry32's mixing step). */
function draw(index: number, stream: number): number {
  let t = (index * 0x6d2b79f5 + stream * 0x9e3779b9 + SEED) | 0;
  t = Math.imul(t ^ (t >>> 15), t | 1);
  t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
  return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
}

/** Smooth luck from -1 to 1 that changes over so many hours. */
function smooth(hour: number, spanH: number, stream: number): number {
  const at = hour / spanH;
  const left = Math.floor(at);
  const share = at - left;
  const ease = share * share * (3 - 2 * share);
  return 2 * (draw(left, stream) * (1 - ease) + draw(left + 1, stream) * ease) - 1;
}

function trueWeather(at: Date, climate: Climate): Omit<HourOfWeather, "measured"> {
  const hour = at.getTime() / HOUR_MS;
  const solarHour = (((hour + climate.longitudeDeg / 15) % DAY_H) + DAY_H) % DAY_H;
  const usual = usualAir(at, climate);
  const cloud = smooth(hour, 30, 1);
  const dayNight = DAY_NIGHT_HALF_C * (1 - 0.35 * Math.max(0, cloud)) * dayWave(at, climate);
  const spell = 2.6 * smooth(hour, 84, 2);
  const wet = cloud + 0.5 * smooth(hour, 7, 3) - 0.75;
  const breeze = 0.5 + 0.5 * Math.cos((2 * Math.PI * (solarHour - 14)) / DAY_H);
  return {
    at,
    airC: usual.meanC + dayNight + spell,
    rainMm: wet > 0 ? Math.round(wet * 60) / 10 : 0,
    windMPerS: Math.max(0.2, 1 + 2.4 * breeze + 1.6 * smooth(hour, 18, 4)),
  };
}

/** What the forecast gets wrong, growing with the lead: about 1 °C for tomorrow, 3 °C in a week. */
const forecastErrorC = (at: Date, leadH: number) =>
  Math.min(3, 0.4 + 0.38 * (leadH / DAY_H)) * smooth(at.getTime() / HOUR_MS, 40, 5);

/**
 * Stand-in for a farm's weather station and its forecast: whole hours, repeatable, in the farm's own climate.
 * Hours up to `now` are as measured; later ones are a forecast that errs as forecasts do.
 */
export function weather(climate: Climate, from: Date, to: Date, now: Date): HourOfWeather[] {
  const hours: HourOfWeather[] = [];
  for (let ms = Math.floor(from.getTime() / HOUR_MS) * HOUR_MS; ms <= to.getTime(); ms += HOUR_MS) {
    const at = new Date(ms);
    const real = trueWeather(at, climate);
    const leadH = (ms - now.getTime()) / HOUR_MS;
    if (leadH <= 0) hours.push({ ...real, measured: true });
    else hours.push({ ...real, airC: real.airC + forecastErrorC(at, leadH), measured: false });
  }
  return hours;
}
