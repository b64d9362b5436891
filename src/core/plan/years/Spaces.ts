import type { Need, Programme, Season, Side } from "../season";

interface Made {
  readonly planting: string;
  readonly programme: Programme;
  readonly seq: number;
  readonly day: number;
}
const is = (side: Side, { input, use }: Programme): boolean =>
  side.input === input && (side.use === undefined || side.use === use);

/** What was applied on each plot, and what has to keep its distance from it. */
export class Spaces {
  private readonly programmes: ReadonlyMap<string, Programme>;
  private readonly plantings: ReadonlyMap<string, Season["plantings"][number]>;
  private readonly made = new Map<string, Made[]>();
  constructor(private readonly season: Season) {
    this.programmes = new Map(season.programmes.map((one) => [one.id, one]));
    this.plantings = new Map(season.plantings.map((one) => [one.id, one]));
    for (const done of season.applied) if (this.programmes.has(done.programme)) this.put(done, done.day);
  }
  put({ planting, programme, seq }: Pick<Need, "planting" | "programme" | "seq">, day: number): void {
    const plot = this.plantings.get(planting)?.plot ?? planting;
    const list = this.made.get(plot) ?? [];
    this.made.set(plot, list);
    list.push({ planting, programme: this.programmes.get(programme)!, seq, day });
  }
  isApart(need: Need, day: number): boolean {
    const { plot, harvest } = this.plantings.get(need.planting)!;
    const programme = this.programmes.get(need.programme)!;
    const { beforeHarvestD } = programme;
    if (beforeHarvestD > 0 && harvest && day >= harvest.fromDay - beforeHarvestD && day <= harvest.toDay) return false;
    return (this.made.get(plot) ?? []).every((one) => {
      const apart = Math.abs(one.day - day);
      const isSeries = one.programme === programme && one.planting === need.planting && one.seq !== need.seq;
      if (isSeries && apart < programme.minGapD) return false;
      return this.season.separations.every(
        ({ a, b, apartD }) =>
          apart >= apartD ||
          !((is(a, one.programme) && is(b, programme)) || (is(b, one.programme) && is(a, programme))),
      );
    });
  }
}
