import { DomainError, requireWithin } from "../errors";
import type { Recipe } from "../book/recipe";
import type { Readiness } from "../book/types";
import {
  liquidTemperature,
  warmingTimeH,
  type LiquidTemperature,
  type TemperatureBasis,
  type TemperatureInput,
} from "./liquidTemperature";
import type { Observation } from "./observations";
import { normalCdf } from "./normal";
import { pathways, rateStep, type Pathway } from "./posterior";
import { rateAt } from "./rate";
import { thermalAt, thermalTime } from "./thermalTime";

export interface ForecastInput {
  readonly recipe: Recipe;
  readonly vesselL: number;
  /** The batch's age, hours. */
  readonly nowH: number;
  readonly temperature: TemperatureInput;
  readonly observations: readonly Observation[];
  /** Hours of the batch at which the curve is wanted; hourly over the horizon if missing. */
  readonly curveHours?: readonly number[];
}

/** Hours of the batch by which a mark has passed with 10, 50 and 90 % chance; null for not within the horizon. */
export interface Quantiles {
  readonly p10: number | null;
  readonly p50: number | null;
  readonly p90: number | null;
}

export interface CurvePoint {
  readonly hour: number;
  readonly ready: number;
  readonly past: number;
}

export interface Forecast {
  readonly window: { readonly start: Quantiles; readonly peak: Quantiles; readonly end: Quantiles };
  readonly probabilityReady: number;
  readonly probabilityPast: number;
  /** Chance that it never becomes ready within the horizon. */
  readonly probabilityNever: number;
  readonly curve: readonly CurvePoint[];
  readonly temperatureBasis: TemperatureBasis;
  readonly liquidNowC: number;
  readonly meanLiquidC24h: number;
  /** Mean rate over the last day, 1 at the method's reference temperature. */
  readonly meanRate24h: number;
  /** Thermal hours so far over those that an average batch needs to start being ready. */
  readonly share: number;
  readonly horizonH: number;
}

/** How far ahead a forecast looks, h: three times what a batch takes in the warm, as far as that can matter to a season. */
function horizonOf(readiness: Readiness): number {
  switch (readiness.type) {
    case "bloom":
      return Math.max(168, 3 * readiness.endH);
    case "acid":
      // A month and more in the cold.
      return 960;
    case "days":
      return Math.min(2400, Math.max(600, 3 * 24 * readiness.peakD));
    case "fresh":
      return Math.min(2400, readiness.freshH + 24);
  }
}
/** Added spread of the log rate by how the temperature is known. */
const BASIS_SD: Record<TemperatureBasis, number> = { read: 0, air: 0.08, stated: 0.16 };
/** What happens between now and a mark is itself uncertain: sd of ln(time left). */
const PROCESS_SD = 0.12;
/** Midpoints of five equal shares of a standard normal. */
const FIFTHS = [-1.2816, -0.5244, 0, 0.5244, 1.2816];
const MAX_AGE_H = 24 * 400;

interface Atom {
  readonly hour: number;
  readonly weight: number;
}

function atomsOf(paths: readonly Pathway[], mark: "startH" | "peakH" | "endH", nowH: number): Atom[] {
  return paths
    .flatMap((path): Atom[] => {
      const hour = path[mark];
      if (hour <= nowH || !Number.isFinite(hour)) return [{ hour, weight: path.weight }];
      return FIFTHS.map((z) => ({
        hour: nowH + (hour - nowH) * Math.exp(PROCESS_SD * z),
        weight: path.weight / FIFTHS.length,
      }));
    })
    .toSorted((a, b) => a.hour - b.hour);
}

function quantile(atoms: readonly Atom[], share: number): number | null {
  let before = 0;
  let last: Atom | null = null;
  let lastMiddle = 0;
  for (const atom of atoms) {
    const middle = before + atom.weight / 2;
    if (middle >= share) {
      if (!Number.isFinite(atom.hour)) return null;
      if (!last) return atom.hour;
      return last.hour + ((atom.hour - last.hour) * (share - lastMiddle)) / (middle - lastMiddle);
    }
    last = atom;
    lastMiddle = middle;
    before += atom.weight;
  }
  return last && Number.isFinite(last.hour) ? last.hour : null;
}

const quantiles = (atoms: readonly Atom[]): Quantiles => ({
  p10: quantile(atoms, 0.1),
  p50: quantile(atoms, 0.5),
  p90: quantile(atoms, 0.9),
});

/** Beyond so many sd the normal distribution is 0 or 1 to seven places; not worth working out. */
const SETTLED_SD = 5;

