import type { PlanBatch, Season, SeasonPlan } from "../season";
import type { Reading } from "./reading";

const key = ({ input, vessel, startDay }: PlanBatch): string => `${input}|${vessel}|${startDay}`;

/** What a change so many days ahead costs. */
function costOf({ nowDay, weights }: Season, startDay: number): number {
  const inD = startDay - nowDay;
  if (inD < 0) return 0;
  return inD <= weights.nearD ? weights.changeNear : inD <= weights.farD ? weights.changeFar : 0;
}
/** Price of what a plan changes against the one before: batches that are gone, and new ones. */
export function changesOf(season: Season, batches: readonly PlanBatch[]): number {
  if (!season.previous) return 0;
  const running = new Set(season.running.map(({ id }) => id));
  const fresh = batches.filter(({ id }) => !running.has(id));
  const [now, was] = [new Set(fresh.map(key)), new Set(season.previous.batches.map(key))];
  const gone = season.previous.batches.filter((batch) => !now.has(key(batch)));
  const added = fresh.filter((batch) => !was.has(key(batch)));
  return [...gone, ...added].reduce((sum, { startDay }) => sum + costOf(season, startDay), 0);
}
/** Pins hold, or are named as broken. */
export function checkPins(
  reading: Reading,
  plan: Pick<SeasonPlan, "batches" | "applications"> & Partial<SeasonPlan>,
): void {
  const { previous, nowDay } = reading.season;
  if (!previous) return;
  const named = new Set((plan.brokenPins ?? []).map((pin) => ("batch" in pin ? pin.batch : pin.need)));
  const now = new Set(plan.batches.filter(({ id }) => !reading.running.has(id)).map(key));
  const days = new Map(plan.applications.map(({ need, day }) => [need, day]));
  for (const batch of previous.batches)
    if (batch.pinned && batch.startDay >= nowDay && !now.has(key(batch)) && !named.has(batch.id))
      reading.breaks("pinned", `batch ${batch.id}`, {});
  for (const { need, day, pinned } of previous.applications)
    if (pinned && day >= nowDay && days.get(need) !== day && !named.has(need))
      reading.breaks("pinned", `need ${need}`, {});
}
