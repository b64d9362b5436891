import type { AirPoint, TemperatureReading } from "../batch";
import { valueAt } from "./grid";

export interface AirSeries {
  readonly celsius: Float64Array;
  /** How unsure each value is, K. */
  readonly sdC: Float64Array;
  /** Whether any air was read or forecast, or all is the climate's. */
  readonly basis: "read" | "stated" | "guessed";
}

interface Options {
  readonly startHour: number;
  readonly nowH: number;
  readonly ambientC: number | undefined;
  readonly swingC: number;
  /** Daily means that the climate usually has, by ascending hour; the year moves on while a slow brew stands. */
  readonly season?: readonly AirPoint[] | undefined;
}

interface Point {
  readonly hour: number;
  readonly celsius: number;
  readonly sdC: number;
}

const READING_SD_C = 0.5;
const MOST_SD_C = 3;
const SD_GROWS_C_PER_H = 0.08;
const LINEAR_GAP_H = 8;
const FADES_H = 24;
/** A warm or a cold spell is over after about so long, and the season goes on, h. */
const SPELL_H = 8 * 24;
const NOTHING_KNOWN_C = 20;
const believable = ({ hour, celsius }: AirPoint) => Number.isFinite(hour) && celsius > -30 && celsius < 60;
const byHour = (a: { hour: number }, b: { hour: number }) => a.hour - b.hour;
const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));

/** A forecast starts where the last reading stands: what it misses now is taken off, fading over half a day. */
function corrected(readings: readonly AirPoint[], forecast: readonly AirPoint[], nowH: number): readonly AirPoint[] {
  const last = readings.at(-1);
  const first = forecast[0];
  if (!last || !first || nowH - last.hour > 3 || first.hour - last.hour > 3) return forecast;
  const offC = clamp(last.celsius - first.celsius, -6, 6);
  return forecast.map(({ hour, celsius }) => ({ hour, celsius: celsius + offC * Math.exp(-(hour - last.hour) / 12) }));
}

function pointsOf(readings: readonly TemperatureReading[], forecast: readonly AirPoint[], nowH: number): Point[] {
  const read = readings
    .filter((point) => point.where !== "liquid" && believable(point) && point.hour <= nowH)
    .toSorted(byHour);
  const ahead = forecast.filter((point) => believable(point) && point.hour >= nowH).toSorted(byHour);
  const points: Point[] = [];
  const push = (point: Point) => {
    if (points.length > 0 && point.hour - points.at(-1)!.hour <= 1e-6) points.pop();
    points.push(point);
  };
  for (const { hour, celsius } of read) push({ hour, celsius, sdC: READING_SD_C });
  for (const { hour, celsius } of corrected(read, ahead, nowH))
    push({ hour, celsius, sdC: Math.min(MOST_SD_C, 1 + (0.35 * (hour - nowH)) / 24) });
  return points;
}

function meanOf(points: readonly Point[], ambientC: number | undefined): number {
  const first = points[0];
  const last = points.at(-1);
  if (!first || !last) return ambientC ?? NOTHING_KNOWN_C;
  if (last.hour - first.hour < 12)
    return ambientC ?? points.reduce((sum, { celsius }) => sum + celsius, 0) / points.length;
  let sum = 0;
  let weights = 0;
  for (let index = 1; index < points.length; index += 1) {
    const [from, to] = [points[index - 1]!, points[index]!];
    if (to.hour <= last.hour - 72) continue;
    const weight = Math.min(to.hour - from.hour, 8);
    sum += (weight * (from.celsius + to.celsius)) / 2;
    weights += weight;
  }
  return sum / weights;
}

/** The day's mean at an hour: of these days near the last point, the season's further off. */
function levelOf(points: readonly Point[], meanC: number, season: readonly AirPoint[] | undefined) {
  if (!season || season.length === 0) return () => meanC;
  const hours = Float64Array.from(season, ({ hour }) => hour);
  const means = Float64Array.from(season, ({ celsius }) => celsius);
  const anchorH = points.at(-1)?.hour ?? 0;
  const offC = points.length === 0 ? 0 : meanC - valueAt(hours, means, anchorH);
  return (hour: number) => valueAt(hours, means, hour) + offC * Math.exp(-Math.abs(hour - anchorH) / SPELL_H);
}

/**
 * Air at every hour asked for, from what was read and forecast. Short gaps are bridged evenly; in long ones and beyond either end the
 * day and night of the season go on, with what the nearest reading differs from them fading out, and the unsureness growing.
 * @param hours ascending
 */
export function airSeries(
  hours: ArrayLike<number>,
  readings: readonly TemperatureReading[],
  forecast: readonly AirPoint[],
  { startHour, nowH, ambientC, swingC, season }: Options,
): AirSeries {
  const points = pointsOf(readings, forecast, nowH);
  const meanC = meanOf(points, ambientC);
  const level = levelOf(points, meanC, season);
  const shape = (hour: number) => level(hour) + swingC * Math.cos((2 * Math.PI * (startHour + hour - 15)) / 24);
  const residual = (point: Point) => point.celsius - shape(point.hour);
  const celsius = new Float64Array(hours.length);
  const sdC = new Float64Array(hours.length);
  let next = 0;
  const beyond = (point: Point, hour: number, index: number) => {
    const awayH = Math.abs(hour - point.hour);
    celsius[index] = shape(hour) + residual(point) * Math.exp(-awayH / FADES_H);
    sdC[index] = Math.min(Math.max(MOST_SD_C, point.sdC), point.sdC + SD_GROWS_C_PER_H * awayH);
  };
  for (let index = 0; index < hours.length; index += 1) {
    const hour = hours[index]!;
    while (next < points.length && points[next]!.hour < hour - 1e-9) next += 1;
    const right = points[next];
    const left = points[next - 1];
    if (right && right.hour - hour <= 1e-9) {
      celsius[index] = right.celsius;
      sdC[index] = right.sdC;
    } else if (left && right) {
      const gapH = right.hour - left.hour;
      const share = (hour - left.hour) / gapH;
      const mixed = (a: number, b: number) => a + (b - a) * share;
      const sd = mixed(left.sdC, right.sdC);
      if (gapH <= LINEAR_GAP_H) {
        celsius[index] = mixed(left.celsius, right.celsius);
        sdC[index] = sd;
      } else {
        celsius[index] = shape(hour) + mixed(residual(left), residual(right));
        sdC[index] = Math.min(MOST_SD_C, sd + SD_GROWS_C_PER_H * Math.min(hour - left.hour, right.hour - hour));
      }
    } else if (left) beyond(left, hour, index);
    else if (right) beyond(right, hour, index);
    else {
      celsius[index] = shape(hour);
      sdC[index] = ambientC === undefined ? 4 : 3;
    }
  }
  return { celsius, sdC, basis: points.length > 0 ? "read" : ambientC === undefined ? "guessed" : "stated" };
}
