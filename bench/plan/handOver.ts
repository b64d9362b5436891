import type { PlanBatch, PlanBody, Season, SeasonIngredient } from "../../src/core/plan/season";

interface Lot {
  readonly id: string;
  amount: number;
  readonly fromDay: number;
  readonly expiresDay: number;
}
/** What is left of an ingredient on a day: what was there, came and was gathered before it, less what went into batches, soonest over first. */
function lotsLeft(season: Season, plan: PlanBody, ingredient: SeasonIngredient, day: number): Lot[] {
  const { id, pack, forage } = ingredient;
  const lots: Lot[] = ingredient.lots.map((lot) => ({ ...lot }));
  for (const [nth, { ingredient: of, orderDay, packs }] of plan.purchases.entries())
    if (of === id && orderDay < day && pack)
      lots.push({
        id: `ordered-${nth}`,
        amount: packs * pack.amount,
        fromDay: orderDay + pack.leadD,
        expiresDay: orderDay + pack.leadD + pack.keepsD,
      });
  for (const [nth, one] of plan.forage.entries()) {
    if (one.ingredient !== id || one.day >= day) continue;
    const keepsD = forage.find(({ fromDay, toDay }) => one.day >= fromDay && one.day <= toDay)?.keepsD ?? 0;
    lots.push({ id: `gathered-${nth}`, amount: one.amount, fromDay: one.day, expiresDay: one.day + keepsD });
  }
  const perL = new Map(
    season.inputs.map((input) => [input.id, input.ingredients.find((one) => one.ingredient === id)?.perL ?? 0]),
  );
  const begun = plan.batches.filter(({ running, startDay }) => !running && startDay < day);
  for (const { input, fillL, startDay } of begun.toSorted((one, other) => one.startDay - other.startDay)) {
    let wanted = perL.get(input)! * fillL;
    const there = lots.filter(({ fromDay, expiresDay }) => fromDay <= startDay && expiresDay >= startDay);
    for (const lot of there.toSorted((one, other) => one.expiresDay - other.expiresDay)) {
      const taken = Math.min(wanted, lot.amount);
      lot.amount -= taken;
      wanted -= taken;
    }
  }
  return lots.filter(({ amount, expiresDay }) => amount > 1e-6 && expiresDay >= day);
}

/** The season on a later day, all having gone by the plan until then. @param day a Monday, so that no week is part done */
export function handOver(season: Season, plan: PlanBody, day: number): Season {
  const needs = new Map(season.needs.map((need) => [need.id, need]));
  const drawn = new Map<string, number>();
  const draw = (from: string, amountL: number): void => void drawn.set(from, (drawn.get(from) ?? 0) + amountL);
  for (const { day: on, draws } of plan.applications)
    if (on < day) for (const one of draws) draw(one.from, one.amountL);
  for (const { startDay, feeds = [] } of plan.batches)
    if (startDay < day) for (const one of feeds) draw(one.from, one.amountL);
  for (const { store, amountL } of plan.discards) draw(store, amountL);
  const inputs = new Map(season.inputs.map((input) => [input.id, input]));
  const outOf = ({ input, fillL, discardL = 0 }: PlanBatch): number => fillL * inputs.get(input)!.yieldLPerL - discardL;
  const was = new Map(season.running.map((one) => [one.id, one.drawnL ?? 0]));
  const done = new Set(plan.applications.filter(({ day: on }) => on < day).map(({ need }) => need));
  return {
    ...season,
    nowDay: day,
    needs: season.needs.filter(({ id, latestDay }) => !done.has(id) && latestDay >= day),
    applied: [
      ...season.applied,
      ...plan.applications
        .filter(({ need }) => done.has(need))
        .map(({ need, day: on }) => {
          const { planting, programme, seq } = needs.get(need)!;
          return { id: need, planting, programme, seq, day: on };
        }),
    ],
    running: plan.batches
      .filter(({ startDay, emptyDay }) => startDay < day && emptyDay >= day)
      .map(({ id, input, vessel, startDay, readyDay, emptyDay, fillL }) => ({
        ...{ id, input, vessel, startDay, readyDay, emptyDay, fillL },
        drawnL: (drawn.get(id) ?? 0) + (was.get(id) ?? 0),
      })),
    stores: [
      ...season.stores.map((store) => ({ ...store, onHandL: store.onHandL - (drawn.get(store.id) ?? 0) })),
      ...plan.batches.flatMap((batch) => {
        const { keeping } = inputs.get(batch.input)!;
        if (batch.emptyDay >= day || batch.startDay >= day || keeping.living) return [];
        const onHandL = outOf(batch) - (drawn.get(batch.id) ?? 0) - (was.get(batch.id) ?? 0);
        const expiresDay = batch.readyDay + keeping.shelfD;
        return [{ id: batch.id, input: batch.input, onHandL, fromDay: batch.readyDay, expiresDay }];
      }),
    ].filter(({ onHandL, expiresDay }) => onHandL > 1e-6 && expiresDay >= day),
    ingredients: season.ingredients.map((one) => ({ ...one, lots: lotsLeft(season, plan, one, day) })),
    previous: {
      batches: plan.batches.filter(({ startDay }) => startDay >= day),
      applications: plan.applications.filter(({ day: on }) => on >= day),
    },
  };
}
