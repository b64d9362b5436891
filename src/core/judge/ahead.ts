import type { Recipe } from "../book/recipe";
import { likeliestStart, type Belief } from "../ferment/outlook/belief";
import { valueAt } from "../ferment/temperature/grid";
import type { VerdictReason } from "./reasons";

const LOOK_AHEAD_H = 60;
/** So far outside its comfort a brew is worth a walk, K. */
const MARGIN_C = 2;

/**
 * Cold or heat that the forecast brings to the liquid within the next days, where it now stands well; null where none.
 * @param fromH hour of the batch at which the belief's own hours begin
 */
export function weatherAhead(belief: Belief | null, { comfortC }: Recipe, fromH: number): VerdictReason | null {
  if (!belief) return null;
  const { course } = likeliestStart(belief);
  const at = (hour: number) => valueAt(course.hours, course.liquidC, hour);
  const now = at(belief.nowH);
  let coldest = { hour: belief.nowH, celsius: now };
  let hottest = coldest;
  for (let ahead = 1; ahead <= LOOK_AHEAD_H; ahead += 1) {
    const hour = belief.nowH + ahead;
    const celsius = at(hour);
    if (celsius < coldest.celsius) coldest = { hour, celsius };
    if (celsius > hottest.celsius) hottest = { hour, celsius };
  }
  const cold = coldest.celsius < comfortC.low - MARGIN_C && now >= comfortC.low - MARGIN_C;
  const hot = hottest.celsius > comfortC.high + MARGIN_C && now <= comfortC.high + MARGIN_C;
  if (hot) return { code: "heat-ahead", celsius: hottest.celsius, hour: hottest.hour + fromH, comfortC: comfortC.high };
  if (cold) return { code: "cold-ahead", celsius: coldest.celsius, hour: coldest.hour + fromH, comfortC: comfortC.low };
  return null;
}
