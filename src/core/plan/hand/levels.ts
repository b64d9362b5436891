import type { PlanBody, Season } from "../season";

/** Litres of each keeping input that stand ready, by day: what came off, less what was drawn and thrown out, while it keeps. */
export function levelsOf(season: Season, plan: PlanBody): Record<string, Float64Array> {
  const inputs = new Map(season.inputs.map((one) => [one.id, one]));
  const levels: Record<string, Float64Array> = {};
  const change = (input: string, from: number, to: number, litres: number): void => {
    const level = (levels[input] ??= new Float64Array(season.days));
    for (let day = Math.max(0, from); day < Math.min(to, season.days); day += 1) level[day]! += litres;
  };
  /** Source → its input, and the day after its last. */
  const sources = new Map<string, { readonly input: string; readonly overDay: number }>();
  for (const { id, input, onHandL, fromDay, expiresDay } of season.stores) {
    change(input, fromDay, expiresDay + 1, onHandL);
    sources.set(id, { input, overDay: expiresDay + 1 });
  }
  for (const { id, input, readyDay, fillL } of plan.batches) {
    const { keeping, yieldLPerL } = inputs.get(input)!;
    if (keeping.living) continue;
    change(input, readyDay, readyDay + keeping.shelfD + 1, fillL * yieldLPerL);
    sources.set(id, { input, overDay: readyDay + keeping.shelfD + 1 });
  }
  const drawn = (from: string, day: number, litres: number): void => {
    const source = sources.get(from);
    if (source) change(source.input, day, source.overDay, -litres);
  };
  for (const { day, draws } of plan.applications) for (const { from, amountL } of draws) drawn(from, day, amountL);
  for (const { startDay, emptyDay, id, feeds = [], discardL = 0 } of plan.batches) {
    for (const { from, amountL } of feeds) drawn(from, startDay, amountL);
    drawn(id, emptyDay, discardL);
  }
  for (const { store, amountL } of plan.discards) drawn(store, season.nowDay, amountL);
  return levels;
}
