import { ph, smell } from "@/testing/logItems";
import { findRecipe } from "../book";
import type { Spoilage } from "../ferment/outlook/spoilage";
import type { Stuck } from "../ferment/outlook/stuck";
import type { BatchForecast, Quantiles } from "./forecastBatch";
import type { LogItem } from "./log";
import { judge, type Verdict } from "./verdict";
import { isUsable } from "./verdictState";

const NEVER: Quantiles = { p10: null, p50: null, p90: null };
const near = (p50: number, span = 10): Quantiles => ({ p10: p50 - span, p50, p90: p50 + span });
const SOUND: Spoilage = { chance: 0.01, level: "ok", hard: [], needsSmellCheck: false };
const MOVING: Stuck = { codes: [], chanceNever: 0, chanceSettlesHigh: 0, meanRate24: 1 };

/** What the model would say, for asking the rules alone. */
const told = (change: Partial<BatchForecast> = {}): BatchForecast => ({
  window: { start: near(200), peak: near(220), end: near(400), crash: NEVER },
  seal: null,
  probabilityReady: 0,
  probabilityPast: 0,
  probabilityNever: 0,
  curve: [],
  temperatureBasis: "read",
  liquidNowC: 22,
  meanLiquidC24h: 22,
  meanRate24h: 0.8,
  share: 0.5,
  horizonH: 900,
  nextCheckH: 123,
  spoilage: SOUND,
  stuck: MOVING,
  surprises: [],
  contradictory: false,
  shows: null,
  u: null,
  stageFromH: 0,
  ...change,
});
const surface = (hour: number, word: string): LogItem => ({ hour, kind: "surface", word });
const act = (hour: number, what: "air-off" | "air-on" | "power-cut" | "power-back" | "stirred"): LogItem => ({
  hour,
  kind: "act",
  act: what,
});
const of = (methodId: string, nowH: number, log: readonly LogItem[], change: Partial<BatchForecast> = {}): Verdict =>
  judge({ recipe: findRecipe(methodId), nowH, log, forecast: told(change) });
const codes = ({ reasons }: Verdict) => reasons.map(({ code }) => code);

