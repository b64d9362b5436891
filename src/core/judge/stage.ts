import { traitsOf } from "../ferment/models/classes";
import type { FermentBatch } from "../ferment/batch";
import type { FermentModel } from "../ferment/models/types";
import { believe, expected, likeliestStart } from "../ferment/outlook/belief";
import { valueAt } from "../ferment/temperature/grid";
import type { BatchInput } from "./batchInput";
import { actsOf } from "./log";
import { modelBatch } from "./modelBatch";

/** The stretch of a batch that a forecast runs over: the whole, or what began with its latest feed. */
export interface RunningStage {
  readonly batch: FermentBatch;
  /** Hour of the batch at which the stage began. */
  readonly fromH: number;
}

/** A feed within so many hours of the recipe's own day for it is the recipe's, not a new beginning. */
const ON_ITS_DAY_H = 36;
/** Half the recipe's food is what a rescue takes, where nobody says. */
const USUAL_FEED = 0.5;
/** After a feed the batch may run otherwise than it did: spread of the log rate that comes on top. */
const NEW_STAGE_SD = 0.15;
/** Twenty times the recipe's inoculum and more starts no sooner. */
const MOST_INOCULUM = 20;

function lastFeed(input: BatchInput): { hour: number; share: number } | null {
  const scheduled = input.recipe.ingredients.flatMap(({ onDay }) => (onDay === undefined ? [] : [onDay * 24]));
  const feed = actsOf(input.log)
    .filter(({ act, hour }) => act === "fed" && hour <= input.nowH && hour > 1)
    .filter(({ hour }) => !scheduled.some((dueH) => Math.abs(hour - dueH) <= ON_ITS_DAY_H))
    .at(-1);
  return feed ? { hour: feed.hour, share: feed.amount ?? USUAL_FEED } : null;
}

const later = <T extends { readonly hour: number }>(items: readonly T[] | undefined, byH: number): T[] =>
  (items ?? []).map((item) => ({ ...item, hour: item.hour - byH }));

/**
 * The stage that now runs. A feed that the recipe does not have is taken for what it is: a new batch begun on what was there, with its
 * pace as far as it was known, its pH, and its many living cells.
 */
export function runningStage(input: BatchInput, model: FermentModel): RunningStage {
  const whole = modelBatch(input, model);
  const { fedAnew } = traitsOf(model);
  const feed = fedAnew ? lastFeed(input) : null;
  if (!fedAnew || !feed) return { batch: whole, fromH: 0 };
  const before = believe({ ...whole, forecast: [] }, feed.hour);
  const { course } = likeliestStart(before);
  const ph = expected(before, "ph");
  const viable = expected(before, "viability");
  const cells = model.cls === "bloom" && viable !== null ? (viable * model.reference.cells) / model.startingCells : 2;
  return {
    fromH: feed.hour,
    batch: {
      ...whole,
      startHour: ((whole.startHour ?? 8) + feed.hour) % 24,
      startC: valueAt(course.hours, course.liquidC, feed.hour),
      ...(ph === null ? {} : { startPh: Math.max(model.cls === "acid" ? model.targetPh + 0.05 : 0, ph) }),
      inoculum: Math.min(MOST_INOCULUM, Math.max(1, cells)),
      sugar: Math.min(1.6, (whole.sugar ?? 1) * fedAnew.sugarLeft + feed.share * 0.5),
      prior: { mean: before.u.mean, sd: Math.hypot(before.u.sd, NEW_STAGE_SD) },
      ...(whole.season ? { season: later(whole.season, feed.hour) } : {}),
      readings: later(whole.readings, feed.hour),
      forecast: later(whole.forecast, feed.hour),
      // Surroundings set up before the feed still stand; they are set again at its first hour.
      events: later(whole.events, feed.hour).map((event) => ({ ...event, hour: Math.max(0, event.hour) })),
      observations: later(whole.observations, feed.hour).filter(({ hour }) => hour >= 0),
    },
  };
}
