import { findRecipe, findUseRate } from "../book";
import { findUse, type UseId } from "../book/uses";
import { dueTasks } from "../tend/dueTasks";
import { findCautions } from "./cautions";
import { fitHours, type WeatherHour } from "./fitHours";

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
      plots: [{ name: "Bed 1", leafEaten: true, harvestOn }],
    });
    expect(on("aerated-tea", "foliar", lettuce("2031-04-20"))).toEqual(["leaf-eaten-soon/reason"]);
    expect(on("aerated-tea", "foliar", lettuce(null))).toEqual(["leaf-eaten-soon/reason"]);
    expect(on("aerated-tea", "foliar", lettuce("2031-08-20"))).toEqual([]);
    expect(on("aerated-tea", "drench-growing", lettuce("2031-03-25"))).toEqual([]);
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