describe("an aerated brew", () => {
  const open = {
    probabilityReady: 0.4,
    window: { start: near(24, 2), peak: near(40, 4), end: near(60, 5), crash: NEVER },
  };
  it("with its window open waits for a nose to say so, now", () => {
    const verdict = of("aerated-tea", 30, [], open);
    expect(verdict).toMatchObject({ state: "near", next: { act: "smell", hour: 30 }, spoilt: null });
    expect(verdict.reasons[0]).toEqual({ code: "sign-missing", words: ["earthy", "neutral"] });
  });
  it("is ready once it smells so, best about its peak, and used now", () => {
    expect(of("aerated-tea", 30, [smell(29, "earthy")], open)).toMatchObject({
      state: "ready",
      next: { act: "use-now", hour: 30 },
    });
    expect(of("aerated-tea", 37, [smell(36, "earthy")], open).state).toBe("peak");
    expect(of("aerated-tea", 43, [smell(42, "earthy")], open).state).toBe("peak");
    expect(of("aerated-tea", 43.5, [smell(42, "earthy")], open).state).toBe("ready");
  });
  it("that still smells sweet is smelt again in two hours", () => {
    expect(of("aerated-tea", 30, [smell(29, "raw sweet")], open)).toMatchObject({
      state: "near",
      next: { act: "smell", hour: 32 },
    });
  });
  it("takes a word for eight hours, and none from before a feed", () => {
    expect(of("aerated-tea", 38, [smell(30, "earthy")], open).state).not.toBe("near");
    expect(of("aerated-tea", 38.1, [smell(30, "earthy")], open).state).toBe("near");
    expect(of("aerated-tea", 33, [smell(30, "earthy")], { ...open, stageFromH: 31 }).state).toBe("near");
  });
  it("is early, then nearly from six hours before it may open, and looked at when the forecast says", () => {
    const shut = { window: { ...open.window, start: near(40, 4) } };
    expect(of("aerated-tea", 29, [], shut)).toMatchObject({ state: "early", next: { act: "smell", hour: 123 } });
    expect(of("aerated-tea", 30, [], shut).state).toBe("near");
    expect(of("aerated-tea", 30, [], { window: { ...open.window, start: NEVER } }).state).toBe("early");
  });
  it("is compost once its air has been off for longer than soil takes it, and tells since when", () => {
    const soilH = findRecipe("aerated-tea").keeping.afterH!.soil;
    const off = (hours: number) => of("aerated-tea", 40 + hours, [smell(39, "earthy"), act(40, "air-off")], open);
    expect(off(soilH + 0.1)).toMatchObject({ state: "past", next: { act: "compost" } });
    expect(off(soilH + 0.1).reasons[0]).toMatchObject({ code: "air-off", sinceH: expect.closeTo(soilH + 0.1, 9) });
    expect(off(soilH - 0.1).state).not.toBe("past");
    expect(codes(off(soilH - 0.1))).toContain("air-off");
  });
  it("is past when its window closed as likely as not, or sooner where it looks so", () => {
    expect(of("aerated-tea", 70, [], { ...open, probabilityPast: 0.51 })).toMatchObject({
      state: "past",
      next: { act: "compost", hour: 70 },
    });
    expect(of("aerated-tea", 70, [], { ...open, probabilityPast: 0.5 }).state).not.toBe("past");
    const flat = [surface(69, "flat")];
    expect(of("aerated-tea", 70, flat, { ...open, probabilityPast: 0.125 }).reasons[0]).toEqual({
      code: "window-closed",
      hour: 60,
    });
    expect(of("aerated-tea", 70, flat, { ...open, probabilityPast: 0.12 }).state).not.toBe("past");
  });
  it("without air is for the heap once even soil is too late, and says how long is left before", () => {
    const late = of("aerated-tea", 35, [act(30, "air-off"), smell(34, "earthy")], open);
    expect(late).toMatchObject({ state: "past", next: { act: "compost", hour: 35 } });
    expect(late.reasons[0]).toEqual({ code: "air-off", sinceH: 5, leavesH: 1, soilH: 4 });
    expect(of("aerated-tea", 34, [act(30, "air-off"), smell(33, "earthy")], open).state).toBe("ready");
    expect(codes(of("aerated-tea", 34, [act(30, "power-cut"), act(31, "power-back")], open))).not.toContain("air-off");
    const cut = (hours: number, since: readonly LogItem[] = []) =>
      of("aerated-tea", 40, [smell(25, "earthy"), act(30, "power-cut"), act(30 + hours, "power-back"), ...since], open);
    expect(codes(cut(0.8))).not.toContain("air-was-off");
    expect(cut(3).reasons.find(({ code }) => code === "air-was-off")).toMatchObject({ hours: 3, untilH: 33 });
    expect(isUsable(cut(3, [smell(39, "earthy")]).state)).toBe(true);
    expect(cut(6)).toMatchObject({ state: "near", next: { act: "smell" } });
    expect(isUsable(cut(6, [smell(39, "earthy")]).state)).toBe(true);
    // What else was done meanwhile says nothing of the air.
    expect(codes(of("aerated-tea", 32, [act(30, "power-cut"), act(31, "stirred")], open))).toContain("air-off");
  });
});

describe("a still bloom", () => {
  const barely = { probabilityReady: 0.12, window: { start: near(40), peak: near(48), end: near(54), crash: NEVER } };
  it("is believed sooner by its head of foam than by its smell", () => {
    expect(of("leaf-mould-brew", 44, [surface(43, "full head")], barely).state).toBe("ready");
    expect(of("leaf-mould-brew", 44, [], barely)).toMatchObject({ state: "near", next: { act: "look", hour: 123 } });
    expect(of("leaf-mould-brew", 44, [surface(43, "full head")], { ...barely, probabilityReady: 0.09 }).state).toBe(
      "near",
    );
  });
});

