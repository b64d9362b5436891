import type { Recipe } from "../../book/recipe";
import { leadTime, type LeadTime } from "../../choose/leadTime";
import { meanOfPlace, type Place } from "../../ferment/temperature/places";

/** Looked ahead for the first guess of how warm it will stand, days. */
const FIRST_LOOK_D = 10;
/** A batch that takes longer than this is none to plan by. */
const MOST_D = 200;

const meanOver = (dailyC: readonly number[], from: number, days: number): number => {
  const span = dailyC.slice(from, from + Math.max(1, days));
  return span.reduce((sum, celsius) => sum + celsius, 0) / Math.max(1, span.length);
};
/** Days from the start day until it may be used: nine times in ten for what keeps, the best day for what does not. */
function daysOf({ keeping }: Recipe, { latestH, bestH }: LeadTime): number | null {
  const hours = keeping.living ? bestH : latestH;
  if (hours === null || !Number.isFinite(hours)) return null;
  const days = keeping.living ? Math.round(hours / 24) : Math.ceil(hours / 24);
  return days > MOST_D ? null : Math.max(keeping.living && hours > 6 ? 1 : 0, days);
}
/** Leads by whole degrees, between which it is measured out: a season asks thousands of times. */
function leadDays(recipe: Recipe, liquidC: number): number | null {
  const [low, high] = [Math.floor(liquidC), Math.ceil(liquidC)];
  const [atLow, atHigh] = [daysOf(recipe, leadTime(recipe, low)), daysOf(recipe, leadTime(recipe, high))];
  if (atLow === null || atHigh === null) return liquidC - low < 0.5 ? atLow : atHigh;
  return Math.round(atLow + (atHigh - atLow) * (liquidC - low));
}

/** How long a recipe takes in a place by the day that it is started on; null where it comes to nothing. @param dailyC mean air outside by day, °C, from day 0 */
export function durationsOf(recipe: Recipe, place: Place, dailyC: readonly number[], days: number): (number | null)[] {
  return Array.from({ length: days }, (_, day) => {
    const first = leadDays(recipe, meanOfPlace(place, meanOver(dailyC, day, FIRST_LOOK_D)));
    if (first === null) return null;
    return leadDays(recipe, meanOfPlace(place, meanOver(dailyC, day, first)));
  });
}
/** Days that what is ready stays good, by the warmth of a month from a day on: of what does not keep, and in its vessel of what does. */
export function standsD(recipe: Recipe, celsius: number): number {
  const { bestH, latestH, overH } = leadTime(recipe, Math.round(celsius));
  const from = recipe.keeping.living ? bestH : latestH;
  return from === null || overH === null
    ? recipe.keeping.living
      ? 0
      : 14
    : Math.max(0, Math.floor((overH - from) / 24));
}
