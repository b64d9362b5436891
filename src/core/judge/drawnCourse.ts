import { likeliestStart, type Belief } from "../ferment/outlook/belief";
import { valueAt } from "../ferment/temperature/grid";
import { expectedCurve, type ExpectedCurve } from "./expectedCurve";

/** What a batch's page draws from the belief that its verdict rests on: how it should go, and how warm its liquid was and will be. */
export interface DrawnCourse {
  readonly expected: ExpectedCurve;
  readonly liquid: readonly { readonly hour: number; readonly celsius: number; readonly airC: number }[];
}

/**
 * @param hours hours of the batch
 * @param fromH hour at which the stage that the belief is of began
 */
export function drawnCourse(belief: Belief, hours: readonly number[], fromH: number): DrawnCourse {
  const { course, shiftH } = likeliestStart(belief);
  return {
    expected: expectedCurve(belief, hours, fromH),
    liquid: hours
      .filter((hour) => hour >= fromH)
      .map((hour) => {
        const at = Math.max(0, hour - fromH + shiftH);
        return {
          hour,
          celsius: valueAt(course.hours, course.liquidC, at),
          airC: valueAt(course.hours, course.airC, at),
        };
      }),
  };
}