describe("an acid ferment", () => {
  const extract = (nowH: number, log: readonly LogItem[], change: Partial<BatchForecast> = {}) =>
    of("cultured-extract", nowH, log, change);
  it("asks for its pH at four days at the latest where none was read, and says that it misses it", () => {
    expect(extract(50, [])).toMatchObject({ state: "early", next: { act: "read-ph", hour: 96 } });
    expect(codes(extract(50, []))[0]).toBe("ph-missing");
    expect(extract(50, [], { nextCheckH: 70 }).next.hour).toBe(70);
    expect(extract(300, [], { nextCheckH: 310 }).next.hour).toBe(300);
  });
  it("asks again when the forecast says, and never later than four days after the last", () => {
    expect(extract(150, [ph(140, 5)], { nextCheckH: 180 }).next).toEqual({ act: "read-ph", hour: 180 });
    expect(extract(150, [ph(140, 5)], { nextCheckH: 500 }).next.hour).toBe(236);
    expect(extract(300, [ph(140, 5)], { nextCheckH: 500 }).next.hour).toBe(300);
  });
  it("at its target wants its smell, and is strained once it has both", () => {
    expect(extract(400, [ph(399, 4)])).toMatchObject({ state: "near", next: { act: "smell", hour: 400 } });
    expect(extract(400, [ph(399, 4.01), smell(399, "cidery")]).state).not.toBe("ready");
    const both = [ph(399, 4), smell(399, "cidery")];
    expect(extract(400, both)).toMatchObject({ state: "ready", next: { act: "strain", hour: 400 } });
    expect(extract(400, both, { probabilityPast: 0.6 }).state).toBe("past");
  });
  it("with two readings of the hour that can't both be right is read again, whatever it smells of", () => {
    const odds = [ph(398.9, 4.75), ph(399, 3.8), smell(399, "cidery")];
    const verdict = extract(400, odds, { contradictory: true });
    expect(verdict).toMatchObject({ state: "near", next: { act: "repeat-ph", hour: 400 } });
    expect(verdict.reasons[0]).toEqual({ code: "ph-at-odds", one: 4.75, other: 3.8 });
    expect(codes(verdict)).not.toContain("ph");
    expect(codes(verdict)).not.toContain("contradictory");
  });
  it("takes the reading that a third bears out, and readings that may both be right", () => {
    expect(extract(400, [ph(398, 4.75), ph(398.5, 3.8), ph(399, 3.9), smell(399, "cidery")]).state).toBe("ready");
    // A day apart it may have soured so far; half a unit apart two meters' readings may be of one pH.
    expect(extract(400, [ph(375, 4.75), ph(399, 3.8), smell(399, "cidery")]).state).toBe("ready");
    expect(extract(400, [ph(398, 4.5), ph(399, 3.96), smell(399, "cidery")]).state).toBe("ready");
    expect(extract(400, [ph(398, 4.52), ph(399, 3.96), smell(399, "cidery")]).state).toBe("near");
    const byStrip = { ...ph(398, 4.75), instrument: "strip" } as const;
    expect(extract(400, [byStrip, ph(399, 3.96), smell(399, "cidery")]).state).toBe("ready");
  });
  it("asks for no third reading where water or food came between", () => {
    const fed = (hour: number): LogItem => ({ hour, kind: "act", act: "topped-up", amount: 20 });
    const jumpAfter = (hour: number) => codes(extract(300, [ph(298, 3.8), fed(hour), ph(299, 4.75)]));
    expect(jumpAfter(298.5)).not.toContain("ph-at-odds");
    expect(jumpAfter(297)).toContain("ph-at-odds");
    expect(jumpAfter(299.5)).toContain("ph-at-odds");
  });
  it("is told of a jump up too", () =>
    expect(extract(300, [ph(298, 3.8), ph(299, 4.75)]).reasons[0]).toEqual({
      code: "ph-at-odds",
      one: 3.8,
      other: 4.75,
    }));
  it("holds a pH for a week and no longer", () => {
    const log = [ph(200, 3.9), smell(367, "cidery")];
    expect(extract(368, log).state).toBe("ready");
    expect(extract(368.5, log).state).not.toBe("ready");
  });
  it("is too young before its least age, whatever it reads", () => {
    const youngH = 14 * 24;
    const log = [ph(youngH - 2, 3.8), smell(youngH - 2, "cidery")];
    const verdict = extract(youngH - 1, log);
    expect(verdict).toMatchObject({ state: "near", next: { act: "repeat-ph", hour: youngH } });
    expect(verdict.reasons[0]).toEqual({ code: "too-young", days: (youngH - 1) / 24, minimumDays: 14, byPh: true });
    expect(extract(youngH, log).state).toBe("ready");
  });
  it("that stands high in the warm for two weeks is fed, and the warmth is no excuse", () => {
    const log = [ph(14 * 24, 4.6)];
    const verdict = extract(14 * 24 + 1, log);
    expect(verdict).toMatchObject({ state: "stuck", next: { act: "feed", hour: 14 * 24 + 1 } });
    expect(verdict.reasons[0]).toEqual({ code: "ph-stuck", ph: 4.6, days: 14, meanC: 22 });
    expect(codes(verdict)).not.toContain("warmth");
    expect(codes(verdict)).toContain("ph");
    expect(extract(14 * 24 + 1, [ph(14 * 24, 4.5)]).state).not.toBe("stuck");
    expect(extract(14 * 24 + 1, [ph(14 * 24 - 1, 4.6)]).state).not.toBe("stuck");
    expect(extract(14 * 24 + 1, log, { meanLiquidC24h: 18 }).state).not.toBe("stuck");
    expect(extract(14 * 24 + 1, log, { stageFromH: 300 }).state).not.toBe("stuck");
  });
  it("is stuck sooner where the readings settle high and nothing is in sight", () => {
    const settles = (chanceNever: number) => ({
      stuck: { ...MOVING, codes: ["high_asymptote" as const], chanceNever },
      probabilityNever: chanceNever,
    });
    expect(extract(200, [ph(199, 4.3)], settles(0.7)).state).toBe("stuck");
    expect(extract(200, [ph(199, 4.3)], settles(0.4)).state).not.toBe("stuck");
  });
  it("says how fast the pH falls from readings half a day apart, what was put aside, and a very low one", () => {
    const fall = extract(150, [ph(100, 5.2), ph(148, 4.8)]).reasons.find(({ code }) => code === "ph");
    expect(fall).toMatchObject({ ph: 4.8, target: 4, ageH: 2, instrument: "meter" });
    expect((fall as { perDay: number }).perDay).toBeCloseTo(0.2, 9);
    const together = extract(150, [ph(140, 5), ph(148, 4.9)]).reasons.find(({ code }) => code === "ph");
    expect(together).toMatchObject({ perDay: null });
    const film: LogItem = { hour: 149, kind: "ph", value: 3.5, instrument: "strip", spot: "film" };
    expect(extract(150, [film]).reasons).toContainEqual({
      code: "ph-not-counted",
      ph: 3.5,
      spot: "film",
      unsettled: false,
    });
    const moving: LogItem = { ...ph(149, 3.5), settled: false } as LogItem;
    expect(extract(150, [moving]).reasons).toContainEqual(expect.objectContaining({ unsettled: true }));
    expect(codes(extract(300, [ph(299, 2.9)]))).toContain("ph-very-low");
    expect(codes(extract(300, [ph(299, 3)]))).not.toContain("ph-very-low");
  });
});

