import { durationRow } from "../durations";
import { isClosed, isForbidden } from "../notThen";
import { mayHold } from "../mayHold";
import type { Air, Season } from "../season";
import { weeksOf } from "../season";
import { modelNeeds, type ModelNeeds } from "./needs";

/** An input with its references as indices. */
export interface ModelInput {
  readonly id: string;
  readonly living: boolean;
  /** Days after ready that it may be drawn on, and that it may stay in its vessel. */
  readonly lifeD: number;
  readonly holdD: number;
  readonly aerated: boolean;
  readonly low: number;
  readonly high: number;
  readonly yieldLPerL: number;
  readonly fillMin: number;
  readonly dayMin: number;
  readonly closeMin: number;
  readonly ingredients: readonly { readonly index: number; readonly perL: number }[];
  readonly feeds: readonly { readonly index: number; readonly perL: number }[];
  readonly wasteCostPerL: number;
  readonly weakCostPerL: number;
  /** What a litre filled costs by the cheapest way to each ingredient, its feeds counted; no labour but that of gathering. */
  costPerL: number;
  /** Vessel classes that may hold it, those of one duration together. */
  readonly groups: readonly { readonly durations: Int16Array; readonly classes: readonly number[] }[];
}
/** Vessels that are one as good as the other: same volume, use, air, cleaning, and durations. */
export interface VesselClass {
  readonly vessels: readonly number[];
  readonly volumeL: number;
  readonly air: Air;
  readonly cleanD: number;
  /** Of each input: days by start day, -1 where it can't start; null where it is not made in them. */
  readonly durations: readonly (Int16Array | null)[];
}
export interface ModelIngredient {
  readonly id: string;
  readonly lots: readonly { readonly amount: number; readonly fromDay: number; readonly expiresDay: number }[];
  readonly forage: Season["ingredients"][number]["forage"];
  readonly pack: Season["ingredients"][number]["pack"];
}
/** A season with numbers in place of names, made once and never changed. */
export interface Model {
  readonly season: Season;
  readonly days: number;
  readonly nowDay: number;
  readonly weeks: number;
  readonly inputs: readonly ModelInput[];
  /** Inputs so that what feeds another stands before it. */
  readonly order: readonly number[];
  readonly classes: readonly VesselClass[];
  readonly classOf: Int16Array;
  readonly ingredients: readonly ModelIngredient[];
  readonly weekMin: Float64Array;
  readonly minuteCost: number;
  readonly needs: ModelNeeds;
  readonly needsOf: readonly (readonly number[])[];
  readonly indexOf: {
    readonly inputs: ReadonlyMap<string, number>;
    readonly vessels: ReadonlyMap<string, number>;
    readonly needs: ReadonlyMap<string, number>;
  };
}
const indexed = (list: readonly { readonly id: string }[]): Map<string, number> =>
  new Map(list.map(({ id }, index) => [id, index]));

/** Days that an input takes in a vessel by start day; null where no row says. */
function rowOf(season: Season, input: string, vessel: string): Int16Array | null {
  const row = durationRow(season, input, vessel);
  if (!row) return null;
  return Int16Array.from({ length: season.days }, (_, day) =>
    isClosed(season, day) || isForbidden(season, input, vessel, day) ? -1 : (row.daysByStart[day] ?? -1),
  );
}

function vesselClasses(season: Season): { classes: VesselClass[]; classOf: Int16Array } {
  const byKey = new Map<string, VesselClass & { vessels: number[] }>();
  const classOf = new Int16Array(season.vessels.length);
  const order: string[] = [];
  for (const [index, vessel] of season.vessels.entries()) {
    const durations = season.inputs.map(({ id }, input) =>
      mayHold(season.inputs[input]!, vessel) ? rowOf(season, id, vessel.id) : null,
    );
    const key = JSON.stringify([
      vessel.volumeL,
      [...vessel.holds].sort(),
      vessel.air,
      vessel.cleanD,
      durations.map((row) => row && [...row].join()),
    ]);
    let found = byKey.get(key);
    if (!found) {
      found = { vessels: [], volumeL: vessel.volumeL, air: vessel.air, cleanD: vessel.cleanD, durations };
      byKey.set(key, found);
      order.push(key);
    }
    found.vessels.push(index);
    classOf[index] = order.indexOf(key);
  }
  return { classes: order.map((key) => byKey.get(key)!), classOf };
}

