import { weekOf, weeksOf, type PlanBody, type Season } from "../season";
import { deedsOf, type SeasonDeed } from "./deeds";

/** Somebody with hours for brewing and spreading. */
export interface Hand {
  readonly id: string;
  readonly weekMin: number;
}
/** The hands that a farm's terms name. */
export const handsNamed = (hands: readonly { readonly actorId: number; readonly hoursAWeek: number }[]): Hand[] =>
  hands.map(({ actorId, hoursAWeek }) => ({ id: String(actorId), weekMin: hoursAWeek * 60 }));

export interface HandsOfSeason {
  /** Deed → who does it. */
  readonly whose: ReadonlyMap<string, string>;
  /** Of each person the minutes of each week, tending included. */
  readonly weekMin: Readonly<Record<string, readonly number[]>>;
}

/**
 * Who does what: each deed goes, day by day and the longest first, to whoever has the largest share of the week left; a batch is tended by whoever began it, and what
 * runs already by whoever has most left. Nobody is kept within the hours: those of all together hold, and one who is over is told so.
 */
export function handsOf(season: Season, plan: PlanBody, hands: readonly Hand[]): HandsOfSeason {
  const weekMin = Object.fromEntries(
    hands.map(({ id }) => [id, Array.from({ length: weeksOf(season.days) }, () => 0)]),
  );
  const whose = new Map<string, string>();
  if (hands.length === 0) return { whose, weekMin };
  const leftOf = ({ id, weekMin: has }: Hand, week: number): number => (has - weekMin[id]![week]!) / Math.max(1, has);
  const freest = (week: number): Hand =>
    hands.reduce((best, one) => (leftOf(one, week) > leftOf(best, week) + 1e-9 ? one : best));
  const takes = (who: string, day: number, minutes: number): void => {
    if (day >= season.nowDay && day < season.days) weekMin[who]![weekOf(day)]! += minutes;
  };
  const works = new Map(season.inputs.map(({ id, work }) => [id, work]));
  const tend = (who: string, batchId: string): void => {
    const batch = plan.batches.find(({ id }) => id === batchId)!;
    const { dayMin } = works.get(batch.input)!;
    if (dayMin > 0) for (let day = batch.startDay; day < batch.readyDay; day += 1) takes(who, day, dayMin);
  };
  for (const { id, running } of plan.batches) if (running) tend(freest(weekOf(season.nowDay)).id, id);
  const give = (deed: SeasonDeed): void => {
    const { id: who } = freest(weekOf(Math.max(deed.day, season.nowDay)));
    whose.set(deed.id, who);
    takes(who, deed.day, deed.minutes);
    if (deed.kind === "start") tend(who, deed.batch);
  };
  const deeds = deedsOf(season, plan).filter(({ day }) => day < season.days);
  for (const deed of deeds.toSorted((one, other) => one.day - other.day || other.minutes - one.minutes)) give(deed);
  return { whose, weekMin };
}
