import type { PlanBatch, SeasonPlan } from "../season";
import { isAmount, SLACK, type Reading, type SourceRead } from "./reading";

/** A draw on what exists, of the right input, while it is good; a living brew only until its vessel is emptied. */
export function draw(reading: Reading, from: string, day: number, amountL: number, input: string, at: string): void {
  const source = reading.sources.get(from);
  if (!source) return reading.breaks("ref", at, { name: from });
  if (!isAmount(amountL)) return reading.breaks("type", at, {});
  if (source.input !== input) reading.breaks("wrong-input", at, { is: source.input, wanted: input });
  if (day < source.fromDay) reading.breaks("early", at, { from, ready: source.fromDay, day });
  if (day > source.lastDay || (source.living && day > source.emptyDay))
    reading.breaks("expired", at, {
      from,
      last: Math.min(source.lastDay, source.living ? source.emptyDay : Infinity),
      day,
    });
  source.draws.push({ day, amountL });
}
function discards(reading: Reading, list: SeasonPlan["discards"]): void {
  for (const { store, amountL } of list) {
    const source = reading.sources.get(store);
    if (!source?.isStore) reading.breaks("ref", `discard of ${store}`, { name: store });
    else if (!isAmount(amountL)) reading.breaks("type", `discard of ${store}`, {});
    else source.discardL += amountL;
  }
}
/** Each batch gets just what goes into it, on its start day: more would hide waste. */
function feeds(reading: Reading, batches: readonly PlanBatch[]): void {
  for (const batch of batches) {
    const input = reading.inputs.get(batch.input);
    if (!input || reading.running.has(batch.id)) continue;
    const at = `batch ${batch.id}`;
    const got = new Map<string, number>();
    for (const { from, amountL } of batch.feeds ?? []) {
      const source = reading.sources.get(from);
      if (!source || from === batch.id) {
        reading.breaks("ref", at, { name: from });
        if (!source) continue;
      }
      got.set(source.input, (got.get(source.input) ?? 0) + amountL);
      draw(reading, from, batch.startDay, amountL, source.input, `feed of ${at}`);
    }
    for (const { input: fed, perL } of input.feeds) {
      const wanted = perL * batch.fillL;
      const has = got.get(fed) ?? 0;
      if (!(Math.abs(has - wanted) <= SLACK + wanted * 1e-5)) reading.breaks("feed", at, { input: fed, wanted, has });
      got.delete(fed);
    }
    for (const extra of got.keys()) reading.breaks("feed", at, { input: extra, wanted: 0, has: got.get(extra)! });
  }
}
/** Cans that one source takes by day: what is left at each day's end once it is out of its vessel. */
function standInCans(reading: Reading, source: SourceRead, cans: number[]): void {
  const { days, nowDay } = reading.season;
  const drawnOn = new Map<number, number>();
  for (const { day, amountL } of source.draws) drawnOn.set(day, (drawnOn.get(day) ?? 0) + amountL);
  const fromDay = Math.max(source.emptyDay, nowDay);
  let standsL = source.outputL - source.discardL;
  for (const { day, amountL } of source.draws) if (day <= fromDay) standsL -= amountL;
  for (let day = fromDay; day < days && day <= source.lastDay; day += 1) {
    if (day > fromDay) standsL -= drawnOn.get(day) ?? 0;
    if (standsL > SLACK) cans[day]! += Math.ceil(standsL / reading.season.cans.volumeL - 1e-4);
  }
}
/** What was made against what goes out; what goes to waste; cans. */
function balance(reading: Reading): { wasteL: number; wasteCost: number } {
  const { days, cans } = reading.season;
  const byDay = Array.from({ length: days }, () => 0);
  let [wasteL, wasteCost] = [0, 0];
  for (const source of reading.sources.values()) {
    const drawnL = source.draws.reduce((sum, { amountL }) => sum + amountL, 0);
    if (drawnL + source.discardL > source.outputL + SLACK)
      reading.breaks("overdraw", source.id, { drawn: drawnL, discarded: source.discardL, output: source.outputL });
    const left = Math.max(0, source.outputL - drawnL - source.discardL);
    const spoilt = source.discardL + (source.living || source.lastDay < days ? left : 0);
    wasteL += spoilt;
    wasteCost += spoilt * reading.inputs.get(source.input)!.wasteCostPerL;
    if (!source.living) standInCans(reading, source, byDay);
  }
  for (const [day, count] of byDay.entries())
    if (count > cans.count) reading.breaks("cans", `day ${day}`, { count, there: cans.count });
  return { wasteL, wasteCost };
}
export const checkLitres = { discards, feeds, balance };