function groupsOf(classes: readonly VesselClass[], input: number): ModelInput["groups"] {
  const groups: { durations: Int16Array; classes: number[] }[] = [];
  for (const [index, { durations }] of classes.entries()) {
    const row = durations[input];
    if (!row) continue;
    const same = groups.find((group) => group.durations.every((value, day) => value === row[day]));
    if (same) same.classes.push(index);
    else groups.push({ durations: row, classes: [index] });
  }
  return groups;
}

/** What feeds another stands before it; a ring of feeds is cut where it closes. */
function feedingOrder(season: Season): number[] {
  const index = indexed(season.inputs);
  const order: number[] = [];
  const seen = new Set<number>();
  const visit = (input: number): void => {
    if (seen.has(input)) return;
    seen.add(input);
    for (const { input: fed } of season.inputs[input]!.feeds) visit(index.get(fed)!);
    order.push(input);
  };
  for (const input of season.inputs.keys()) visit(input);
  return order;
}

/** Numbers in place of names. @throws never for a season that `seasonFaults` finds nothing in */
export function modelOf(season: Season): Model {
  const inputIndex = indexed(season.inputs);
  const ingredientIndex = indexed(season.ingredients);
  const { classes, classOf } = vesselClasses(season);
  const minuteCost = season.labour.costPerHour / 60;
  const inputs: ModelInput[] = season.inputs.map((input, index) => ({
    id: input.id,
    living: input.keeping.living,
    lifeD: input.keeping.living ? input.keeping.useD : input.keeping.shelfD,
    holdD: input.keeping.living ? input.keeping.useD : input.keeping.holdD,
    aerated: input.aerated,
    low: input.fillShare.low,
    high: input.fillShare.high,
    yieldLPerL: input.yieldLPerL,
    ...input.work,
    ingredients: input.ingredients.map(({ ingredient, perL }) => ({ index: ingredientIndex.get(ingredient)!, perL })),
    feeds: input.feeds.map(({ input: fed, perL }) => ({ index: inputIndex.get(fed)!, perL })),
    wasteCostPerL: input.wasteCostPerL,
    weakCostPerL: input.weakCostPerL,
    costPerL: 0,
    groups: groupsOf(classes, index),
  }));
  const order = feedingOrder(season);
  const cheapest = season.ingredients.map(({ forage, pack, lots }) =>
    lots.length > 0 && forage.length === 0 && !pack
      ? 0
      : Math.min(
          ...forage.map(({ minPerUnit, costPerUnit }) => minPerUnit * minuteCost + costPerUnit),
          ...(pack ? [pack.cost / pack.amount] : []),
          1e3,
        ),
  );
  for (const index of order) {
    const input = inputs[index]!;
    input.costPerL =
      input.ingredients.reduce((sum, { index: one, perL }) => sum + cheapest[one]! * perL, 0) +
      input.feeds.reduce((sum, { index: one, perL }) => sum + inputs[one]!.costPerL * perL, 0);
  }
  const needs = modelNeeds(season, inputIndex);
  const needsOf: number[][] = inputs.map(() => []);
  for (let need = 0; need < needs.count; need += 1) needsOf[needs.input[need]!]!.push(need);
  return {
    season,
    days: season.days,
    nowDay: season.nowDay,
    weeks: weeksOf(season.days),
    inputs,
    order,
    classes,
    classOf,
    ingredients: season.ingredients,
    weekMin: Float64Array.from(season.labour.weekMin),
    minuteCost,
    needs,
    needsOf,
    indexOf: { inputs: inputIndex, vessels: indexed(season.vessels), needs: indexed(season.needs) },
  };
}
