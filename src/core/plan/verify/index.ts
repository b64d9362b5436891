/** Holds a plan against every rule of the season and counts what it is worth. Knows nothing of how plans are made: a plan on paper, a dragged batch and the search are judged alike. */
import type { Score, Season, SeasonPlan } from "../season";
import { weeksOf } from "../season";
import { checkApplications } from "./applications";
import { checkBatches, checkRunning } from "./batches";
import { checkIngredients } from "./ingredients";
import { checkLitres } from "./litres";
import { changesOf, checkPins } from "./pins";
import { Reading, type Broken } from "./reading";

export type { Broken, PlanRule } from "./reading";
export interface Checked {
  readonly feasible: boolean;
  readonly broken: readonly Broken[];
  readonly score: Omit<Score, "floorUnmet"> & {
    readonly unmetNeeds: number;
    readonly starts: number;
    readonly wasteL: number;
    readonly weakL: number;
    readonly costs: Readonly<Record<"bought" | "gathered" | "labour" | "waste" | "weak", number>>;
    readonly weekMin: readonly number[];
  };
}
/** Plans are as good as their figures are exact; a score is told in whole cents. */
const cents = (amount: number): number => Math.round(amount * 100) / 100;

/**
 * @param plan as a planner or a person made it; what it says of unmet needs and score is checked where it says so
 * @returns each broken rule by its code and what is worth: unmet weight, cost, fuss
 */
export function verifyPlan(
  season: Season,
  plan: Pick<SeasonPlan, "batches" | "applications"> & Partial<SeasonPlan>,
): Checked {
  const reading = new Reading(season);
  checkBatches(reading, plan.batches);
  checkRunning(reading, plan.batches);
  checkLitres.discards(reading, plan.discards ?? []);
  checkLitres.feeds(reading, plan.batches);
  const applied = checkApplications(reading, plan.applications);
  const { wasteL, wasteCost } = checkLitres.balance(reading);
  const { bought, gathered } = checkIngredients(reading, plan);
  for (let week = 0; week < weeksOf(season.days); week += 1) {
    const there = season.labour.weekMin[week] ?? 0;
    if (reading.weekMin[week]! > there + 0.5)
      reading.breaks("labour", `week ${week}`, { minutes: reading.weekMin[week]!, there });
  }
  checkPins(reading, plan);
  const unmetNeeds = season.needs.filter(({ id }) => !applied.days.has(id));
  if (plan.unmet) checkUnmetList(reading, plan.unmet, applied.days, unmetNeeds);
  const { weights, labour } = season;
  const unmet = unmetNeeds.reduce((sum, { priority }) => sum + (weights.unmet[priority] ?? 1), 0);
  const work = (reading.weekMin.reduce((sum, minutes) => sum + minutes, 0) * labour.costPerHour) / 60;
  const cost = bought + gathered + work + wasteCost + applied.weakCost;
  const fuss = reading.starts * weights.perStart + applied.lateD * weights.perLateDay + changesOf(season, plan.batches);
  if (plan.score && (Math.abs(plan.score.unmet - unmet) > 0.05 || Math.abs(plan.score.cost - cost) > 0.05))
    reading.breaks("claim", "score", { unmet, cost: cents(cost) });
  return {
    feasible: reading.broken.length === 0,
    broken: reading.broken,
    score: {
      unmet,
      cost: cents(cost),
      fuss: cents(fuss),
      unmetNeeds: unmetNeeds.length,
      starts: reading.starts,
      wasteL: cents(wasteL),
      weakL: cents(applied.weakL),
      costs: {
        bought: cents(bought),
        gathered: cents(gathered),
        labour: cents(work),
        waste: cents(wasteCost),
        weak: cents(applied.weakCost),
      },
      weekMin: reading.weekMin,
    },
  };
}

function checkUnmetList(
  reading: Reading,
  unmet: SeasonPlan["unmet"],
  met: ReadonlyMap<string, number>,
  unmetNeeds: Season["needs"],
): void {
  const named = new Set(unmet.map(({ need }) => need));
  for (const { id } of unmetNeeds) if (!named.has(id)) reading.breaks("unmet-list", `need ${id}`, {});
  for (const id of named) if (met.has(id) || !reading.needs.has(id)) reading.breaks("unmet-list", `need ${id}`, {});
}
