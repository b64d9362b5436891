import { seasonNamed } from "@/testing/season/vectors";
import { expandNeeds } from "./expand";
import type { Need } from "./season";

const rounded = ({ preferredL, leastL, workMin, ...rest }: Need) => ({
  ...rest,
  preferredL: Math.round(preferredL * 1e3) / 1e3,
  leastL: Math.round(leastL * 1e3) / 1e3,
  workMin: Math.round(workMin * 1e2) / 1e2,
});
const byId = (one: Need, other: Need): number => (one.id < other.id ? -1 : 1);

describe("expandNeeds", () => {
  test.each(["small-11", "small-12", "medium-21"])("the needs of %s come of its plantings and programmes", (name) => {
    const season = seasonNamed(name);
    expect(expandNeeds(season).needs.toSorted(byId).map(rounded)).toEqual(season.needs.toSorted(byId).map(rounded));
  });

  test("what falls wholly into the days before picking is told, not planned", () => {
    const season = seasonNamed("small-12");
    const [programme] = season.programmes;
    const close = {
      ...programme!,
      crops: [season.plantings[0]!.crop],
      timing: { kind: "once" as const, atD: 9, tolD: 1 },
      beforeHarvestD: 30,
    };
    const planting = { ...season.plantings[0]!, plantDay: 10, harvest: { fromDay: 20, toDay: 30 } };
    const { needs, tooClose } = expandNeeds({ ...season, programmes: [close], plantings: [planting] });
    expect(needs).toEqual([]);
    expect(tooClose).toEqual([{ planting: planting.id, programme: close.id, day: 19 }]);
  });
});
