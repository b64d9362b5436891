import type { Model } from "../model";
import { weekOf } from "../season";
import { Journal } from "./journal";
import { byDay, type FeedDraw, type Source, type TakePart, type Use } from "./source";

/** Places of the sums that make the score. */
export const SUM = { labourMin: 0, gathered: 1, waste: 2, weak: 3, lateD: 4, starts: 5, unmet: 6, change: 7 } as const;

/**
 * Everything a plan uses, kept up as it grows: days a vessel is taken, air lines and cans by day, minutes by week, lots, gathering and orders, litres by source, and
 * each need's day. Only `resources.ts`, `ingredients.ts`, `uses.ts` and `batches.ts` change it, each checking its rule first and leaving nothing behind where it fails.
 */
export class State {
  readonly journal = new Journal();
  /** Vessel × day: taken, cleaning counted. Days after the season count as well: a batch may be cleaned out of there. */
  readonly taken: Uint8Array;
  readonly span: number;
  readonly lines: Int16Array;
  readonly cans: Int16Array;
  readonly weekMin: Float64Array;
  readonly lotLeft: Float64Array[];
  /** Ingredient → spell × week: gathered so far. */
  readonly gathered: Float64Array[];
  /** Ingredient → day: bought for use on that day. */
  readonly bought: Float64Array[];
  readonly buyCost: Float64Array;
  readonly isBuyStale: Uint8Array;
  readonly sums = new Float64Array(8);
  sources: (Source | null)[] = [];
  /** Input → its sources. */
  readonly sourcesOf: number[][];
  readonly needDay: Int16Array;
  /** Needs whose day is held fast: 1. */
  readonly isNeedPinned: Uint8Array;
  /** Need → litres that it gets. */
  readonly needL: Float64Array;
  /** Need → the sources that it draws on; how much stands in their uses. */
  readonly needSources: (readonly number[])[];
  /** What the plan before would start, by input, vessel and day; null where there was none. */
  readonly before: ReadonlySet<string> | null;
  constructor(readonly model: Model) {
    const { days, weeks, season, ingredients, inputs, needs } = model;
    this.span = days + 64;
    this.taken = new Uint8Array(season.vessels.length * this.span);
    this.lines = new Int16Array(days);
    this.cans = new Int16Array(days);
    this.weekMin = new Float64Array(weeks);
    this.lotLeft = ingredients.map(({ lots }) => Float64Array.from(lots, ({ amount }) => amount));
    this.gathered = ingredients.map(({ forage }) => new Float64Array(forage.length * weeks));
    this.bought = ingredients.map(() => new Float64Array(days));
    this.buyCost = new Float64Array(ingredients.length);
    this.isBuyStale = new Uint8Array(ingredients.length);
    this.sourcesOf = inputs.map(() => []);
    this.needDay = new Int16Array(needs.count).fill(-1);
    this.isNeedPinned = new Uint8Array(needs.count);
    this.needL = new Float64Array(needs.count);
    this.needSources = Array.from({ length: needs.count }, () => []);
    for (let need = 0; need < needs.count; need += 1) this.sums[SUM.unmet]! += needs.weight[need]!;
    const of = model.indexOf;
    this.before = season.previous
      ? new Set(
          season.previous.batches
            .filter(({ running }) => !running)
            .map(({ input, vessel, startDay }) => `${of.inputs.get(input)}|${of.vessels.get(vessel)}|${startDay}`),
        )
      : null;
    for (const [index, vessel] of season.vessels.entries()) {
      this.taken.fill(1, index * this.span, index * this.span + Math.max(0, Math.min(vessel.fromDay, this.span)));
      if (vessel.toDay + 1 < this.span)
        // Cleaning may reach beyond the vessel's last day; what stands in it may not: `isFree` is asked for both apart.
        this.taken.fill(1, index * this.span + Math.max(0, vessel.toDay + 1 + vessel.cleanD), (index + 1) * this.span);
    }
  }
  source(index: number): Source {
    return this.sources[index]!;
  }
  isWithin(day: number): boolean {
    return day >= this.model.nowDay && day < this.model.days;
  }
  add(sum: (typeof SUM)[keyof typeof SUM], change: number): void {
    this.journal.add(this.sums, sum, change);
  }
  /** Work in the week of a day; false where the week has no minutes left for it. */
  work(day: number, minutes: number): boolean {
    if (minutes === 0 || !this.isWithin(day)) return true;
    const week = weekOf(day);
    if (minutes > 0 && this.weekMin[week]! + minutes > this.model.weekMin[week]! + 1e-6) return false;
    this.journal.add(this.weekMin, week, minutes);
    this.add(SUM.labourMin, minutes);
    return true;
  }
  hasMinutes(day: number, minutes: number): boolean {
    const week = weekOf(day);
    return minutes === 0 || this.weekMin[week]! + minutes <= this.model.weekMin[week]! + 1e-6;
  }
  /** Changes what goes into a source so that it can be taken back. */
  setParts(source: Source, takes: readonly TakePart[], feeds: readonly FeedDraw[]): void {
    const { takes: takesBefore, feeds: feedsBefore } = source;
    this.journal.did(() => {
      source.takes = takesBefore;
      source.feeds = feedsBefore;
    });
    source.takes = takes;
    source.feeds = feeds;
  }
  setEmptyDay(source: Source, day: number): void {
    const { emptyDay } = source;
    this.journal.did(() => {
      source.emptyDay = emptyDay;
    });
    source.emptyDay = day;
  }
  /** Litres filled, that come off, and that are given out. */
  setLitres(source: Source, filledL: number, comesOffL: number, goesOutL: number): void {
    const { fillL, outputL, givenL } = source;
    this.journal.did(() => {
      source.fillL = fillL;
      source.outputL = outputL;
      source.givenL = givenL;
    });
    source.fillL = filledL;
    source.outputL = comesOffL;
    source.givenL = goesOutL;
  }
  /** Puts a use at its day. */
  insertUse(source: Source, use: Use): void {
    const { uses } = source;
    let at = uses.length;
    while (at > 0 && byDay(uses[at - 1]!, use) > 0) at -= 1;
    uses.splice(at, 0, use);
    this.journal.did(() => uses.splice(at, 1));
  }
  deleteUse(source: Source, use: Use): void {
    const { uses } = source;
    const at = uses.indexOf(use);
    uses.splice(at, 1);
    this.journal.did(() => uses.splice(at, 0, use));
  }
  addSource(source: Source): void {
    const of = this.sourcesOf[source.input]!;
    this.sources[source.index] = source;
    of.push(source.index);
    this.journal.did(() => {
      this.sources[source.index] = null;
      of.splice(of.indexOf(source.index), 1);
    });
  }
  removeSource(source: Source): void {
    const of = this.sourcesOf[source.input]!;
    const place = of.indexOf(source.index);
    this.sources[source.index] = null;
    of.splice(place, 1);
    this.journal.did(() => {
      this.sources[source.index] = source;
      of.splice(place, 0, source.index);
    });
  }
  /** A place in `sources` that nobody has. */
  freeIndex(): number {
    const at = this.sources.indexOf(null);
    return at < 0 ? this.sources.length : at;
  }
}
