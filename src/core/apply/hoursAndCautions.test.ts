import { carriedBy } from "../safety/carried";
import { findRecipe } from "../book";
import { findUseRate } from "../book/useRate";
import { findUse, type UseId } from "../book/uses";
import { dueTasks } from "../tend/dueTasks";
import { findCautions, reasonSuffices } from "./cautions";
import { fitHours } from "./fitHours";
import type { WeatherHour } from "./weatherHour";

const HOUR = 3_600_000;
const DAY = Array.from({ length: 48 }, (_, hour): WeatherHour => ({
  atMs: hour * HOUR,
  airC: 16,
  rainMm: 0,
  windMPerS: 1,
}));
const SUNS = [{ riseMs: 6 * HOUR, setMs: 20 * HOUR }];
const bands = (hours: readonly WeatherHour[]) => fitHours(hours, SUNS, 0, 48 * HOUR);
const with_ = (change: Partial<WeatherHour>, from: number, to: number) =>
  DAY.map((hour, index) => (index >= from && index <= to ? { ...hour, ...change } : hour));

describe("fit hours", () => {
  it("are dawn and dusk, never midday", () => {
    expect(bands(DAY).map(({ when, fit, fromMs, toMs }) => [when, fit, fromMs / HOUR, toMs / HOUR])).toEqual([
      ["dawn", "leaves", 5.5, 8.5],
      ["dusk", "leaves", 18, 21],
    ]);
  });
  it.each([
    ["rain in the hours after", { rainMm: 2 }, 22, 23, "soil", "rain"],
    ["wind", { windMPerS: 6 }, 17, 21, "soil", "wind"],
    ["cold leaves", { airC: 4 }, 17, 21, "soil", "cold"],
    ["frost", { airC: 0 }, 17, 21, "none", "cold"],
    ["heat", { airC: 33 }, 17, 21, "none", "heat"],
  ] as const)("%s", (_what, change, from, to, fit, because) => {
    expect(bands(with_(change, from, to))[1]).toMatchObject({ when: "dusk", fit, because });
  });
  it("leave rain and wind to whoever goes out, where nobody tells them, but not heat and frost", () => {
    const mute = DAY.map((hour) => ({ ...hour, rainMm: null, windMPerS: null }));
    expect(bands(mute)).toMatchObject([
      { fit: "leaves", because: "unknown", windMPerS: null },
      { fit: "leaves", because: "unknown" },
    ]);
    expect(bands(mute.map((hour) => ({ ...hour, airC: 33 })))[0]).toMatchObject({ fit: "none", because: "heat" });
    // A gauge and no vane: rain is known, and wind is not.
    expect(bands(DAY.map((hour) => ({ ...hour, windMPerS: null })))[0]).toMatchObject({ because: "unknown" });
    expect(bands(mute.map((hour) => ({ ...hour, rainMm: 2 })))[0]).toMatchObject({ fit: "soil", because: "rain" });
  });
  it("begin no earlier than now, and need weather to be judged", () => {
    expect(fitHours(DAY, SUNS, 7 * HOUR, 10 * HOUR)).toMatchObject([{ fromMs: 7 * HOUR }]);
    expect(fitHours([], SUNS, 0, 48 * HOUR)).toEqual([]);
  });
});

