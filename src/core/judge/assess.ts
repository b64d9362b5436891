import { clockHour } from "../calendar";
import type { BatchInput } from "./batchInput";
import { weigh, type BatchForecast, type Quantiles } from "./forecastBatch";
import { judgedBy } from "./evidence";
import { looksByWorth, type NextLook } from "./nextLook";
import { paceReason } from "./pace";
import { weatherAhead } from "./ahead";
import { drawnCourse, type DrawnCourse } from "./drawnCourse";
import { remainingUse, type RemainingUse } from "./remaining";
import type { Verdict } from "./judged";
import { judge } from "./verdict";
import { whatIf } from "./whatIf";

export interface WarmerCase {
  /** The liquid temperature asked about, and when the window would then open (hours of the batch; null: still not). */
  readonly atC: number;
  readonly start: Quantiles;
}

export interface Assessment {
  readonly forecast: BatchForecast;
  readonly verdict: Verdict;
  /** What standing in its comfort from now on would change; null where it already does, or nothing would be won. */
  readonly ifWarmer: WarmerCase | null;
  /** Looks worth taking, most telling first. */
  readonly looks: readonly NextLook[];
  readonly remaining: RemainingUse;
  /** Where it was asked for, and the batch ripens. */
  readonly drawn: DrawnCourse | null;
}

/** A shift in the window worth mentioning, h. */
const WORTH_SAYING_H = 6;
const KNOWN_PLACE_K = 2.5;
/** A look that narrows less than this is not worth the walk. */
const WORTH_LOOKING = 0.08;

function warmerCase(input: BatchInput, current: BatchForecast): WarmerCase | null {
  const { low, high } = input.recipe.comfortC;
  const atC = (low + high) / 2;
  if (current.meanLiquidC24h >= low || current.probabilityReady > 0.5 || current.probabilityPast > 0.25) return null;
  const { start } = whatIf({ ...input, curveHours: [] }, { placeC: atC }).window;
  const wonH = (current.window.start.p50 ?? Infinity) - (start.p50 ?? Infinity);
  return wonH > WORTH_SAYING_H ? { atC, start } : null;
}

/** Clock hours between which somebody is up. */
const AWAKE = { fromH: 7, untilH: 22 } as const;

/** A look that can wait is not asked for in the night: the next morning does. What blooms moves by the hour and is left as it is. */
function inTheMorning({ act, hour }: Verdict["next"], { recipe, nowH, startHour = 8 }: BatchInput): Verdict["next"] {
  const clock = clockHour(startHour + hour);
  const isNight = clock >= AWAKE.untilH || clock < AWAKE.fromH;
  if (!isNight || hour <= nowH || judgedBy(recipe) === "bloom") return { act, hour };
  return { act, hour: hour + clockHour(AWAKE.fromH - clock) };
}

/**
 * Forecast and verdict of a batch in one call: what warmth would change, which look would tell most, what may still be done with it.
 * @param drawnAt the hours at which its course is drawn, where it is; once the forecast tells how far
 * @throws {DomainError} as `forecastBatch`
 */
export function assess(
  input: BatchInput,
  drawnAt: ((forecast: BatchForecast) => readonly number[]) | null = null,
): Assessment {
  const { forecast: current, belief } = weigh(input);
  const verdict = judge({ recipe: input.recipe, nowH: input.nowH, log: input.log, forecast: current });
  const open = verdict.state === "early" || verdict.state === "near" || verdict.state === "stuck";
  const { usual } = input.temperature;
  // What the weather did is no news of a drum that may stand anywhere.
  const placed = current.liquidSdC < KNOWN_PLACE_K ? belief : null;
  const { stageFromH } = current;
  const pace = paceReason(
    placed,
    usual && {
      meanC: usual.meanC,
      swingC: usual.swingC,
      startHour: ((input.startHour ?? 8) + stageFromH) % 24,
      season: (usual.season ?? []).map(({ hour, celsius }) => ({ hour: hour - stageFromH, celsius })),
    },
  );
  const weather = weatherAhead(placed, input.recipe, stageFromH);
  const besides = open ? [verdict.state === "stuck" ? null : pace, weather].filter((reason) => reason !== null) : [];
  return {
    forecast: current,
    verdict: { ...verdict, reasons: [...verdict.reasons, ...besides], next: inTheMorning(verdict.next, input) },
    ifWarmer: open && input.recipe.readiness.type === "ripens" ? warmerCase(input, current) : null,
    looks:
      belief && verdict.spoilt === null && verdict.state !== "past"
        ? looksByWorth(belief).filter(({ narrowsBy }) => narrowsBy > WORTH_LOOKING)
        : [],
    remaining: remainingUse(input.recipe, verdict, input.log, input.nowH),
    drawn: belief && drawnAt ? drawnCourse(belief, drawnAt(current), stageFromH) : null,
  };
}
