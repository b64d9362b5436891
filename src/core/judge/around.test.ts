import { forecastInput } from "@/testing/forecastInput";
import { findRecipe } from "../book";
import { startsForPeak } from "../choose/startForPeak";
import { assess } from "./assess";
import { expectedCurve } from "./expectedCurve";
import { weigh } from "./forecastBatch";
import type { LogItem } from "./log";
import { modelBatch } from "./modelBatch";
import { shelfStartH } from "./shelfStart";
import { seenBy } from "./wordClasses";
import { findModel } from "../ferment/models";

const act = (hour: number, name: Extract<LogItem, { kind: "act" }>["act"], amount?: number): LogItem => ({
  hour,
  kind: "act",
  act: name,
  ...(amount === undefined ? {} : { amount }),
});
const sign = (
  hour: number,
  kind: "smell" | "surface" | "film" | "solids" | "texture" | "lens",
  word: string,
): LogItem => ({ hour, kind, word });

describe("growers' words", () => {
  const cues = findRecipe("charged-char").cues;
  const seen = (item: LogItem, model = "B1_plant_ferment") =>
    seenBy(item, findModel(model), findRecipe("cultured-extract").cues);
  it("fall into the model's few classes", () => {
    expect(seen(sign(1, "smell", "yogurt-sour"))).toMatchObject({ type: "smell", value: "sour_clean" });
    expect(seen(sign(1, "smell", "sulphur"))).toMatchObject({ type: "smell", value: "rotten" });
    expect(seen(sign(1, "film", "white bubbly"))).toMatchObject({ type: "film", value: "white_flat" });
    expect(seen(sign(1, "surface", "patches"), "A1_starch_bloom")).toMatchObject({ type: "foam", value: "patches" });
  });
  it("of fish and ammonia say nothing of progress, nor does what a lens shows", () => {
    for (const item of [sign(1, "smell", "fishy"), sign(1, "smell", "ammonia"), sign(1, "lens", "much moves")])
      expect(seen(item)).toBeNull();
  });
  it("of a still surface count as bubbles where no foam is judged", () => {
    expect(seen(sign(1, "surface", "still"), "D1_shell_acid")).toEqual({ hour: 1, type: "bubbles", value: 0 });
    expect(seen(sign(1, "surface", "fine bubbles"), "D1_shell_acid")).toEqual({ hour: 1, type: "bubbles", value: 30 });
  });
  it("without a table count as what their cue says, loosely", () =>
    expect(seenBy(sign(1, "solids", "sunk"), findModel("F1_char_charge"), cues)).toEqual({
      hour: 1,
      type: "judge",
      value: "ready",
      eps: 0.4,
    }));
  it("are measured in the model's own shares", () => {
    expect(seen({ hour: 2, kind: "sunk", value: 80 }, "F1_char_charge")).toEqual({ hour: 2, type: "sink", value: 0.8 });
    expect(seen({ hour: 2, kind: "parted", value: 40 })).toEqual({ hour: 2, type: "sep", value: 0.4 });
    expect(seen({ hour: 2, kind: "core", value: 28 })).toEqual({ hour: 2, type: "core", value: 28 });
    expect(seen({ hour: 2, kind: "bubbles", value: 12 })).toEqual({ hour: 2, type: "bubbles", value: 12 });
  });
});

describe("what befell a vessel", () => {
  const eventsOf = (methodId: string, log: LogItem[]) => {
    const input = { ...forecastInput(methodId, 40, 20, log), filledL: 100 };
    const { readiness } = input.recipe;
    if (readiness.type !== "ripens") throw new Error("does not ripen");
    return modelBatch(input, readiness.model).events!.map(({ hour, type }) => `${hour} ${type}`);
  };
  it("is told to the model: a power cut stops air and heater, and what was on comes on again", () =>
    expect(eventsOf("aerated-tea", [act(1, "heater-on", 24), act(10, "power-cut"), act(13, "power-back")])).toEqual([
      "1 heater_on",
      "10 air_off",
      "10 heater_off",
      "13 air_on",
      "13 heater_on",
    ]));
  it("does not stop air where none was blown in, nor light a heater that was off", () =>
    expect(eventsOf("cultured-extract", [act(10, "power-cut"), act(13, "power-back")])).toEqual(["10 heater_off"]));
  it("lights the heater again as it was set last before the cut, at the drum's own power, and none that was put out", () => {
    const heatersOf = (log: LogItem[]) => {
      const input = { ...forecastInput("cultured-extract", 60, 20, log), filledL: 100 };
      const { readiness } = input.recipe;
      if (readiness.type !== "ripens") throw new Error("does not ripen");
      return modelBatch(input, readiness.model).events!.filter(({ type, hour }) => type === "heater_on" && hour >= 13);
    };
    const cut = [act(10, "power-cut"), act(13, "power-back")];
    expect(heatersOf([act(1, "heater-on", 18), act(5, "heater-on", 24), ...cut])).toEqual([
      { hour: 13, type: "heater_on", setC: 24, watts: 250 },
    ]);
    expect(heatersOf([act(1, "heater-on", 24), act(5, "heater-off"), ...cut])).toEqual([]);
    expect(heatersOf([...cut, act(20, "heater-on", 24)])).toEqual([
      { hour: 20, type: "heater_on", setC: 24, watts: 250 },
    ]);
    expect(heatersOf([act(1, "heater-on", 24), act(3, "stirred"), ...cut])).toHaveLength(1);
  });
  it("names moving, wrapping, opening, flies and topping up; stirring is none", () =>
    expect(
      eventsOf("cultured-extract", [
        act(1, "moved", 25),
        act(2, "wrapped"),
        act(3, "stirred"),
        act(4, "opened"),
        act(5, "flies-in"),
        act(6, "topped-up", 5),
        act(7, "moved-back"),
        act(8, "unwrapped"),
      ]),
    ).toEqual(["1 moved", "2 wrapped", "4 opened", "5 insects", "6 topped_up", "7 moved_back", "8 unwrapped"]));
});

