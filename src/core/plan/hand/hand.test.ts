import { seasonNamed } from "@/testing/season/vectors";
import { planSeason } from "../planSeason";
import { verifyPlan } from "../verify";
import { changesBetween } from "./changes";
import { daysOfWeek, deedsOf } from "./deeds";
import { movedPlan, pinnedSeason, withoutBroken } from "./move";
import { seasonIf, WHAT_IFS } from "./whatIf";

const SEASON = seasonNamed("three-plots");
const PLAN = planSeason(SEASON, { iterations: 800, seed: 1 }, () => 0);

describe("a plan in the hand", () => {
  it("a batch that is moved takes as long as it does there; what it breaks is left out of the figures", () => {
    const batch = PLAN.batches.find(({ vessel }) => vessel === "big")!;
    const moved = movedPlan(SEASON, PLAN, batch, batch.startDay, "small");
    expect(moved.batches.find(({ id }) => id === batch.id)!.readyDay).toBe(batch.startDay + 7);
    const stretched = movedPlan(SEASON, PLAN, batch, batch.startDay, "big", 2).batches.find(
      ({ id }) => id === batch.id,
    )!;
    expect(stretched.emptyDay).toBe(batch.emptyDay + 2);
    const shortest = movedPlan(SEASON, PLAN, batch, batch.startDay, "big", -99).batches.find(
      ({ id }) => id === batch.id,
    )!;
    expect(shortest.emptyDay).toBe(shortest.readyDay);
    const { plan, broken } = withoutBroken(SEASON, movedPlan(SEASON, PLAN, batch, batch.startDay + 7, "big"));
    expect(broken.length).toBeGreaterThan(0);
    expect(plan.applications.length).toBeLessThan(PLAN.applications.length);
    const held = pinnedSeason(SEASON, PLAN, new Set([batch.id])).previous!;
    expect(held.batches.filter(({ pinned }) => pinned).map(({ id }) => id)).toEqual([batch.id]);
  });

  it("what two plans do otherwise is told once each: moved, new, gone", () => {
    const [first, ...rest] = PLAN.batches;
    const later = { ...first!, id: "x", startDay: first!.startDay + 2, readyDay: first!.readyDay + 2 };
    expect(changesBetween(PLAN.batches, PLAN.batches)).toEqual({ moved: [], added: [], gone: [] });
    expect(changesBetween(PLAN.batches, [later, ...rest])).toEqual({
      moved: [{ from: first, to: later }],
      added: [],
      gone: [],
    });
    expect(changesBetween(PLAN.batches, rest).gone).toEqual([first]);
    expect(changesBetween(rest, PLAN.batches).added).toEqual([first]);
  });

  it("each deed of the plan stands in one week, on its day", () => {
    const deeds = [0, 1, 2, 3].flatMap((week) => daysOfWeek(deedsOf(SEASON, PLAN), week)).flatMap((one) => one.deeds);
    const count = (kind: string) => deeds.filter((deed) => deed.kind === kind).length;
    expect(count("start")).toBe(PLAN.batches.length);
    expect(count("strain")).toBe(PLAN.batches.length);
    expect(count("order")).toBe(PLAN.purchases.length);
    const litres = deeds.reduce((sum, deed) => sum + (deed.kind === "apply" ? deed.litres : 0), 0);
    const drawn = PLAN.applications.flatMap(({ draws }) => draws).reduce((sum, { amountL }) => sum + amountL, 0);
    expect(litres).toBeCloseTo(drawn, 6);
  });

  it("with one thing otherwise it is still a season that can be planned, with vessels or without", () => {
    for (const change of WHAT_IFS)
      for (const season of [SEASON, { ...SEASON, vessels: [], durations: [] }]) {
        const other = seasonIf(season, change);
        expect(
          verifyPlan(
            other,
            planSeason(other, { iterations: 20, seed: 1 }, () => 0),
          ).broken,
        ).toEqual([]);
      }
  });
});
