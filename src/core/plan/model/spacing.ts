import { isClosed } from "../notThen";
import type { Programme, Season, Side } from "../season";

/** Of need n from `firstNeighbour[n]` to before `firstNeighbour[n + 1]`: another need, and the days that the two have to lie apart. */
export interface Neighbours {
  readonly firstNeighbour: Int32Array;
  readonly neighbours: Int32Array;
  readonly apartD: Int16Array;
}

const matches = (side: Side, { input, use }: Programme): boolean =>
  side.input === input && (side.use === undefined || side.use === use);

/** Days that separations keep an application of one programme and one of another apart on a plot; 0 for none. */
function separationTable(season: Season): Map<string, number> {
  const table = new Map<string, number>();
  for (const one of season.programmes)
    for (const other of season.programmes) {
      const apartD = Math.max(
        0,
        ...season.separations
          .filter(({ a, b }) => (matches(a, one) && matches(b, other)) || (matches(a, other) && matches(b, one)))
          .map((rule) => rule.apartD),
      );
      if (apartD > 0) table.set(`${one.id}|${other.id}`, apartD);
    }
  return table;
}
interface Doing {
  readonly planting: string;
  readonly programme: string;
  readonly seq: number;
}
/** Days that two applications on one plot have to lie apart. */
function apartOf(
  one: Doing,
  other: Doing,
  programmes: ReadonlyMap<string, Programme>,
  separations: Map<string, number>,
) {
  const gap =
    one.programme === other.programme && one.planting === other.planting && one.seq !== other.seq
      ? programmes.get(one.programme)!.minGapD
      : 0;
  return Math.max(gap, separations.get(`${one.programme}|${other.programme}`) ?? 0);
}

/** Of each need those that a day of its own may stand too close to, with the days apart. Made by plot, in order of their windows: comparing all with all costs more than the search's first second. */
export function neighboursOf(season: Season, programmes: ReadonlyMap<string, Programme>): Neighbours {
  const plotOf = new Map(season.plantings.map(({ id, plot }) => [id, plot]));
  const separations = separationTable(season);
  const widest = Math.max(0, ...separations.values(), ...season.programmes.map(({ minGapD }) => minGapD));
  const byPlot = new Map<string, number[]>();
  for (const [index, { planting }] of season.needs.entries()) {
    const plot = plotOf.get(planting)!;
    const list = byPlot.get(plot);
    if (list) list.push(index);
    else byPlot.set(plot, [index]);
  }
  const found: { other: number; apartD: number }[][] = season.needs.map(() => []);
  for (const list of byPlot.values()) {
    list.sort((one, other) => season.needs[one]!.earliestDay - season.needs[other]!.earliestDay || one - other);
    const longest = Math.max(...list.map((index) => season.needs[index]!.latestDay - season.needs[index]!.earliestDay));
    for (const [place, one] of list.entries())
      for (let next = place + 1; next < list.length; next += 1) {
        const other = list[next]!;
        const [a, b] = [season.needs[one]!, season.needs[other]!];
        if (b.earliestDay - a.earliestDay > longest + widest) break;
        const apartD = apartOf(a, b, programmes, separations);
        if (b.earliestDay - a.latestDay >= apartD || apartD === 0) continue;
        found[one]!.push({ other, apartD });
        found[other]!.push({ other: one, apartD });
      }
  }
  const total = found.reduce((sum, list) => sum + list.length, 0);
  const [firstNeighbour, neighbours, apartD] = [
    new Int32Array(found.length + 1),
    new Int32Array(total),
    new Int16Array(total),
  ];
  let at = 0;
  for (const [index, list] of found.entries()) {
    firstNeighbour[index] = at;
    for (const one of list) {
      neighbours[at] = one.other;
      apartD[at] = one.apartD;
      at += 1;
    }
  }
  firstNeighbour[found.length] = at;
  return { firstNeighbour, neighbours, apartD };
}

/** Of each need the days of its window that the time before harvest, or what was applied before today, takes away, or on which nobody works. */
export function barredDays(season: Season, programmes: ReadonlyMap<string, Programme>): Uint8Array[] {
  const plantings = new Map(season.plantings.map((one) => [one.id, one]));
  const separations = separationTable(season);
  const appliedOn = new Map<string, (typeof season.applied)[number][]>();
  for (const one of season.applied) {
    const plot = plantings.get(one.planting)?.plot ?? one.planting;
    appliedOn.set(plot, [...(appliedOn.get(plot) ?? []), one]);
  }
  return season.needs.map((need) => {
    const from = Math.max(need.earliestDay, season.nowDay);
    const barred = new Uint8Array(Math.max(0, Math.min(need.latestDay, season.days - 1) - from + 1));
    const { plot, harvest } = plantings.get(need.planting)!;
    const { beforeHarvestD } = programmes.get(need.programme)!;
    const bar = (first: number, last: number): void => {
      for (let day = Math.max(first, from); day <= last && day - from < barred.length; day += 1) barred[day - from] = 1;
    };
    if (season.closedWeekdays?.length) for (const at of barred.keys()) if (isClosed(season, from + at)) barred[at] = 1;
    if (beforeHarvestD > 0 && harvest) bar(harvest.fromDay - beforeHarvestD, harvest.toDay);
    for (const done of appliedOn.get(plot) ?? []) {
      const apartD = programmes.has(done.programme) ? apartOf(need, done, programmes, separations) : 0;
      if (apartD > 0) bar(done.day - apartD + 1, done.day + apartD - 1);
    }
    return barred;
  });
}
