import { addDays } from "../../calendar";
import { weekOf, type PlanBody, type Season } from "../season";

/** One thing to do on a day of a plan. `id` is the same for the same thing in every reading. */
export type SeasonDeed = {
  readonly id: string;
  readonly day: number;
  /** Work that it takes. */
  readonly minutes: number;
} & (
  | { readonly kind: "order"; readonly ingredient: string; readonly packs: number }
  | { readonly kind: "gather"; readonly ingredient: string; readonly amount: number; readonly unit: "kg" | "L" }
  | {
      readonly kind: "start" | "strain";
      readonly batch: string;
      readonly input: string;
      readonly vessel: string;
      /** Filled where it is started, what comes off where it is strained. */
      readonly litres: number;
    }
  | {
      readonly kind: "apply";
      readonly input: string;
      readonly use: string;
      readonly litres: number;
      readonly plantings: readonly string[];
    }
);

/** The days of a season are counted anew each week; its dates are not. */
const dateOf = ({ firstDay }: Season, day: number): string => addDays(firstDay, day);

/** Applications of one input by one use on one day stand together. */
function applied(season: Season, { applications }: PlanBody): SeasonDeed[] {
  const needs = new Map(season.needs.map((one) => [one.id, one]));
  const programmes = new Map(season.programmes.map((one) => [one.id, one]));
  const found = new Map<
    string,
    { day: number; minutes: number; input: string; use: string; litres: number; plantings: Set<string> }
  >();
  for (const { need: id, day, draws } of applications) {
    const need = needs.get(id);
    if (!need) continue;
    const { input, use } = programmes.get(need.programme)!;
    const key = `apply-${input}-${use}-${dateOf(season, day)}`;
    const has = found.get(key) ?? { day, minutes: 0, input, use, litres: 0, plantings: new Set<string>() };
    found.set(key, has);
    has.litres += draws.reduce((sum, { amountL }) => sum + amountL, 0);
    has.minutes += need.workMin;
    has.plantings.add(need.planting);
  }
  return [...found].map(([id, { plantings, ...rest }]) => ({ id, kind: "apply", ...rest, plantings: [...plantings] }));
}

/** All that a plan has people do, in the order of its days. */
export function deedsOf(season: Season, plan: PlanBody): SeasonDeed[] {
  const inputs = new Map(season.inputs.map((one) => [one.id, one]));
  const ingredients = new Map(season.ingredients.map((one) => [one.id, one]));
  const gatherMin = (id: string, day: number): number =>
    ingredients.get(id)!.forage.find(({ fromDay, toDay }) => day >= fromDay && day <= toDay)?.minPerUnit ?? 0;
  const deeds: SeasonDeed[] = [
    ...plan.purchases.map(({ ingredient, orderDay: day, packs }) => ({
      id: `order-${ingredient}-${dateOf(season, day)}`,
      kind: "order" as const,
      day,
      minutes: 0,
      ingredient,
      packs,
    })),
    ...plan.forage.map(({ ingredient, day, amount }) => ({
      id: `gather-${ingredient}-${dateOf(season, day)}`,
      kind: "gather" as const,
      day,
      minutes: amount * gatherMin(ingredient, day),
      ingredient,
      amount,
      unit: ingredients.get(ingredient)!.unit,
    })),
    ...plan.batches.flatMap(({ id: batch, input, vessel, startDay, emptyDay, fillL, running }): SeasonDeed[] => {
      const { work, yieldLPerL } = inputs.get(input)!;
      const of = { batch, input, vessel };
      const start = { kind: "start", day: startDay, minutes: work.fillMin, litres: fillL, ...of } as const;
      return [
        ...(running ? [] : [{ id: `start-${batch}`, ...start }]),
        {
          id: `strain-${batch}`,
          kind: "strain",
          day: emptyDay,
          minutes: work.closeMin,
          litres: fillL * yieldLPerL,
          ...of,
        },
      ];
    }),
    ...applied(season, plan),
  ];
  return deeds.sort((one, other) => one.day - other.day);
}

/** A week of them, day by day; days without any are there as well. */
export const daysOfWeek = (deeds: readonly SeasonDeed[], week: number) =>
  Array.from({ length: 7 }, (_, nth) => week * 7 + nth).map((day) => ({
    day,
    deeds: deeds.filter((deed) => weekOf(deed.day) === week && deed.day === day),
  }));
