import type { PlanBatch, PlanBody, Season } from "../season";
import { durationD } from "../durations";
import { verifyPlan, type Broken, type Checked } from "../verify";

/**
 * The plan with one batch begun on another day or in another vessel; ready as long after as it takes there, emptied as long after that as before.
 * @param longerD days that it stands longer in its vessel than it did
 */
export function movedPlan(
  season: Season,
  plan: PlanBody,
  batch: PlanBatch,
  startDay: number,
  vessel: string,
  longerD = 0,
): PlanBody {
  const takes = durationD(season, batch.input, vessel, startDay) ?? batch.readyDay - batch.startDay;
  const moved = {
    ...batch,
    startDay,
    vessel,
    readyDay: startDay + takes,
    emptyDay: startDay + takes + Math.max(0, batch.emptyDay - batch.readyDay + longerD),
  };
  return { ...plan, batches: plan.batches.map((one) => (one.id === batch.id ? moved : one)) };
}
/** Without those applications that a moved batch breaks: what is left, so that cost and unmet can be told. */
export function withoutBroken(
  season: Season,
  plan: PlanBody,
): { readonly plan: PlanBody; readonly broken: readonly Broken[]; readonly score: Checked["score"] } {
  const { broken } = verifyPlan(season, plan);
  const lost = new Set(broken.flatMap(({ at }) => (at.startsWith("need ") ? [at.slice(5)] : [])));
  const left = { ...plan, applications: plan.applications.filter(({ need }) => !lost.has(need)) };
  return { plan: left, broken, score: verifyPlan(season, left).score };
}
/** The season with a plan as the one before, and these batches held where they are. */
export function pinnedSeason(season: Season, plan: PlanBody, pinned: ReadonlySet<string>): Season {
  const batches = plan.batches
    .filter(({ running }) => !running)
    .map(({ pinned: _was, ...batch }) => (pinned.has(batch.id) ? { ...batch, pinned: true as const } : batch));
  return { ...season, previous: { batches, applications: plan.applications.map(({ pinned: _was, ...one }) => one) } };
}
