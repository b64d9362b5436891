import type { IngredientId } from "../../book/ingredients";
import { addDays, daysBetween } from "../../calendar";
import { meanOfPlace } from "../../ferment/temperature/places";
import { mostL } from "../expand";
import { WEIGHTS, weeksOf, type Season } from "../season";
import type { FarmFacts, SeasonAssumed } from "./facts";
import { inputOf, methodsOf } from "./inputs";
import { durationRows, underWay, vesselsOf } from "./standing";
import { ingredientOf } from "./supplies";
import { needsOf, programmesOf, separationsOf } from "./wants";

export type {
  FactDue,
  FactItem,
  FactPlot,
  FactRunning,
  FactStore,
  FactVessel,
  FarmFacts,
  SeasonAssumed,
  SeasonTerms,
} from "./facts";

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
      weekMin: Array.from({ length: weeksOf(facts.days) }, () => facts.terms.hoursAWeek * 60),
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
    ...underWay(facts, made, day),
    applied: [],
    previous: null,
    weights: WEIGHTS,
  };
  return { season, assumed, basisPerL: Object.fromEntries(inputs.map(({ id, basisPerL }) => [id, basisPerL])) };
}
