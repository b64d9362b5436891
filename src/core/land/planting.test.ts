import { nextPlanting, plantingOn, plantsAt, stageOn, stands, strengthStage, type Planting } from "./planting";

const leeks: Planting = {
  crop: "leeks",
  part: null,
  perennial: false,
  plantedOn: "2031-03-01",
  sown: false,
  plants: null,
  spacingCm: null,
  harvestFrom: null,
  harvestTo: null,
  endedOn: null,
  seen: null,
};
const peas: Planting = { ...leeks, crop: "peas", sown: true, harvestFrom: "2031-06-20", harvestTo: "2031-07-10" };
const apples: Planting = {
  ...leeks,
  crop: "apples",
  perennial: true,
  plantedOn: "2020-11-01",
  harvestFrom: "2031-09-01",
  harvestTo: "2031-10-10",
};

describe("how far a crop is", () => {
  it.each<[string, Planting, string, string, string]>([
    ["not in yet", leeks, "2031-02-27", "bare", "bare"],
    ["set out days ago", leeks, "2031-03-05", "settling", "seedling"],
    ["grown on", leeks, "2031-04-05", "growing", "growing"],
    ["sown weeks ago", peas, "2031-03-20", "seedling", "seedling"],
    ["six weeks before its first pods", peas, "2031-05-15", "flowering", "flowering"],
    ["its pods swelling", peas, "2031-06-05", "fruiting", "fruiting"],
    ["picked", peas, "2031-07-01", "fruiting", "fruiting"],
    ["a fortnight past its harvest", peas, "2031-07-30", "bare", "bare"],
    ["a tree in leaf", apples, "2031-05-01", "growing", "perennial"],
    ["a tree with fruit on it", apples, "2031-08-20", "fruiting", "fruiting"],
    ["a tree after its harvest", apples, "2031-11-20", "rest", "perennial"],
  ])("%s", (_what, planting, day, stage, strength) => {
    expect(stageOn(planting, day)).toBe(stage);
    expect(strengthStage(planting, day)).toBe(strength);
  });
  it("is what was seen, until its dates have gone beyond", () => {
    const seen = (stage: "flowering" | "seedling" | "growing" | "rest", on: string): Planting => ({
      ...peas,
      seen: { stage, on },
    });
    expect(stageOn(seen("flowering", "2031-04-20"), "2031-04-25")).toBe("flowering");
    expect(stageOn(seen("growing", "2031-05-20"), "2031-06-05")).toBe("fruiting");
    expect(stageOn(seen("seedling", "2031-04-20"), "2031-04-25")).toBe("seedling");
    // A seedling that was seen grows up all the same.
    expect(stageOn(seen("seedling", "2031-03-20"), "2031-04-30")).toBe("growing");
    // What nobody has seen yet does not count.
    expect(stageOn(seen("flowering", "2031-04-20"), "2031-04-10")).toBe("growing");
    expect(stageOn({ ...apples, seen: { stage: "flowering", on: "2031-04-20" } }, "2031-05-01")).toBe("flowering");
    expect(stageOn({ ...apples, seen: { stage: "flowering", on: "2030-04-20" } }, "2031-05-01")).toBe("growing");
    expect(stageOn(seen("rest", "2031-04-20"), "2031-04-21")).toBe("rest");
  });
  it("ends where it is cleared", () => {
    expect(stands({ ...leeks, endedOn: "2031-05-01" }, "2031-04-30")).toBe(true);
    expect(stands({ ...leeks, endedOn: "2031-05-01" }, "2031-05-01")).toBe(false);
    expect(strengthStage(null, "2031-05-01")).toBe("bare");
  });
});
describe("what stands and what comes", () => {
  it("is the latest planted, and the first that is meant to be", () => {
    const kale = { ...leeks, crop: "kale", plantedOn: "2031-08-01" };
    const chard = { ...leeks, crop: "chard", plantedOn: "2031-04-10" };
    expect(plantingOn([leeks, chard, kale], "2031-05-01")!.crop).toBe("chard");
    expect(nextPlanting([leeks, chard, kale], "2031-03-05")!.crop).toBe("chard");
    expect(nextPlanting([leeks], "2031-03-05")).toBeNull();
    expect(plantingOn([kale], "2031-03-05")).toBeNull();
  });
  it("is counted by its spacing where nobody counted", () => expect(plantsAt(12, 30)).toBe(133));
});
