import { airEvents } from "../batch";
import type { Trajectory } from "../kinetics/trajectory";
import { valueAt } from "../temperature/grid";
import type { Belief } from "./belief";
import { sortAtoms, type Atoms } from "./quantiles";

export type Mark = "startH" | "peakH" | "endH" | "crashH" | "sealH";

/** What happens between now and a mark is itself uncertain: sd of ln(time left). */
export const SHIPPED_PROCESS_SD = 0.1;
/** Means of five equal shares of a standard normal, scaled to variance 1. */
const FIFTHS = [-1.4634, -0.5988, 0, 0.5988, 1.4634];
/** Growers disagree by twelvefold on how long a brew is good once its air stops: variance of ln(time left). */
const AIR_OFF_VARIANCE = 0.2;

const markOf = (path: Trajectory, mark: Mark): number => path[mark] ?? Infinity;

/**
 * When a mark falls, over all that is believed: what lies behind is known, what lies ahead is smeared by what weather, process and grid
 * leave open.
 */
export function atomsOf(belief: Belief, mark: Mark, processSd = SHIPPED_PROCESS_SD): Atoms {
  if (belief.ways.every(({ path }) => markOf(path, mark) === Infinity)) return sortAtoms([Infinity], [1]);
  const { nowH, uStep, starts } = belief;
  const isBloom = belief.batch.model.cls === "bloom";
  const fineH = isBloom ? 1 : 4;
  const lastSwitch = airEvents(belief.batch).at(-1);
  const airOffH = lastSwitch?.type === "air_off" && (mark === "endH" || mark === "crashH") ? lastSwitch.hour : Infinity;
  const hours: number[] = [];
  const weights: number[] = [];
  const passed = starts.map(({ course, shiftH }) => ({
    theta: valueAt(course.hours, course.theta, nowH + shiftH),
    unsure: valueAt(course.hours, course.thetaSd, nowH + shiftH),
  }));
  for (const { path, weight, start } of belief.ways) {
    const { course, shiftH } = starts[start]!;
    const at = markOf(path, mark);
    const hour = at - shiftH;
    if (hour <= nowH || !Number.isFinite(at)) {
      hours.push(hour);
      weights.push(weight);
      continue;
    }
    const leadH = hour - nowH;
    const ripens = valueAt(course.hours, course.theta, at) - passed[start]!.theta;
    const unsure = Math.abs(valueAt(course.hours, course.thetaSd, at) - passed[start]!.unsure);
    const weatherSd = ripens > 0 ? Math.min(0.5, (0.7 * unsure) / ripens) : 0.5;
    const sd = Math.sqrt(
      (uStep * uStep) / 12 +
        weatherSd * weatherSd +
        processSd * processSd +
        0.25 * (fineH / Math.max(leadH, fineH)) ** 2 +
        (hour > airOffH ? AIR_OFF_VARIANCE : 0),
    );
    for (const z of FIFTHS) {
      hours.push(nowH + leadH * Math.exp(sd * z));
      weights.push(weight / FIFTHS.length);
    }
  }
  return sortAtoms(hours, weights);
}
