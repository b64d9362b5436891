import { weekOf, type SeasonPlan } from "../season";
import { isAmount, isDay, SLACK, type Reading } from "./reading";

interface Lot {
  readonly fromDay: number;
  readonly lastDay: number;
  amount: number;
}
type Shelves = ReadonlyMap<string, Lot[]>;

function receive(reading: Reading, shelves: Shelves, purchases: SeasonPlan["purchases"]): number {
  let cost = 0;
  for (const { ingredient, packs, orderDay } of purchases) {
    const at = `order of ${ingredient}`;
    const pack = reading.ingredients.get(ingredient)?.pack;
    if (!pack) reading.breaks("ref", at, { name: ingredient });
    else if (!isDay(packs) || packs < 1 || !isDay(orderDay)) reading.breaks("type", at, {});
    else {
      if (orderDay < reading.season.nowDay) reading.breaks("order", at, { day: orderDay });
      const comes = orderDay + pack.leadD;
      shelves.get(ingredient)!.push({ fromDay: comes, lastDay: comes + pack.keepsD, amount: packs * pack.amount });
      cost += packs * pack.cost;
    }
  }
  return cost;
}
function gather(reading: Reading, shelves: Shelves, forage: SeasonPlan["forage"]): number {
  const { nowDay, days } = reading.season;
  const inWeek = new Map<string, number>();
  let cost = 0;
  for (const { ingredient, day, amount } of forage) {
    const at = `forage of ${ingredient}`;
    const spells = reading.ingredients.get(ingredient)?.forage ?? [];
    if (!isAmount(amount) || !isDay(day)) {
      reading.breaks("type", at, {});
      continue;
    }
    const which = spells.findIndex(({ fromDay, toDay }) => day >= fromDay && day <= toDay);
    if (which < 0 || day < nowDay || day >= days) {
      reading.breaks("forage", at, { day });
      continue;
    }
    const { perWeek, keepsD, costPerUnit, minPerUnit } = spells[which]!;
    const key = `${ingredient}|${which}|${weekOf(day)}`;
    const sum = (inWeek.get(key) ?? 0) + amount;
    inWeek.set(key, sum);
    if (sum > perWeek + 10 * SLACK) reading.breaks("forage", at, { day, sum, most: perWeek });
    shelves.get(ingredient)!.push({ fromDay: day, lastDay: day + keepsD, amount });
    cost += amount * costPerUnit;
    reading.works(day, amount * minPerUnit);
  }
  return cost;
}

/** Ingredients: lots, orders and gathering against what batches take on their start days, each taking what expires first. */
export function checkIngredients(
  reading: Reading,
  plan: Pick<SeasonPlan, "batches"> & Partial<SeasonPlan>,
): { bought: number; gathered: number } {
  const shelves: Shelves = new Map(
    [...reading.ingredients.values()].map(({ id, lots }) => [
      id,
      lots.map(({ fromDay, expiresDay, amount }) => ({ fromDay, lastDay: expiresDay, amount })),
    ]),
  );
  const bought = receive(reading, shelves, plan.purchases ?? []);
  const gathered = gather(reading, shelves, plan.forage ?? []);
  const takes = plan.batches
    .filter(({ id, input }) => reading.inputs.has(input) && !reading.running.has(id))
    .flatMap(({ id, input, startDay, fillL }) =>
      reading.inputs
        .get(input)!
        .ingredients.map(({ ingredient, perL }) => ({ id, ingredient, day: startDay, amount: perL * fillL })),
    )
    .sort((one, other) => one.day - other.day);
  for (const { id, ingredient, day, amount } of takes) {
    let short = amount;
    const open = shelves
      .get(ingredient)!
      .filter((lot) => lot.fromDay <= day && lot.lastDay >= day && lot.amount > 0)
      .sort((one, other) => one.lastDay - other.lastDay);
    for (const lot of open) {
      const from = Math.min(short, lot.amount);
      lot.amount -= from;
      short -= from;
      if (short <= 0) break;
    }
    if (!(short <= 2 * SLACK + amount * 1e-5)) reading.breaks("ingredient", `batch ${id}`, { ingredient, short, day });
  }
  return { bought, gathered };
}