describe("the curve that is expected", () => {
  const curve = (methodId: string, log: LogItem[] = []) => {
    const { belief, forecast } = weigh(forecastInput(methodId, 120, 22, log));
    return expectedCurve(belief!, [0, 60, 120, 200, 300], forecast.stageFromH);
  };
  it("is drawn by what a grower can read of it, with low, middle and high in order", () => {
    const { feature, points } = curve("cultured-extract");
    expect(feature).toBe("ph");
    expect(points[0]).toMatchObject({ low: expect.closeTo(6, 6), high: expect.closeTo(6, 6) });
    for (const { low, mid, high } of points) expect(low <= mid && mid <= high).toBe(true);
    expect(points.at(-1)!.mid).toBeLessThan(4.5);
    expect(
      ["leaf-mould-brew", "aerated-tea", "charged-char", "shell-calcium", "leaf-soak", "plant-juice"].map(
        (id) => curve(id).feature,
      ),
    ).toEqual(["foam", "viability", "sunk", "extent", "phase", "parted"]);
  });
  it("narrows round a reading", () => {
    const width = (log: LogItem[]) => {
      const point = curve("cultured-extract", log).points[2]!;
      return point.high - point.low;
    };
    expect(width([{ hour: 118, kind: "ph", value: 5.4, instrument: "meter", spot: "mid-depth" }])).toBeLessThan(
      0.9 * width([]),
    );
  });
});

describe("weather ahead", () => {
  const reason = (aheadC: number, code: string) => {
    const air = Array.from({ length: 200 }, (_, hour) => ({ hour, celsius: hour < 40 ? 22 : aheadC }));
    return assess({
      ...forecastInput("cultured-extract", 40, 22),
      vesselL: 20,
      place: { kind: "shade" },
      temperature: { liquid: [], air, statedC: 22 },
    }).verdict.reasons.find((one) => one.code === code);
  };
  it("is told where it will be too cold or too hot within days, and not where it won't", () => {
    expect(reason(6, "cold-ahead")).toMatchObject({ code: "cold-ahead" });
    expect(reason(40, "heat-ahead")).toMatchObject({ code: "heat-ahead" });
    expect(reason(22, "cold-ahead") ?? reason(22, "heat-ahead")).toBeUndefined();
  });
});

describe("the shelf's clock", () => {
  const tea = findRecipe("aerated-tea");
  it("of a tea begins when its air stopped, also before anyone came to strain it", () => {
    expect(shelfStartH(tea, [act(30, "air-off")], 33)).toBe(30);
    expect(shelfStartH(tea, [act(20, "power-cut"), act(22, "power-back")], 33)).toBe(31);
    expect(shelfStartH(tea, [], 33)).toBe(33);
    expect(shelfStartH(tea, [act(40, "air-off")], 33)).toBe(33);
  });
  it("of a bloom begins with its full head, of an extract when it is strained", () => {
    expect(shelfStartH(findRecipe("leaf-mould-brew"), [sign(46, "surface", "full head")], 50)).toBe(46);
    expect(shelfStartH(findRecipe("leaf-mould-brew"), [sign(40, "surface", "patches")], 50)).toBe(50);
    expect(shelfStartH(findRecipe("cultured-extract"), [sign(300, "smell", "cidery")], 400)).toBe(400);
  });
});

describe("a start that peaks in fit hours", () => {
  const input = { ...forecastInput("leaf-mould-brew", 0, 24), temperature: { liquid: [], air: [], statedC: 24 } };
  it("is the one whose best hour falls inside them", () => {
    const spans = [{ fromInH: 60, toInH: 64 }];
    const starts = startsForPeak(input, spans);
    expect(starts[0]).toMatchObject({ startInH: 0, span: null });
    const good = starts.filter(({ span }) => span === 0);
    expect(good.length).toBeGreaterThan(0);
    for (const { peakInH, opensInH, closesInH } of good) {
      expect(peakInH).toBeGreaterThanOrEqual(60);
      expect(peakInH).toBeLessThanOrEqual(64);
      expect(opensInH).toBeLessThan(peakInH);
      expect(closesInH!).toBeGreaterThan(peakInH);
    }
  });
  it("is none where the cold lets nothing bloom", () => {
    const cold = { ...input, temperature: { liquid: [], air: [], statedC: 5 } };
    expect(startsForPeak(cold, [])).toEqual([]);
  });
});
