import type { IngredientId } from "../../book/ingredients";
import { addDays, daysBetween } from "../../calendar";
import { meanOfPlace } from "../../ferment/temperature/places";
import { mostL } from "../expand";
import { WEIGHTS, weekOf, weeksOf, type Season, type SeasonInput } from "../season";
import { hoursOf, type FarmFacts, type SeasonAssumed } from "./facts";
import { inputOf, methodsOf } from "./inputs";
import { durationRows, underWay, vesselsOf } from "./standing";
import { ingredientOf } from "./supplies";
import { needsOf, programmesOf, separationsOf } from "./wants";

export type {
  FactDue,
  FactItem,
  FactForbidden,
  FactGathered,
  FactPlot,
  FactRunning,
  FactStore,
  FactVessel,
  FarmFacts,
  SeasonAssumed,
  SeasonTerms,
} from "./facts";

export { carriedOver, sinceThen, type SinceThen } from "./carryOver";
export { hoursOf } from "./facts";
export interface FarmSeason {
  readonly season: Season;
  readonly assumed: readonly SeasonAssumed[];
  /** Of what its recipe is counted against to a litre filled, by input: what a planned batch is begun with. */
  readonly basisPerL: Readonly<Record<string, number>>;
}

/** The Monday of a day's week. */
export function mondayOf(day: string): string {
  const weekday = (new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7;
  return addDays(day, -weekday);
}

/** Days until ready in other years, rows as in the farm's own season. @param years mean air of each by day, °C, from the season's first */
export const durationsIn = (facts: FarmFacts, years: readonly (readonly number[])[]): Season["durations"][] => {
  const made = methodsOf(facts);
  return years.map((dailyC) => [...durationRows({ ...facts, dailyC }, made)]);
};

/** The hours that were said, a week; more where what runs already takes more: it has to be looked after all the same. */
function weekMinutes(
  facts: FarmFacts,
  inputs: readonly SeasonInput[],
  running: Season["running"],
  nowDay: number,
): number[] {
  const weekMin = Array.from({ length: weeksOf(facts.days) }, () => 0);
  const works = (day: number, minutes: number): void => {
    if (day >= nowDay && day < facts.days) weekMin[weekOf(day)]! += minutes;
  };
  for (const { input, startDay, readyDay } of running) {
    const { work } = inputs.find(({ id }) => id === input)!;
    works(startDay, work.fillMin);
    for (let day = Math.max(startDay, nowDay); day < readyDay; day += 1) works(day, work.dayMin);
    works(Math.max(readyDay, nowDay), work.closeMin);
  }
  return weekMin.map((minutes) => Math.max(minutes, hoursOf(facts.terms) * 60));
}

/** A farm as it stands today, as a season that can be planned. */
export function seasonOfFarm(facts: FarmFacts): FarmSeason {
  const assumed: SeasonAssumed[] = [];
  const firstDay = mondayOf(facts.today);
  const day = (iso: string): number => daysBetween(firstDay, iso);
  const made = methodsOf(facts);
  for (const methodId of new Set(facts.plots.flatMap(({ dues }) => dues.map((due) => due.methodId))))
    if (!made.has(methodId)) assumed.push({ code: "not-liquid", methodId });
  const warmest = Math.max(...facts.dailyC, 10);
  const inputs = [...made.values()].map((recipe) => inputOf(recipe, made, meanOfPlace({ kind: "shade" }, warmest)));
  const vessels = vesselsOf(facts, made, day);
  const durations = durationRows(facts, made);
  const programmes = programmesOf(facts, made, assumed);
  const standing = underWay(facts, made, day);
  const ingredientIds = [
    ...new Set(inputs.flatMap(({ ingredients }) => ingredients.map(({ ingredient }) => ingredient))),
  ];
  const season: Season = {
    format: "ruchka-season",
    formatVersion: 1,
    name: facts.name,
    firstDay,
    days: facts.days,
    nowDay: day(facts.today),
    labour: {
      weekMin: weekMinutes(facts, inputs, standing.running, day(facts.today)),
      costPerHour: facts.labourPerH,
    },
    airLines: 0,
    cans: { volumeL: facts.terms.canL, count: facts.terms.cans },
    vessels,
    inputs: inputs.map(({ basisPerL: _basis, ...input }) => input),
    durations,
    ingredients: ingredientIds.map((id) =>
      ingredientOf(
        id as IngredientId,
        facts.shelf.find(({ ingredientId }) => ingredientId === id),
        facts,
        firstDay,
        assumed,
      ),
    ),
    plantings: facts.plots.map(({ id, crop, areaM2 }) => ({
      id: String(id),
      plot: String(id),
      crop,
      areaM2,
      plants: 0,
      plantDay: 0,
      harvest: null,
      stages: [],
    })),
    programmes: [...programmes.values()],
    separations: separationsOf(programmes),
    needs: needsOf(facts, programmes, (input) => mostL({ vessels, inputs }, input), day),
    ...standing,
    applied: [],
    previous: null,
    weights: WEIGHTS,
    closedWeekdays: facts.terms.closedWeekdays,
    forbidden: facts.terms.forbidden
      .filter(({ methodId }) => made.has(methodId))
      .map(({ methodId, vesselId, fromOn, toOn }) => ({
        input: methodId,
        ...(vesselId === null ? {} : { vessel: String(vesselId) }),
        fromDay: fromOn === null ? 0 : day(fromOn),
        toDay: toOn === null ? facts.days : day(toOn),
      })),
  };
  return { season, assumed, basisPerL: Object.fromEntries(inputs.map(({ id, basisPerL }) => [id, basisPerL])) };
}
