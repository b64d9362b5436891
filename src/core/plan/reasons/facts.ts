import { mayHold } from "../mayHold";
import type { Need, Reason, Season } from "../season";
import { weekOf } from "../season";
import { verifyPlan } from "../verify";
import type { Standing } from "./try";

/** Figures that a reason is told with; what could not be found is left out. */
export interface ReasonFacts {
  readonly reason: Reason;
  /** Days an input takes at the soonest; the soonest day that it can be ready on; the last day it is wanted by. */
  readonly takesD?: number;
  readonly readyDay?: number;
  readonly wantedDay: number;
  readonly ingredient?: string;
  readonly ingredientDay?: number;
  /** Batches that stand in the vessels, or on the lines, that would do. */
  readonly batches?: readonly string[];
  readonly cans?: number;
  readonly week?: number;
  readonly usedMin?: number;
  readonly thereMin?: number;
  /** The application that stands too close, and its day. */
  readonly beside?: string;
  readonly besideDay?: number;
  readonly lifeD?: number;
}

/** The soonest that an input is ready, from today, in any vessel. */
function soonest(season: Season, input: string): { takesD: number; readyDay: number } | null {
  let found: { takesD: number; readyDay: number } | null = null;
  for (const { input: of, daysByStart } of season.durations)
    for (let day = season.nowDay; of === input && day < daysByStart.length; day += 1) {
      const takesD = daysByStart[day];
      if (takesD != null && (!found || day + takesD < found.readyDay)) found = { takesD, readyDay: day + takesD };
    }
  return found;
}
/** The ingredient that is there last, and from which day it is. */
function lastIngredient(season: Season, input: string): { ingredient: string; ingredientDay: number } | null {
  const takes = season.inputs.find(({ id }) => id === input)!.ingredients;
  const days = takes.map(({ ingredient }) => {
    const { lots, forage, pack } = season.ingredients.find(({ id }) => id === ingredient)!;
    const first = Math.min(
      ...lots.map(({ fromDay }) => Math.max(season.nowDay, fromDay)),
      ...forage.filter(({ toDay }) => toDay >= season.nowDay).map(({ fromDay }) => Math.max(season.nowDay, fromDay)),
      pack ? season.nowDay + pack.leadD : Infinity,
    );
    return { ingredient, ingredientDay: first };
  });
  return days.toSorted((one, other) => other.ingredientDay - one.ingredientDay)[0] ?? null;
}
/** The week of the window with the fewest minutes left. */
function fullestWeek(season: Season, plan: Standing, need: Need): Pick<ReasonFacts, "week" | "usedMin" | "thereMin"> {
  const { weekMin } = verifyPlan(season, plan).score;
  const weeks = Array.from(
    { length: weekOf(need.latestDay) - weekOf(Math.max(need.earliestDay, season.nowDay)) + 1 },
    (_, nth) => weekOf(Math.max(need.earliestDay, season.nowDay)) + nth,
  ).filter((week) => week < weekMin.length);
  const left = (week: number): number => season.labour.weekMin[week]! - weekMin[week]!;
  const week = weeks.toSorted((one, other) => left(one) - left(other))[0];
  return week === undefined
    ? {}
    : { week, usedMin: Math.round(weekMin[week]!), thereMin: Math.round(season.labour.weekMin[week]!) };
}
/** Batches that stand, while the need could be made, where it could be. */
function inTheWay(season: Season, plan: Standing, need: Need, input: string): string[] {
  const of = season.inputs.find(({ id }) => id === input)!;
  const may = new Set(season.vessels.filter((vessel) => mayHold(of, vessel)).map(({ id }) => id));
  const takesD = soonest(season, input)?.takesD ?? 7;
  return plan.batches
    .filter(
      ({ vessel, startDay, emptyDay }) =>
        may.has(vessel) && startDay <= need.latestDay && emptyDay >= need.earliestDay - takesD,
    )
    .slice(0, 3)
    .map(({ id }) => id);
}
/** The application on the same plot that stands nearest to the need's window. */
function nearestOn(season: Season, plan: Standing, need: Need): Pick<ReasonFacts, "beside" | "besideDay"> {
  const plotOf = new Map(season.plantings.map(({ id, plot }) => [id, plot]));
  const plantingOf = new Map(season.needs.map(({ id, planting }) => [id, planting]));
  const plot = plotOf.get(need.planting);
  const on = [
    ...plan.applications.map(({ need: id, day }) => ({ id, day, planting: plantingOf.get(id) ?? "" })),
    ...season.applied,
  ].filter(({ planting }) => plotOf.get(planting) === plot);
  const off = (day: number): number => Math.max(need.earliestDay - day, day - need.latestDay, 0);
  const nearest = on.toSorted((one, other) => off(one.day) - off(other.day))[0];
  return nearest ? { beside: nearest.id, besideDay: nearest.day } : {};
}

/** The figures of one reason why a need goes unmet. */
export function factsOf(season: Season, plan: Standing, needId: string, reason: Reason): ReasonFacts {
  const need = season.needs.find(({ id }) => id === needId)!;
  const input = season.programmes.find(({ id }) => id === need.programme)!.input;
  const base = { reason, wantedDay: need.latestDay };
  switch (reason) {
    case "too-slow":
    case "cold":
      return { ...base, ...soonest(season, input) };
    case "ingredient":
      return { ...base, ...lastIngredient(season, input) };
    case "vessel":
    case "air":
      return { ...base, batches: inTheWay(season, plan, need, input) };
    case "cans":
      return { ...base, cans: season.cans.count };
    case "labour":
      return { ...base, ...fullestWeek(season, plan, need) };
    case "spacing":
      return { ...base, ...nearestOn(season, plan, need) };
    case "shelf": {
      const { keeping } = season.inputs.find(({ id }) => id === input)!;
      return { ...base, lifeD: keeping.living ? keeping.useD : keeping.shelfD };
    }
    default:
      return base;
  }
}
