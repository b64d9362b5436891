import { WEIGHTS } from "@/core/plan/season";

const week = (days: number): number[] => Array.from({ length: 28 }, () => days);

/** A month on three plots: one living tea, one vessel with air, hands for an hour and a half a week. */
export const EXAMPLE = {
  season: {
    format: "ruchka-season",
    formatVersion: 1,
    name: "a month",
    firstDay: "2031-03-03",
    days: 28,
    nowDay: 0,
    labour: { weekMin: [90, 90, 90, 90], costPerHour: 12 },
    airLines: 1,
    cans: { volumeL: 20, count: 2 },
    vessels: [{ id: "air-drum", volumeL: 60, holds: ["food-safe"], air: "line", cleanD: 1, fromDay: 0, toDay: 400 }],
    inputs: [
      {
        id: "castings-tea",
        name: "Castings tea",
        method: "aerated-tea",
        school: "bacterial",
        vesselUse: "food-safe",
        aerated: true,
        fillShare: { low: 0.3, high: 0.8 },
        yieldLPerL: 1,
        keeping: { living: true, useD: 0 },
        work: { fillMin: 25, dayMin: 5, closeMin: 10 },
        ingredients: [{ ingredient: "castings", perL: 0.05 }],
        feeds: [],
        wasteCostPerL: 0.1,
        weakCostPerL: 1,
      },
    ],
    durations: [{ input: "castings-tea", daysByStart: week(2) }],
    ingredients: [
      {
        id: "castings",
        unit: "kg",
        lots: [{ id: "lot-1", amount: 8, fromDay: 0, expiresDay: 60 }],
        forage: [],
        pack: null,
      },
    ],
    plantings: [
      { id: "chard", plot: "plot-1", crop: "chard", areaM2: 40, plants: 0, plantDay: 0, harvest: null, stages: [] },
    ],
    programmes: [
      {
        id: "leaf",
        input: "castings-tea",
        use: "foliar",
        crops: ["chard"],
        mixRate: { amountL: 0.5, per: "m2" },
        partsWater: { default: 1, weakest: 3 },
        timing: { kind: "every", from: 4, until: 24, everyD: 10, tolD: 2 },
        minGapD: 6,
        beforeHarvestD: 0,
        priority: 2,
        work: { fixedMin: 5, per100Min: 5 },
      },
    ],
    separations: [],
    stores: [],
    running: [],
    applied: [],
    previous: null,
    weights: WEIGHTS,
  },
  search: { iterations: 200, seed: 1 },
};
