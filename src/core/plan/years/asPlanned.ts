import { durationD } from "../durations";
import { isClosed } from "../notThen";
import type { DurationRow, PlanBatch, PlanBody, Season, SeasonInput } from "../season";
import { Spaces } from "./Spaces";

/** A batch that can't be begun on its day is waited for so long, then given up, days. */
const WAITS_D = 14;
const TINY_L = 1e-6;

interface Standing {
  readonly id: string;
  readonly input: string;
  readonly readyDay: number;
  readonly lastDay: number;
  leftL: number;
}

/** How long what runs already still takes in that year: longer or shorter as one begun today would. */
function readyOf(season: Season, year: Season, batch: PlanBatch): number {
  const left = batch.readyDay - season.nowDay;
  if (left <= 0) return batch.readyDay;
  const usual = durationD(season, batch.input, batch.vessel, season.nowDay);
  const then = durationD(year, batch.input, batch.vessel, season.nowDay);
  return usual && then ? season.nowDay + Math.round((left * then) / usual) : batch.readyDay;
}
const lastDayOf = ({ keeping }: SeasonInput, readyDay: number): number =>
  readyDay + (keeping.living ? keeping.useD : keeping.shelfD);

/** The plan as it is carried out in one year: what stands where, what is there to draw on. */
class Carrying {
  private readonly inputs: ReadonlyMap<string, SeasonInput>;
  private readonly cleanD: ReadonlyMap<string, number>;
  private readonly standing: Standing[] = [];
  /** Vessel → the first day on which it is free again. */
  private readonly freeDay = new Map<string, number>();
  constructor(
    private readonly season: Season,
    private readonly year: Season,
  ) {
    this.inputs = new Map(season.inputs.map((one) => [one.id, one]));
    this.cleanD = new Map(season.vessels.map(({ id, cleanD }) => [id, cleanD]));
  }
  begin(plan: PlanBody): void {
    const thrown = new Map(plan.discards.map(({ store, amountL }) => [store, amountL]));
    for (const { id, input, onHandL, fromDay, expiresDay } of this.season.stores)
      this.standing.push({ id, input, readyDay: fromDay, lastDay: expiresDay, leftL: onHandL - (thrown.get(id) ?? 0) });
    const drawnL = new Map(this.season.running.map((one) => [one.id, one.drawnL ?? 0]));
    for (const batch of plan.batches)
      if (batch.running) this.stands(batch, readyOf(this.season, this.year, batch), drawnL.get(batch.id) ?? 0);
  }
  private stands(batch: PlanBatch, readyDay: number, drawnL: number): void {
    const input = this.inputs.get(batch.input)!;
    const emptyDay = Math.max(readyDay + batch.emptyDay - batch.readyDay, batch.running ? batch.emptyDay : 0);
    this.freeDay.set(batch.vessel, emptyDay + this.cleanD.get(batch.vessel)!);
    const lastDay = lastDayOf(input, readyDay);
    this.standing.push({
      id: batch.id,
      input: batch.input,
      readyDay,
      lastDay: input.keeping.living ? Math.min(lastDay, emptyDay) : lastDay,
      leftL: batch.fillL * input.yieldLPerL - drawnL - (batch.discardL ?? 0),
    });
  }
  /** Begins a batch where its vessel is free and what feeds it is there. @returns whether it was */
  start(batch: PlanBatch, day: number): boolean {
    if ((this.freeDay.get(batch.vessel) ?? 0) > day || isClosed(this.season, day)) return false;
    const takes = durationD(this.year, batch.input, batch.vessel, day);
    if (takes === null) return false;
    const draws = (batch.feeds ?? []).map(({ from, amountL }) => {
      const { input } = this.standing.find(({ id }) => id === from) ?? {};
      return input === undefined ? null : this.found(input, [from], day, amountL, amountL);
    });
    if (draws.includes(null)) return false;
    for (const draw of draws) this.take(draw!);
    this.stands(batch, day + takes, 0);
    return true;
  }
  /** Litres of an input on a day: from what was meant first, then from whatever is over soonest. @returns null where there is less than the least */
  found(
    input: string,
    meant: readonly string[],
    day: number,
    litres: number,
    leastL: number,
  ): Map<Standing, number> | null {
    const there = this.standing
      .filter((one) => one.input === input && one.readyDay <= day && one.lastDay >= day && one.leftL > TINY_L)
      .sort(
        (one, other) =>
          Number(meant.includes(other.id)) - Number(meant.includes(one.id)) || one.lastDay - other.lastDay,
      );
    const draws = new Map<Standing, number>();
    let missing = litres;
    for (const one of there) {
      if (missing <= TINY_L) break;
      const amountL = Math.min(missing, one.leftL);
      draws.set(one, amountL);
      missing -= amountL;
    }
    return litres - missing >= leastL - 1e-3 ? draws : null;
  }
  take(draws: ReadonlyMap<Standing, number>): void {
    for (const [one, amountL] of draws) one.leftL -= amountL;
  }
}

/**
 * A plan carried out, without foresight, in a year in which batches take otherwise: each is begun on its day or as soon as its vessel is free, each application made
 * on its day or as soon as there is something for it, within its days. Hours, cans and gathering are not counted again.
 * @param rows days until ready in that year
 * @returns needs that go unmet
 */
export function asPlanned(season: Season, plan: PlanBody, rows: readonly DurationRow[]): string[] {
  const year: Season = { ...season, durations: rows };
  const carrying = new Carrying(season, year);
  const spaces = new Spaces(season);
  carrying.begin(plan);
  const needs = new Map(season.needs.map((one) => [one.id, one]));
  const inputOf = new Map(season.programmes.map(({ id, input }) => [id, input]));
  const toBegin = plan.batches
    .filter(({ running }) => !running)
    .toSorted((one, other) => one.startDay - other.startDay);
  const toApply = plan.applications
    .filter(({ need }) => needs.has(need))
    .toSorted((one, other) => one.day - other.day || needs.get(one.need)!.latestDay - needs.get(other.need)!.latestDay);
  const met = new Set<string>();
  let [open, waiting] = [toApply, toBegin];
  for (let day = season.nowDay; day < season.days; day += 1) {
    waiting = waiting.filter((batch) => {
      if (batch.startDay > day) return true;
      return batch.startDay + WAITS_D >= day && !carrying.start(batch, day);
    });
    open = open.filter((application) => {
      if (application.day > day) return true;
      const need = needs.get(application.need)!;
      if (need.latestDay < day) return false;
      if (isClosed(season, day) || !spaces.isApart(need, day)) return true;
      const planned = application.draws.reduce((sum, { amountL }) => sum + amountL, 0);
      const meant = application.draws.map(({ from }) => from);
      const draws = carrying.found(inputOf.get(need.programme)!, meant, day, planned, Math.min(planned, need.leastL));
      if (!draws) return true;
      carrying.take(draws);
      spaces.put(need, day);
      met.add(need.id);
      return false;
    });
  }
  return season.needs.filter(({ id }) => !met.has(id)).map(({ id }) => id);
}
