import { forecast, type Forecast, type ForecastInput } from "../ferment/forecast";
import { judge, type Verdict } from "./verdict";

export interface WarmerCase {
  /** The liquid temperature asked about, and when the window would then likely open (hour of the batch; null: still not). */
  readonly atC: number;
  readonly startH: number | null;
}

export interface Assessment {
  readonly forecast: Forecast;
  readonly verdict: Verdict;
  /** What standing in its comfort from now on would change; null where it already does, or nothing would be won. */
  readonly ifWarmer: WarmerCase | null;
}

/** A shift in the window worth mentioning, h. */
const WORTH_SAYING_H = 6;

function warmerCase(input: ForecastInput, current: Forecast): WarmerCase | null {
  const { low, high } = input.recipe.comfortC;
  const atC = (low + high) / 2;
  if (current.meanLiquidC24h >= low || current.probabilityReady > 0.5 || current.probabilityPast > 0.25) return null;
  const liquid = [
    ...input.temperature.liquid,
    { hour: input.nowH, celsius: current.liquidNowC },
    { hour: input.nowH + 6, celsius: atC },
  ];
  const past = input.temperature.air.filter((point) => point.hour <= input.nowH);
  const air =
    past.length > 0 ? [...past, { hour: input.nowH + 3, celsius: atC }, { hour: current.horizonH, celsius: atC }] : [];
  const { start } = forecast({ ...input, temperature: { ...input.temperature, liquid, air }, curveHours: [] }).window;
  const wonH = (current.window.start.p50 ?? Infinity) - (start.p50 ?? Infinity);
  return wonH > WORTH_SAYING_H ? { atC, startH: start.p50 } : null;
}

/**
 * Forecast and verdict of a batch in one call, and what warmth would change.
 * @throws {DomainError} as `forecast`
 */
export function assess(input: ForecastInput): Assessment {
  const current = forecast(input);
  const verdict = judge({
    recipe: input.recipe,
    nowH: input.nowH,
    observations: input.observations,
    forecast: current,
  });
  const open = verdict.state === "early" || verdict.state === "near" || verdict.state === "stuck";
  return { forecast: current, verdict, ifWarmer: open ? warmerCase(input, current) : null };
}
