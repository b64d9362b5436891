import type { Need, Season } from "../season";
import { barredDays, neighboursOf, type Neighbours } from "./spacing";

/** Needs as columns; `neighbours` and `apartD` of need n from `firstNeighbour[n]` to before `firstNeighbour[n + 1]`. */
export interface ModelNeeds extends Neighbours {
  readonly count: number;
  readonly input: Int16Array;
  readonly earliest: Int16Array;
  readonly latest: Int16Array;
  readonly preferred: Int16Array;
  readonly preferredL: Float64Array;
  readonly leastL: Float64Array;
  readonly weight: Float64Array;
  readonly workMin: Float64Array;
  /** Days of its window, from `earliest`, that no plan may use: 1. */
  readonly barred: readonly Uint8Array[];
}

/** Needs with numbers in place of names. */
export function modelNeeds(season: Season, inputs: ReadonlyMap<string, number>): ModelNeeds {
  const programmes = new Map(season.programmes.map((one) => [one.id, one]));
  const { needs } = season;
  const column = (of: (need: Need) => number) => Float64Array.from(needs, of);
  const days = (of: (need: Need) => number) => Int16Array.from(needs, of);
  return {
    count: needs.length,
    input: days(({ programme }) => inputs.get(programmes.get(programme)!.input)!),
    earliest: days(({ earliestDay }) => Math.max(earliestDay, season.nowDay)),
    latest: days(({ latestDay }) => Math.min(latestDay, season.days - 1)),
    preferred: days(({ preferredDay }) => preferredDay),
    preferredL: column(({ preferredL }) => preferredL),
    leastL: column(({ leastL }) => leastL),
    weight: column(({ priority }) => season.weights.unmet[priority]),
    workMin: column(({ workMin }) => workMin),
    ...neighboursOf(season, programmes),
    barred: barredDays(season, programmes),
  };
}