describe("cautions against an application", () => {
  const on = (methodId: string, use: UseId, change: object = {}) => {
    const recipe = findRecipe(methodId);
    return findCautions({
      recipe,
      rate: findUseRate(recipe, use),
      use: findUse(use),
      partsWater: 1000,
      hoursPastExpiry: -1,
      hoursSinceShelf: 0.5,
      smelt: "good",
      recheck: null,
      plots: [],
      carries: [],
      urineStoredD: null,
      riverWater: false,
      rules: [],
      today: "2031-03-20",
      ...change,
    }).map(({ code, weight }) => `${code}/${weight}`);
  };
  it("are none for a fresh input at a strength the book knows", () => expect(on("plant-juice", "foliar")).toEqual([]));
  it("stand against strength, age and unknown uses", () => {
    expect(on("plant-juice", "seedling", { partsWater: 500 })).toEqual(["too-strong/reason"]);
    expect(on("plant-juice", "drench-growing", { hoursPastExpiry: 5 })).toEqual(["expired/reason"]);
    expect(on("plant-juice", "compost", { hoursPastExpiry: 5 })).toEqual(["use-unknown/reason"]);
  });
  it("keep living teas off leaves that are eaten soon, by the harvest day", () => {
    const lettuce = (harvestOn: string | null) => ({
      partsWater: 1,
      plots: [{ name: "Bed 1", crop: "lettuce", leafEaten: true, harvestOn, lastSameD: null }],
    });
    expect(on("aerated-tea", "foliar", lettuce("2031-04-20"))).toEqual(["leaf-eaten-soon/reason"]);
    expect(on("aerated-tea", "foliar", lettuce(null))).toEqual(["leaf-eaten-soon/reason"]);
    expect(on("aerated-tea", "foliar", lettuce("2031-08-20"))).toEqual([]);
    expect(on("aerated-tea", "drench-growing", lettuce("2031-03-25"))).toEqual([]);
  });
  it("want a reason for river water on the leaves of what is eaten, and nowhere else", () => {
    const bed = (crop: string) => ({ name: "Bed 1", crop, leafEaten: false, harvestOn: "2032-03-20", lastSameD: null });
    const river = { riverWater: true, plots: [bed("sunflower windbreak"), bed("beans")] };
    expect(on("plant-juice", "foliar", river)).toEqual(["river-on-leaves/reason"]);
    expect(on("plant-juice", "foliar", { ...river, riverWater: false })).toEqual([]);
    expect(on("plant-juice", "drench-growing", river)).toEqual([]);
  });
  it("bar what was smelt off or must be smelt first, but for compost, and doubt what was off before", () => {
    const recheck = { because: "hot-spell", dueMs: 0 };
    expect(on("plant-juice", "foliar", { smelt: "off", recheck })).toEqual(["smelt-off/never"]);
    expect(on("plant-juice", "foliar", { recheck })).toEqual(["smell-first/never"]);
    expect(on("plant-juice", "foliar", { smelt: "doubtful" })).toEqual(["smelt-doubtful/reason"]);
    expect(on("aerated-tea", "compost", { partsWater: 1, smelt: "off", recheck })).toEqual([]);
  });
  it("bar a tea that has been without air past the hard end, but for compost", () => {
    expect(on("aerated-tea", "drench-growing", { partsWater: 1, hoursSinceShelf: 13 })).toEqual(["long-dead/never"]);
    expect(on("aerated-tea", "compost", { partsWater: 1, hoursSinceShelf: 13 })).toEqual([]);
  });
});