describe("what goes by days and signs", () => {
  const open = { probabilityReady: 0.4, window: { start: near(120), peak: near(150), end: near(240), crash: NEVER } };
  it("is smelt when its days are up, and strained when it smells so", () => {
    expect(of("plant-juice", 150, [], open)).toMatchObject({ state: "near", next: { act: "smell", hour: 150 } });
    expect(of("plant-juice", 150, [smell(149, "fruity")], open)).toMatchObject({
      state: "peak",
      next: { act: "strain", hour: 150 },
    });
    expect(of("plant-juice", 163, [smell(162, "fruity")], open).state).toBe("ready");
  });
  it("that still smells raw waits for the forecast's next look, and is nearly there all the same", () => {
    expect(of("plant-juice", 150, [smell(149, "raw sweet")], open)).toMatchObject({
      state: "near",
      next: { act: "smell", hour: 123 },
    });
  });
  it("is early until a day before it may open", () => {
    const shut = { window: { ...open.window, start: near(120, 20) } };
    expect(of("plant-juice", 75, [], shut)).toMatchObject({ state: "early", next: { act: "smell", hour: 123 } });
    expect(of("plant-juice", 76, [], shut).state).toBe("near");
  });
  it("is past by its days alone only when that is likely, and sooner by its smell", () => {
    expect(of("plant-juice", 260, [], { ...open, probabilityPast: 0.61 })).toMatchObject({
      state: "past",
      next: { act: "strain", hour: 260 },
    });
    expect(of("plant-juice", 260, [], { ...open, probabilityPast: 0.6 }).state).not.toBe("past");
    expect(of("plant-juice", 260, [smell(259, "vinegar")], { ...open, probabilityPast: 0.11 }).state).toBe("past");
    expect(of("plant-juice", 260, [smell(259, "vinegar")], { ...open, probabilityPast: 0.1 }).state).not.toBe("past");
  });
});

