import { durationD } from "../durations";
import { isClosed, isForbidden } from "../notThen";
import type { PlanBatch, Season, SeasonInput } from "../season";
import { isAmount, isDay, SLACK, type Reading } from "./reading";

const lifeD = ({ keeping }: SeasonInput): number => (keeping.living ? keeping.useD : keeping.shelfD);
const holdD = ({ keeping }: SeasonInput): number => (keeping.living ? keeping.useD : keeping.holdD);

function checkNew(reading: Reading, batch: PlanBatch, at: string): void {
  const { days, nowDay } = reading.season;
  const input = reading.inputs.get(batch.input)!;
  const vessel = reading.vessels.get(batch.vessel)!;
  const breaks = (code: Parameters<Reading["breaks"]>[0], values: Parameters<Reading["breaks"]>[2]) =>
    reading.breaks(code, at, values);
  if (batch.startDay < nowDay || batch.startDay >= days) breaks("start", { day: batch.startDay });
  const takes = durationD(reading.season, batch.input, batch.vessel, batch.startDay);
  if (isClosed(reading.season, batch.startDay)) breaks("closed", { day: batch.startDay });
  if (isForbidden(reading.season, batch.input, batch.vessel, batch.startDay))
    breaks("forbidden", { day: batch.startDay });
  if (takes === null) breaks("cold", { day: batch.startDay });
  else if (batch.readyDay !== batch.startDay + takes) breaks("duration", { takes });
  if (batch.readyDay >= days) breaks("horizon", { day: batch.readyDay });
  if (!vessel.holds.includes(input.vesselUse)) breaks("vessel", { why: "holds" });
  if (input.aerated && vessel.air === "none") breaks("vessel", { why: "air" });
  if (input.vessels && !input.vessels.includes(batch.vessel)) breaks("vessel", { why: "list" });
  if (batch.startDay < vessel.fromDay || batch.emptyDay > vessel.toDay) breaks("vessel", { why: "away" });
  const [low, high] = [input.fillShare.low * vessel.volumeL, input.fillShare.high * vessel.volumeL];
  if (batch.fillL < low - SLACK || batch.fillL > high + SLACK) breaks("fill", { low, high });
}
function checkKept(reading: Reading, batch: PlanBatch, was: Season["running"][number], at: string): void {
  const isSame =
    was.input === batch.input &&
    was.vessel === batch.vessel &&
    was.startDay === batch.startDay &&
    was.readyDay === batch.readyDay &&
    Math.abs(was.fillL - batch.fillL) <= SLACK;
  if (!isSame) reading.breaks("running", at, {});
  if (batch.emptyDay < Math.max(batch.readyDay, reading.season.nowDay))
    reading.breaks("empty", at, { day: batch.emptyDay });
}

/** Rules of each batch alone; puts it among the sources. */
function checkOne(
  reading: Reading,
  batch: PlanBatch,
  spans: Map<string, { from: number; to: number; id: string }[]>,
  lines: number[],
): void {
  const at = `batch ${batch.id}`;
  if (reading.sources.has(batch.id)) return reading.breaks("id", at, {});
  const [was, input, vessel] = [
    reading.running.get(batch.id),
    reading.inputs.get(batch.input),
    reading.vessels.get(batch.vessel),
  ];
  if (!input || !vessel) return reading.breaks("ref", at, { name: input ? batch.vessel : batch.input });
  if (![batch.startDay, batch.readyDay, batch.emptyDay].every(isDay)) return reading.breaks("type", at, {});
  if (!isAmount(batch.fillL) || !((batch.discardL ?? 0) >= 0)) reading.breaks("type", at, {});
  const { days, nowDay } = reading.season;
  if (was) checkKept(reading, batch, was, at);
  else {
    reading.starts += 1;
    checkNew(reading, batch, at);
  }
  if (batch.emptyDay < batch.readyDay) reading.breaks("empty", at, { day: batch.emptyDay });
  if (batch.emptyDay > Math.max(batch.readyDay, was ? nowDay : -1) + holdD(input))
    reading.breaks("hold", at, { most: holdD(input) });
  const span = { from: batch.startDay, to: batch.emptyDay + vessel.cleanD - 1, id: batch.id };
  spans.set(batch.vessel, [...(spans.get(batch.vessel) ?? []), span]);
  if (input.aerated && vessel.air === "line")
    for (let day = Math.max(batch.startDay, nowDay); day <= batch.emptyDay && day < days; day += 1) lines[day]! += 1;
  reading.works(batch.startDay, input.work.fillMin);
  for (let day = Math.max(batch.startDay, nowDay); day < Math.min(batch.readyDay, days); day += 1)
    reading.works(day, input.work.dayMin);
  reading.works(batch.emptyDay, input.work.closeMin);
  reading.sources.set(batch.id, {
    id: batch.id,
    input: batch.input,
    fromDay: batch.readyDay,
    lastDay: batch.readyDay + lifeD(input),
    outputL: Math.max(0, batch.fillL * input.yieldLPerL - (was?.drawnL ?? 0)),
    emptyDay: batch.emptyDay,
    living: input.keeping.living,
    isStore: false,
    discardL: batch.discardL ?? 0,
    draws: [],
  });
}

/** Batches: each by its own rules, then vessels and air lines that several share. */
export function checkBatches(reading: Reading, batches: readonly PlanBatch[]): void {
  const spans = new Map<string, { from: number; to: number; id: string }[]>();
  const lines = Array.from({ length: reading.season.days }, () => 0);
  for (const batch of batches) checkOne(reading, batch, spans, lines);
  for (const [vessel, list] of spans) {
    list.sort((one, other) => one.from - other.from);
    for (const [place, span] of list.entries())
      if (place > 0 && span.from <= list[place - 1]!.to)
        reading.breaks("overlap", `vessel ${vessel}`, { one: list[place - 1]!.id, other: span.id });
  }
  for (const [day, count] of lines.entries())
    if (count > reading.season.airLines) reading.breaks("air", `day ${day}`, { count, there: reading.season.airLines });
}
/** What runs already is in the plan. */
export function checkRunning(reading: Reading, batches: readonly PlanBatch[]): void {
  const named = new Set(batches.map(({ id }) => id));
  for (const id of reading.running.keys()) if (!named.has(id)) reading.breaks("running", `batch ${id}`, {});
}