describe("what a liquid carries, against what is eaten", () => {
  const PLOT = { name: "Bed 1", crop: "lettuce", leafEaten: true, harvestOn: "2031-03-25", lastSameD: null };
  const given = (change: object = {}, use: UseId = "drench-growing") => {
    const recipe = findRecipe("drum-manure-tea");
    return findCautions({
      recipe,
      rate: findUseRate(recipe, use),
      use: findUse(use),
      partsWater: 20,
      hoursPastExpiry: -1,
      hoursSinceShelf: 1,
      smelt: "good",
      recheck: null,
      plots: [PLOT],
      carries: ["dung"],
      urineStoredD: null,
      riverWater: false,
      rules: [],
      today: "2031-03-20",
      ...change,
    });
  };
  const codes = (...of: Parameters<typeof given>) => given(...of).map(({ code, weight }) => `${code}/${weight}`);
  it("blocks manure tea on lettuce five days before harvest, and takes no idle reason", () => {
    const cautions = given();
    expect(cautions).toEqual([
      expect.objectContaining({ code: "hazard-before-harvest", weight: "blocked", daysToHarvest: 5, ruleD: 120 }),
    ]);
    expect(reasonSuffices(cautions, "ok")).toBe(false);
    expect(reasonSuffices(cautions, "ploughed in, not sold, goes to the hens")).toBe(true);
  });
  it.each([
    ["a tomato, which touches no soil", { crop: "tomatoes", leafEaten: false, harvestOn: "2031-06-10" }, 90],
    ["a carrot, which does", { crop: "carrots", leafEaten: false, harvestOn: "2031-06-10" }, 120],
    ["what nobody knows by name", { crop: "glowroot", leafEaten: false, harvestOn: "2031-07-10" }, 120],
    ["a harvest that nobody has named", { crop: "tomatoes", leafEaten: false, harvestOn: null }, 90],
    ["a harvest that has begun", { harvestOn: "2031-03-10" }, 120],
  ])("blocks dung on %s", (_what, plot, ruleD) =>
    expect(given({ plots: [{ ...PLOT, ...plot }] })).toEqual([expect.objectContaining({ weight: "blocked", ruleD })]),
  );
  it.each([
    ["bare soil", { crop: "", leafEaten: false, harvestOn: null }],
    ["what nobody eats", { crop: "lawn", leafEaten: false, harvestOn: null }],
    ["a harvest far enough off", { harvestOn: "2031-07-18" }],
  ])("lets dung onto %s", (_what, plot) => expect(codes({ plots: [{ ...PLOT, ...plot }] })).toEqual([]));
  it("lets it onto the heap, and keeps dung and urine off every leaf", () => {
    expect(codes({}, "compost")).toEqual([]);
    expect(codes({ plots: [{ ...PLOT, harvestOn: "2032-03-20" }] }, "foliar")).toContain("hazard-on-leaves/blocked");
  });
  it("goes by the farm's own rule once it has one", () => {
    const rules = [{ hazard: "dung", touchingD: 4, clearD: 4 }];
    expect(codes({ rules })).toEqual([]);
    expect(given({ rules: [{ hazard: "dung", touchingD: 200, clearD: 200 }] })[0]).toMatchObject({
      ruleD: 200,
      ownRule: true,
    });
  });
  it("wants urine six months old for what is eaten raw, and none in the last month", () => {
    const urine = (urineStoredD: number | null, plot: object) =>
      codes({ carries: ["urine"], urineStoredD, plots: [{ ...PLOT, ...plot }] });
    expect(urine(40, { harvestOn: "2031-06-20" })).toEqual(["urine-too-young/blocked"]);
    expect(urine(null, { harvestOn: "2031-06-20" })).toEqual(["urine-too-young/blocked"]);
    expect(urine(200, { harvestOn: "2031-06-20" })).toEqual([]);
    expect(urine(200, { harvestOn: "2031-04-10" })).toEqual(["hazard-before-harvest/blocked"]);
    expect(urine(40, { crop: "potatoes", leafEaten: false, harvestOn: "2031-06-20" })).toEqual([]);
  });
  it("asks why for the same again the same day or within half its interval", () => {
    const again = (lastSameD: number | null) =>
      codes({ carries: [], plots: [{ ...PLOT, lastSameD, harvestOn: "2032-01-01" }] });
    expect(again(0)).toEqual(["again-so-soon/reason"]);
    expect(again(10)).toEqual(["again-so-soon/reason"]);
    expect(again(11)).toEqual([]);
    expect(again(null)).toEqual([]);
  });
  it("asks why for milk and unwashed leaf on leaves eaten soon, not on soil", () => {
    const carries = ["milk", "unwashed-leaf"];
    expect(codes({ carries }, "foliar").filter((code) => code.startsWith("hazard"))).toEqual([
      "hazard-before-harvest/reason",
      "hazard-before-harvest/reason",
    ]);
    expect(codes({ carries })).toEqual([]);
  });
  it("knows dung, urine, milk and unwashed leaf by what went in", () => {
    expect(carriedBy(["water", "manure-aged", "molasses"])).toEqual(["dung"]);
    expect(carriedBy(["urine", "greens"])).toEqual(["urine", "unwashed-leaf"]);
    expect(carriedBy(["water", "castings"])).toEqual([]);
  });
});

describe("the tending programme", () => {
  const extract = findRecipe("cultured-extract");
  it("asks for each task once, its interval after it was last done", () => {
    expect(dueTasks(extract, [], 120, 136).map(({ task, dueH }) => [task.act, dueH])).toEqual([
      ["vented", 24],
      ["read-ph", 96],
    ]);
    expect(
      dueTasks(extract, [{ hour: 100, kind: "act", act: "vented" }], 120, 136).map(({ task }) => task.act),
    ).toEqual(["read-ph"]);
  });
  it("says what is late, and stops asking where the programme ends", () => {
    expect(dueTasks(extract, [], 60, 60)).toMatchObject([{ late: true }]);
    const juice = findRecipe("plant-juice");
    expect(
      dueTasks(juice, [{ hour: 140, kind: "act", act: "pressed-under" }], 150, 170).map(({ task }) => task.act),
    ).not.toContain("pressed-under");
  });
});