describe("what hardly moves", () => {
  const cold = { meanRate24h: 0.2, meanLiquidC24h: 8 };
  it("is stuck in the cold from half a day on, and wants warmth now", () => {
    const verdict = of("plant-juice", 12, [], cold);
    expect(verdict).toMatchObject({ state: "stuck", next: { act: "warm", hour: 12 } });
    expect(verdict.reasons[0]).toMatchObject({ code: "cold", meanC: 8, rate: 0.2, comfortLowC: 18 });
    expect(of("plant-juice", 11, [], cold).state).not.toBe("stuck");
    expect(of("plant-juice", 12, [], { ...cold, meanRate24h: 0.25 }).state).not.toBe("stuck");
  });
  it("is not called stuck with its window open or behind it", () => {
    expect(of("plant-juice", 150, [], { ...cold, probabilityReady: 0.25 }).state).not.toBe("stuck");
    expect(of("plant-juice", 150, [], { ...cold, probabilityPast: 0.25 }).state).not.toBe("stuck");
  });
  it("says whether it was heat, and what heat did for good", () => {
    const hot = { meanLiquidC24h: 47, stuck: { ...MOVING, codes: ["too_hot_now", "overheated"] as const } };
    expect(codes(of("plant-juice", 50, [], hot)).slice(0, 2)).toEqual(["too-hot", "overheated"]);
    expect(codes(of("cultured-extract", 50, [ph(49, 5)], hot))).toContain("ph");
  });
  it("tells a bloom that will not come from one that is slow", () => {
    const none = (chanceNever: number) => ({ stuck: { ...MOVING, codes: ["cold_no_bloom"] as const, chanceNever } });
    expect(codes(of("leaf-mould-brew", 40, [], none(0.6)))[0]).toBe("no-bloom");
    expect(of("leaf-mould-brew", 40, [], none(0.5)).state).not.toBe("stuck");
  });
});

describe("a sign of failure", () => {
  it("holds at once and asks for another smell six hours after the last look", () => {
    const verdict = of("cultured-extract", 102, [smell(100, "putrid")]);
    expect(verdict).toMatchObject({ state: "spoiled", spoilt: "hold", next: { act: "smell", hour: 106 } });
    expect(of("cultured-extract", 130, [smell(100, "putrid")]).next.hour).toBe(130);
  });
  it("given twice goes to the heap, and no good smell takes it back", () => {
    const log = [smell(100, "putrid"), smell(110, "sulphur"), smell(120, "cidery")];
    expect(of("cultured-extract", 121, log)).toMatchObject({
      state: "spoiled",
      spoilt: "discard",
      next: { act: "compost", hour: 121 },
    });
  });
});

describe("what is said besides", () => {
  it("names a doubtful reading, reports that can't all be true, a new stage, a suspicion, a slow one", () => {
    const surprises = [
      { type: "ph" as const, hour: 90, chance: 0.001, surprising: true },
      { type: "smell" as const, hour: 91, chance: 0.4, surprising: false },
    ];
    const verdict = of("cultured-extract", 100, [], {
      surprises,
      contradictory: true,
      stageFromH: 50,
      spoilage: { ...SOUND, level: "watch", chance: 0.07 },
      stuck: { ...MOVING, codes: ["slow"] },
    });
    expect(verdict.reasons).toEqual(
      expect.arrayContaining([
        { code: "contradictory" },
        { code: "surprising", what: "ph" },
        { code: "fed-anew", hour: 50 },
        { code: "watch", chance: 0.07 },
        { code: "slow" },
      ]),
    );
  });
  it("keeps still where there is nothing to say", () => {
    expect(codes(of("cultured-extract", 50, []))).toEqual(["ph-missing", "warmth"]);
  });
  it("lets two words that disagree stand for themselves", () => {
    const log = [smell(28, "raw sweet"), smell(29, "earthy")];
    const verdict = of("aerated-tea", 30, log, { contradictory: true, probabilityReady: 0.4 });
    expect(codes(verdict)).toContain("signs-disagree");
    expect(codes(verdict)).not.toContain("contradictory");
  });
});
