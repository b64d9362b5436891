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
  /** What the grower says the liquid stands at, where nothing was read. */
  readonly statedC: number | null;
}

/** Where a forecast's temperature came from, best first. */
export type TemperatureBasis = "read" | "air" | "stated";

export interface LiquidTemperature {
  readonly basis: TemperatureBasis;
  /** One value an hour from hour 0. */
  readonly hourlyC: readonly number[];
}

/**
 * Time constant of a vessel's warming, h. Upright cylinder 1.4 times as high as wide, heat lost through its whole skin at
 * 7 W/m²K (still air, lid on): τ = ρcV/(UA) = 2.96 h × V^(1/3), V in litres.
 */
export const warmingTimeH = (volumeL: number, aerated: boolean): number =>
  2.96 * Math.cbrt(Math.max(0.05, volumeL)) * (aerated ? AERATED_SHARE : 1);
// Bubbles carry heat and vapour off; judged, not measured.
const AERATED_SHARE = 0.75;

const byHour = (a: TemperaturePoint, b: TemperaturePoint) => a.hour - b.hour;

/** Linear between points, flat before the first and after the last. Points sorted by hour, at least one. */
function interpolate(points: readonly TemperaturePoint[], hour: number): number {
  const after = points.findIndex((point) => point.hour >= hour);
  if (after === -1) return points[points.length - 1]!.celsius;
  const right = points[after]!;
  const left = points[after - 1];
  if (!left || right.hour === left.hour) return right.celsius;
  return left.celsius + ((right.celsius - left.celsius) * (hour - left.hour)) / (right.hour - left.hour);
}

/** Past the last hour that anyone has forecast, the air rests at the mean of its last day, not at whatever that hour was. */
function withRestingTail(air: readonly TemperaturePoint[]): readonly TemperaturePoint[] {
  const last = air[air.length - 1];
  if (!last) return air;
  const lastDay = air.filter((point) => point.hour > last.hour - 24);
  const mean = lastDay.reduce((sum, point) => sum + point.celsius, 0) / lastDay.length;
  return [...air, { hour: last.hour + 3, celsius: mean }];
}

/** Exact step of dT/dt = (air − T)/τ over h hours in which the air moves evenly from one value to the next. */
function relax(liquidC: number, airFromC: number, airToC: number, tauH: number, h: number): number {
  const slope = (airToC - airFromC) / h;
  return airToC - slope * tauH + (liquidC - airFromC + slope * tauH) * Math.exp(-h / tauH);
}

/**
 * The liquid's temperature hour by hour: what was read in it, carried on by the air through the vessel's own lag.
 * Without air, readings are joined by lines and the last one holds; without either, the stated temperature stands.
 * @returns null when there is neither a reading, nor air, nor a stated temperature
 */
export function liquidTemperature(input: TemperatureInput, tauH: number, horizonH: number): LiquidTemperature | null {
  const liquid = input.liquid.toSorted(byHour);
  const air = withRestingTail(input.air.toSorted(byHour));
  const hours = Array.from({ length: Math.ceil(horizonH) + 1 }, (_, hour) => hour);
  if (air.length === 0) {
    if (liquid.length > 0) return { basis: "read", hourlyC: hours.map((hour) => interpolate(liquid, hour)) };
    return input.statedC === null ? null : { basis: "stated", hourlyC: hours.map(() => input.statedC!) };
  }
  const hourlyC: number[] = [];
  let nowC = input.statedC ?? liquid[0]?.celsius ?? interpolate(air, 0);
  for (const hour of hours) {
    if (hour > 0) {
      const read = liquid.findLast((point) => point.hour > hour - 1 && point.hour <= hour);
      const fromHour = read ? read.hour : hour - 1;
      const startC = read ? read.celsius : nowC;
      nowC =
        fromHour < hour
          ? relax(startC, interpolate(air, fromHour), interpolate(air, hour), tauH, hour - fromHour)
          : startC;
    } else if (liquid[0]?.hour === 0) nowC = liquid[0].celsius;
    hourlyC.push(nowC);
  }
  return { basis: liquid.length > 0 ? "read" : "air", hourlyC };
}