/**
 * Chance that a mark has passed, as a function of the hour. Each pathway's mark is smeared by what may still happen and by the
 * grid's own width, so that the curve is as smooth as the truth behind it; marks before now are where they are.
 */
function passing(
  paths: readonly Pathway[],
  mark: "startH" | "endH",
  nowH: number,
  smearSd: number,
): (hour: number) => number {
  const behind = paths.filter((path) => path[mark] <= nowH);
  const ahead = paths
    .filter((path) => path[mark] > nowH && Number.isFinite(path[mark]))
    .map((path) => ({ weight: path.weight, logLead: Math.log(path[mark] - nowH) }));
  return (hour) => {
    let sum = 0;
    for (const path of behind) if (path[mark] <= hour) sum += path.weight;
    if (hour <= nowH) return Math.min(1, sum);
    const logLead = Math.log(hour - nowH);
    for (const path of ahead) {
      const z = (logLead - path.logLead) / smearSd;
      if (z > SETTLED_SD) sum += path.weight;
      else if (z > -SETTLED_SD) sum += path.weight * normalCdf(z);
    }
    return Math.min(1, sum);
  };
}

function meanOfLastDay(values: readonly number[], nowH: number): number {
  const to = Math.min(values.length - 1, Math.floor(nowH));
  const slice = values.slice(Math.max(0, to - 24), to + 1);
  return slice.reduce((sum, value) => sum + value, 0) / slice.length;
}

function requireLiquid(input: ForecastInput, horizonH: number): LiquidTemperature {
  const tauH = warmingTimeH(input.vesselL, input.recipe.aerated);
  const liquid = liquidTemperature(input.temperature, tauH, horizonH);
  if (!liquid) throw new DomainError("no-temperature", { method: input.recipe.id }, "/liquidTemperature");
  return liquid;
}

/**
 * When a batch's window is likely to open, be best and close, from thermal time on its liquid's temperature, moved by what was read and smelt.
 * @throws {DomainError} `no-temperature`, `out-of-range` (age, vessel)
 */
export function forecast(input: ForecastInput): Forecast {
  requireWithin("The batch's age", input.nowH, "h", 0, MAX_AGE_H, "/now");
  requireWithin("The vessel", input.vesselL, "L", 0.1, 20_000, "/vesselVolume");
  const { readiness } = input.recipe;
  const horizonH = input.nowH + horizonOf(readiness);
  const liquid = requireLiquid(input, horizonH);
  const theta = thermalTime(liquid.hourlyC, readiness.temperatures);
  const sd = Math.hypot(readiness.logRateSd, BASIS_SD[liquid.basis]);
  const paths = pathways(readiness, input.recipe.cues, theta, input.observations, sd);

  const starts = atomsOf(paths, "startH", input.nowH);
  const ends = atomsOf(paths, "endH", input.nowH);
  const smearSd = Math.hypot(PROCESS_SD, rateStep(sd) / 2);
  const startedBy = passing(paths, "startH", input.nowH, smearSd);
  const overBy = passing(paths, "endH", input.nowH, smearSd);
  const at = (hour: number): CurvePoint => {
    const past = overBy(hour);
    return { hour, ready: Math.max(0, startedBy(hour) - past), past };
  };
  const now = at(input.nowH);
  const window = {
    start: quantiles(starts),
    peak: quantiles(atomsOf(paths, "peakH", input.nowH)),
    end: quantiles(ends),
  };
  const usualStart = paths.reduce(
    (sum, path) =>
      sum + path.weight * (Number.isFinite(path.startH) ? thermalAt(theta, path.startH) : theta[theta.length - 1]!),
    0,
  );
  return {
    window,
    probabilityReady: now.ready,
    probabilityPast: now.past,
    probabilityNever: paths.reduce((sum, path) => sum + (Number.isFinite(path.startH) ? 0 : path.weight), 0),
    curve: (input.curveHours ?? Array.from({ length: Math.floor(horizonH) + 1 }, (_, hour) => hour)).map(at),
    temperatureBasis: liquid.basis,
    liquidNowC: liquid.hourlyC[Math.min(liquid.hourlyC.length - 1, Math.round(input.nowH))]!,
    meanLiquidC24h: meanOfLastDay(liquid.hourlyC, input.nowH),
    meanRate24h: meanOfLastDay(
      liquid.hourlyC.map((celsius) => rateAt(celsius, readiness.temperatures)),
      input.nowH,
    ),
    share: usualStart > 0 ? thermalAt(theta, input.nowH) / usualStart : 0,
    horizonH,
  };
}
