import { traitsOf } from "../models/classes";
import { airEvents, type FermentBatch } from "../batch";
import type { FermentModel } from "../models/types";

const FINE_UNTIL_H = 96;
/** Weather is forecast for ten days; beyond it the day is a plain wave, which eight points a day follow well. */
const FINE_AHEAD_H = 264;
const FINE_SLOW_H = 480;
const COARSE_STEP_H = 3;

/** Hour up to which a batch is foreseen. */
export const horizonOf = (model: FermentModel, nowH: number): number =>
  Math.max(model.horizonH, nowH + traitsOf(model).aheadH);

const withMiddles = (nodes: readonly number[]): Float64Array => {
  const hours = new Float64Array(2 * nodes.length - 1);
  nodes.forEach((hour, index) => {
    hours[2 * index] = hour;
    if (index > 0) hours[2 * index - 1] = (nodes[index - 1]! + hour) / 2;
  });
  return hours;
};

/** Steps up to some days past now; further on, where only the climate is known, every third hour: soaks look ahead for half a year. */
function slowGrid(nowH: number, horizonH: number, stepH: number): Float64Array {
  const fineH = Math.min(Math.ceil(Math.max(FINE_SLOW_H, nowH + FINE_AHEAD_H)), Math.ceil(horizonH));
  const fine = Math.ceil(fineH / stepH);
  const coarse = Math.ceil((Math.ceil(horizonH) - fine * stepH) / COARSE_STEP_H);
  return Float64Array.from({ length: fine + Math.max(0, coarse) + 1 }, (_, index) =>
    index <= fine ? index * stepH : fine * stepH + (index - fine) * COARSE_STEP_H,
  );
}

/** The hours at which a batch's course is worked out; its air's switches and top-ups among them. */
export function gridOf(batch: FermentBatch, nowH: number, horizonH: number, stepH: number): Float64Array {
  const { grid } = traitsOf(batch.model);
  if (grid === "plain") return slowGrid(nowH, horizonH, stepH);
  if (grid === "three-hourly")
    return withMiddles(Array.from({ length: Math.ceil(horizonH / 3) + 1 }, (_, step) => 3 * step));
  const nodes: number[] = [];
  const after = (hour: number) => hour + (hour < FINE_UNTIL_H ? stepH : 2);
  for (let hour = 0; hour < horizonH; hour = after(hour)) nodes.push(hour);
  nodes.push(after(nodes.at(-1)!));
  // A step across a switch of the air would miss it by hours.
  const switches = airEvents(batch).map(({ hour }) => hour);
  const dilutions = (batch.events ?? []).filter(({ type }) => type === "topped_up").map(({ hour }) => hour);
  const extra = [...switches, ...dilutions].filter((hour) => hour > 0 && hour < horizonH);
  return withMiddles([...new Set([...nodes, ...extra])].toSorted((a, b) => a - b));
}
