import type { Application, PlanBatch, Season } from "../season";
import { needOf } from "./wants";

/**
 * Applications of an earlier plan as those of the needs there are now. One that was made a day late shifts all that follow it in its schedule: what was planned then
 * still goes to the same plot by the same step, on its day, where that lies in the days of the need that took its place.
 */
export function carriedOver(season: Season, before: readonly Application[]): Application[] {
  const open = new Map(season.needs.map((need) => [need.id, need]));
  const kept: Application[] = [];
  const moved: Application[] = [];
  for (const application of before)
    if (open.delete(application.need)) kept.push(application);
    else moved.push(application);
  for (const application of moved) {
    const of = needOf(application.need);
    const litres = application.draws.reduce((sum, { amountL }) => sum + amountL, 0);
    const next = [...open.values()].find(
      ({ id, earliestDay, latestDay, leastL, preferredL }) =>
        needOf(id) === of &&
        application.day >= earliestDay &&
        application.day <= latestDay &&
        litres >= leastL - 1e-3 &&
        litres <= preferredL + 1e-3,
    );
    if (!next) continue;
    open.delete(next.id);
    kept.push({ ...application, need: next.id });
  }
  return kept;
}

/** What is otherwise on the farm than a plan took it to be, by code. */
export type SinceThen =
  | { readonly code: "not-there"; readonly batch: PlanBatch }
  | { readonly code: "later"; readonly batch: PlanBatch; readonly readyDay: number }
  | { readonly code: "vessel-gone"; readonly batch: PlanBatch }
  | { readonly code: "new-needs" | "needs-gone"; readonly count: number };

/**
 * What has changed since a plan was taken, so far as it bears on what is still ahead.
 * @param plan all its batches, begun or not, in days of this season; @param unmet needs that it left out knowingly
 */
export function sinceThen(
  season: Season,
  plan: { readonly batches: readonly PlanBatch[]; readonly applications: readonly Application[] },
  unmet: readonly string[],
): SinceThen[] {
  const found: SinceThen[] = [];
  const vessels = new Set(season.vessels.map(({ id }) => id));
  const isSame = (batch: PlanBatch, one: Season["running"][number]): boolean =>
    one.id === batch.id || (one.input === batch.input && one.vessel === batch.vessel);
  for (const batch of plan.batches) {
    if (batch.emptyDay < season.nowDay) continue;
    if (batch.startDay >= season.nowDay && !batch.running) {
      if (!vessels.has(batch.vessel)) found.push({ code: "vessel-gone", batch });
      continue;
    }
    const now = season.running.find((one) => isSame(batch, one));
    // Strained sooner than was meant it is in its store; ready by now it may have been used from its vessel.
    const isDone =
      batch.readyDay <= season.nowDay ||
      season.stores.some(({ input, fromDay }) => input === batch.input && fromDay >= batch.startDay);
    if (!now) {
      if (!isDone) found.push({ code: "not-there", batch });
    } else if (now.readyDay > Math.max(batch.readyDay, season.nowDay) + 1)
      found.push({ code: "later", batch, readyDay: now.readyDay });
  }
  const ahead = plan.applications.filter(({ day }) => day >= season.nowDay);
  const carried = new Set(carriedOver(season, ahead).map(({ need }) => need));
  const left = new Set(unmet);
  const leftOf = new Set(unmet.map(needOf));
  const lastDay = Math.max(0, ...plan.applications.map(({ day }) => day));
  const fresh = season.needs.filter(
    ({ id, latestDay }) => latestDay <= lastDay && !carried.has(id) && !left.has(id) && !leftOf.has(needOf(id)),
  );
  if (fresh.length > 0) found.push({ code: "new-needs", count: fresh.length });
  const gone = ahead.length - carried.size;
  if (gone > 0) found.push({ code: "needs-gone", count: gone });
  return found;
}
