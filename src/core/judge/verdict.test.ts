import { ph, smell } from "@/testing/logItems";
import { findRecipe } from "../book";
import type { Spoilage } from "../ferment/outlook/spoilage";
import type { Stuck } from "../ferment/outlook/stuck";
import type { BatchForecast, Quantiles } from "./forecastBatch";
import type { LogItem } from "./log";
import type { Verdict } from "./judged";
import { judge } from "./verdict";
import { isUsable } from "./verdictState";

const NEVER: Quantiles = { p10: null, p50: null, p90: null };
const near = (p50: number, span = 10): Quantiles => ({ p10: p50 - span, p50, p90: p50 + span });
const SOUND: Spoilage = { chance: 0.01, level: "ok", hard: [], needsSmellCheck: false };
const MOVING: Stuck = { codes: [], chanceNever: 0, chanceSettlesHigh: 0, meanRate24: 1, chanceCold: 0 };

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
  liquidSdC: 0,
  placeDoubted: false,
  readingsStoppedH: null,
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
    probabilityReady: 0.7,
    window: { start: near(24, 2), peak: near(40, 4), end: near(60, 5), crash: NEVER },
  };
  const barely = { ...open, probabilityReady: 0.4 };
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
    expect(of("aerated-tea", 43.5, [smell(42, "earthy")], open).state).toBe("ready");
  });
  it("takes a second good smell where its hours leave it open, and a third against them", () => {
    expect(of("aerated-tea", 30, [smell(29, "earthy")], barely)).toMatchObject({
      state: "near",
      reasons: expect.arrayContaining([{ code: "second-look", what: "smell" }]),
    });
    expect(of("aerated-tea", 30, [smell(26, "earthy"), smell(29, "neutral")], barely).state).toBe("ready");
    const early = { ...open, probabilityReady: 0.05 };
    expect(of("aerated-tea", 34, [smell(29, "earthy"), smell(33, "earthy")], early).state).toBe("near");
    expect(of("aerated-tea", 34, [smell(27, "earthy"), smell(30, "earthy"), smell(33, "earthy")], early).state).toBe(
      "ready",
    );
  });
  it("that still smells sweet, of fish or of vinegar is smelt again in hours", () => {
    for (const word of ["raw sweet", "fishy", "vinegar"]) {
      const verdict = of("aerated-tea", 30, [smell(29, word)], open);
      expect(verdict).toMatchObject({ state: "near", next: { act: "smell" } });
      expect(verdict.next.hour).toBeGreaterThan(31);
      expect(verdict.next.hour).toBeLessThan(38);
      expect(verdict.reasons.some((reason) => "word" in reason && reason.word === word)).toBe(true);
    }
  });
  it("takes a word for eight hours, and none from before a feed", () => {
    expect(of("aerated-tea", 38, [smell(30, "earthy")], open).state).not.toBe("near");
    expect(of("aerated-tea", 38.1, [smell(30, "earthy")], open).state).toBe("near");
    expect(of("aerated-tea", 33, [smell(30, "earthy")], { ...open, stageFromH: 31 }).state).toBe("near");
  });
  it("is early, then nearly from six hours before it may open, and smelt again when it has likely opened", () => {
    const shut = { window: { ...open.window, start: near(40, 4) } };
    expect(of("aerated-tea", 29, [], shut)).toMatchObject({ state: "early", next: { act: "smell", hour: 40 } });
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
  it("is past once smelt and looked at so, and by its hours alone only where that is as good as sure", () => {
    expect(of("aerated-tea", 70, [], { ...open, probabilityPast: 0.9 }).state).not.toBe("past");
    expect(of("aerated-tea", 70, [], { ...open, probabilityPast: 0.95 })).toMatchObject({
      state: "past",
      next: { act: "compost", hour: 70 },
    });
    const flat = [surface(69, "flat")];
    expect(of("aerated-tea", 70, flat, { ...open, probabilityPast: 0.4 }).reasons[0]).toEqual({
      code: "window-closed",
      hour: 60,
    });
    expect(of("aerated-tea", 70, flat, { ...open, probabilityPast: 0.2 }).state).not.toBe("past");
  });
  it("still earthy with its window likely closed is used at once, no compost", () => {
    const verdict = of("aerated-tea", 55, [smell(50, "earthy"), smell(54, "earthy")], {
      ...open,
      probabilityPast: 0.6,
    });
    expect(verdict).toMatchObject({ state: "ready", next: { act: "use-now" } });
    expect(codes(verdict)[0]).toBe("closing");
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
  const barely = { probabilityReady: 0.32, window: { start: near(40), peak: near(48), end: near(54), crash: NEVER } };
  it("goes by its head of foam: one where its hours agree, two whatever they say", () => {
    expect(of("leaf-mould-brew", 44, [surface(43, "full head")], barely).state).toBe("ready");
    const against = { ...barely, probabilityReady: 0.01 };
    expect(of("leaf-mould-brew", 44, [surface(43, "full head")], against)).toMatchObject({
      state: "near",
      reasons: expect.arrayContaining([expect.objectContaining({ code: "second-look" })]),
    });
    expect(of("leaf-mould-brew", 44, [surface(40, "full head"), surface(43, "full head")], against).state).toBe(
      "ready",
    );
  });
  it("is not past by one word of what never headed up", () => {
    expect(of("leaf-mould-brew", 24, [surface(23, "collapsing")], { ...barely, probabilityReady: 0 }).state).toBe(
      "near",
    );
    expect(
      of("leaf-mould-brew", 60, [surface(50, "full head"), surface(59, "collapsing")], {
        ...barely,
        probabilityPast: 0.5,
      }).state,
    ).toBe("past");
  });
});

describe("an acid ferment", () => {
  const extract = (nowH: number, log: readonly LogItem[], change: Partial<BatchForecast> = {}) =>
    of("cultured-extract", nowH, log, { probabilityReady: 0.9, ...change });
  it("says that it misses its pH, and asks for it when it is likely due", () => {
    expect(extract(50, [], { probabilityReady: 0 })).toMatchObject({
      state: "early",
      next: { act: "read-ph", hour: 336 },
    });
    expect(codes(extract(50, []))[0]).toBe("ph-missing");
  });
  it("whose pH nobody reads for days past its time is asked of the nose", () =>
    expect(extract(400, []).next.act).toBe("smell"));
  it("at its target wants its smell, and is strained once it has both", () => {
    expect(extract(400, [ph(399, 3.8)])).toMatchObject({ state: "near", next: { act: "smell", hour: 400 } });
    const both = [ph(399, 3.8), smell(399, "cidery")];
    expect(extract(400, both)).toMatchObject({ state: "ready", next: { act: "strain", hour: 400 } });
    expect(extract(400, both, { probabilityPast: 0.7, probabilityReady: 0.2 }).state).toBe("past");
  });
  it("is read once more where one reading says so only just, or against its hours", () => {
    const just = [ph(399, 3.95), smell(399, "cidery")];
    expect(extract(400, just)).toMatchObject({ state: "near", next: { act: "repeat-ph", hour: 439 } });
    expect(extract(420, [...just, ph(419, 3.95), smell(419, "cidery")]).state).toBe("near");
    expect(extract(446, [...just, ph(445, 3.95), smell(445, "cidery")]).state).toBe("ready");
    const early = { probabilityReady: 0.3 };
    const twice = [ph(375, 3.9), ph(399, 3.9), smell(399, "cidery")];
    expect(extract(400, twice, early).state).toBe("near");
    expect(extract(450, [...twice, ph(449, 3.9), smell(449, "cidery")], early).state).toBe("ready");
  });
  it("does not take a strip's single step for its target", () => {
    const strip = (hour: number, value: number): LogItem => ({ ...ph(hour, value), instrument: "strip" }) as LogItem;
    expect(extract(400, [strip(375, 4.5), strip(399, 4), smell(399, "cidery")]).state).toBe("near");
    expect(extract(400, [strip(375, 4), strip(399, 3.5), smell(399, "cidery")]).state).toBe("ready");
  });
  it("believes no reading that no ferment has", () =>
    expect(extract(400, [ph(399, 2), smell(399, "cidery")]).state).not.toBe("ready"));
  it("that was sour twice stays so when a meter drifts up, and says that the meter is off", () => {
    const log = [ph(340, 3.7), ph(370, 3.7), smell(371, "cidery"), ph(398, 5), smell(399, "cidery")];
    const verdict = extract(400, log);
    expect(verdict.state).toBe("ready");
    expect(codes(verdict)).toContain("ph-rose");
  });
  it("that rests a little high, sour look after look, is ready and has its meter checked", () => {
    const log = [330, 360, 390].flatMap((hour) => [ph(hour, 4.2), smell(hour + 0.1, "yogurt-sour")]);
    const verdict = extract(400, log);
    expect(verdict.state).toBe("ready");
    expect(codes(verdict)[0]).toBe("ph-rests-near");
  });
  it("without any pH takes three sour looks, five against its hours, and says by what it goes", () => {
    const sour = (count: number) => Array.from({ length: count }, (_, index) => smell(400 + 20 * index, "cidery"));
    expect(extract(480, sour(2)).state).toBe("near");
    expect(codes(extract(480, sour(3)))[0]).toBe("by-nose-alone");
    expect(extract(480, sour(3), { probabilityReady: 0.3 }).state).toBe("near");
    expect(extract(500, sour(5), { probabilityReady: 0.3 }).state).toBe("ready");
  });
  it("that smells of ammonia on the last look is no ready one, and the smell is named", () => {
    const verdict = extract(400, [ph(370, 3.7), ph(390, 3.7), smell(370, "cidery"), smell(399, "ammonia")]);
    expect(verdict.state).toBe("near");
    expect(verdict.reasons.some((reason) => "word" in reason && reason.word === "ammonia")).toBe(true);
  });
  it("is too young before its least age, whatever it reads", () => {
    const youngH = 14 * 24;
    const log = [ph(youngH - 2, 3.8), smell(youngH - 2, "cidery")];
    const verdict = extract(youngH - 1, log);
    expect(verdict).toMatchObject({ state: "near", next: { act: "repeat-ph", hour: youngH } });
    expect(verdict.reasons[0]).toEqual({ code: "too-young", days: (youngH - 1) / 24, minimumDays: 14, byPh: true });
    expect(extract(youngH, log).state).toBe("ready");
  });
  it("is stuck only by two high readings days apart that hardly fall, in warmth that is known, and no sour smell", () => {
    const nowH = 16 * 24;
    const log = [ph(nowH - 49, 4.7), ph(nowH - 1, 4.65)];
    const shut = { probabilityReady: 0.1 };
    const verdict = extract(nowH, log, shut);
    expect(verdict).toMatchObject({ state: "stuck", next: { act: "feed", hour: nowH } });
    expect(verdict.reasons[0]).toMatchObject({ code: "ph-stuck", ph: 4.65, meanC: 22 });
    expect(extract(nowH, log.slice(1), shut).state).not.toBe("stuck");
    expect(extract(nowH, [ph(nowH - 49, 5.2), ph(nowH - 1, 4.65)], shut).state).not.toBe("stuck");
    expect(extract(nowH, [...log, smell(nowH - 1, "cidery")], shut).state).not.toBe("stuck");
    expect(extract(nowH, log, { ...shut, meanLiquidC24h: 18 }).state).not.toBe("stuck");
    expect(extract(nowH, log, { ...shut, liquidSdC: 4 }).state).not.toBe("stuck");
    expect(extract(nowH, log, { ...shut, stageFromH: 200 }).state).not.toBe("stuck");
    expect(extract(nowH, [ph(200, 3.7), ...log], shut).state).not.toBe("stuck");
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
  const open = { probabilityReady: 0.8, window: { start: near(120), peak: near(150), end: near(240), crash: NEVER } };
  const solids = (hour: number, word: string): LogItem => ({ hour, kind: "solids", word });
  it("is smelt when its days are up, and strained on two marks, borne out hours later", () => {
    expect(of("plant-juice", 150, [], open)).toMatchObject({ state: "near", next: { act: "smell", hour: 150 } });
    expect(of("plant-juice", 150, [smell(149, "fruity")], open)).toMatchObject({
      state: "near",
      reasons: expect.arrayContaining([expect.objectContaining({ code: "second-look" })]),
    });
    const marks = [smell(149, "fruity"), solids(149, "floating")];
    expect(of("plant-juice", 150, marks, open)).toMatchObject({ state: "near", next: { act: "look" } });
    expect(of("plant-juice", 159, [...marks, smell(158, "fruity")], open)).toMatchObject({
      state: "peak",
      next: { act: "strain", hour: 159 },
    });
    expect(of("plant-juice", 163, [smell(140, "fruity"), smell(151, "fruity"), smell(162, "yeasty")], open).state).toBe(
      "ready",
    );
  });
  it("is not ready on one mark against the rest", () => {
    const log = [100, 110, 120, 130, 140].map((hour) => smell(hour, "raw sweet"));
    expect(of("plant-juice", 150, [...log, solids(149, "floating")], open).state).toBe("near");
    const char = { probabilityReady: 0.9, window: { ...open.window, start: near(300) } };
    for (const order of [0, 1]) {
      const both = [solids(399 + order * 0.1, "floating"), smell(399 + (1 - order) * 0.1, "earthy")];
      expect(of("charged-char", 400, both, char).state).toBe("near");
    }
  });
  it("wants more marks where its hours say that it is early", () => {
    const two = [smell(149, "fruity"), solids(149, "floating")];
    expect(of("plant-juice", 150, two, { ...open, probabilityReady: 0.5 }).state).toBe("near");
    expect(of("plant-juice", 158, [...two, smell(157, "fruity")], { ...open, probabilityReady: 0.6 }).state).toBe(
      "peak",
    );
  });
  it("is not used where nobody smelt it for two days", () =>
    expect(
      of("plant-juice", 163, [smell(100, "fruity"), solids(140, "floating"), solids(162, "floating")], open),
    ).toMatchObject({
      state: "near",
      next: { act: "smell", hour: 163 },
    }));
  it("is early until a day before it may open", () => {
    const shut = { window: { ...open.window, start: near(120, 20) } };
    expect(of("plant-juice", 75, [], shut)).toMatchObject({ state: "early", next: { act: "smell", hour: 120 } });
    expect(of("plant-juice", 76, [], shut).state).toBe("near");
  });
  it("is past by its days alone only when that is likely, and sooner by its smell", () => {
    const past = (probabilityPast: number, log: LogItem[] = []) =>
      of("plant-juice", 260, log, { ...open, probabilityReady: 0, probabilityPast }).state;
    expect(past(0.61)).toBe("past");
    expect(past(0.6)).not.toBe("past");
    expect(past(0.11, [smell(259, "vinegar")])).toBe("past");
    expect(past(0.1, [smell(259, "vinegar")])).not.toBe("past");
  });
  it("of shell that is still is not ready while its vinegar is sour, and says which ran out", () => {
    const shell = { probabilityReady: 0.9, window: { ...open.window, start: near(200) } };
    const still = [surface(230, "still"), surface(250, "still"), smell(250, "neutral")];
    expect(of("shell-calcium", 251, still, shell).state).toBe("ready");
    const sour = of("shell-calcium", 251, [...still, ph(250, 3.1)], shell);
    expect(sour.state).toBe("near");
    expect(sour.reasons).toContainEqual({ code: "shell-ph", ph: 3.1, says: "acid-left" });
    expect(of("shell-calcium", 251, [still[1]!, smell(250, "neutral"), ph(250, 5.6)], shell).state).toBe("ready");
  });
});

describe("what hardly moves", () => {
  const cold = {
    meanRate24h: 0.2,
    meanLiquidC24h: 8,
    stuck: { ...MOVING, chanceCold: 0.9 },
    window: { start: near(900), peak: near(950), end: NEVER, crash: NEVER },
  };
  it("is stuck in the cold from half a day on, and wants warmth now", () => {
    const verdict = of("plant-juice", 12, [], cold);
    expect(verdict).toMatchObject({ state: "stuck", next: { act: "warm", hour: 12 } });
    expect(verdict.reasons[0]).toMatchObject({ code: "cold", meanC: 8, rate: 0.2, comfortLowC: 18 });
    expect(of("plant-juice", 11, [], cold).state).not.toBe("stuck");
    expect(of("plant-juice", 12, [], { ...cold, window: told().window }).state).not.toBe("stuck");
  });
  it("is not told so where a place that it may stand in is warmer, or where it plainly moves", () => {
    expect(of("plant-juice", 12, [], { ...cold, stuck: { ...MOVING, chanceCold: 0.7 } }).state).not.toBe("stuck");
    expect(of("plant-juice", 60, [smell(59, "fruity")], cold).state).not.toBe("stuck");
    expect(of("cultured-extract", 200, [ph(100, 5.6), ph(199, 4.6)], cold).state).not.toBe("stuck");
    expect(of("aerated-tea", 40, [smell(39, "earthy")], cold).state).not.toBe("stuck");
  });
  it("is not called stuck with its window open or behind it", () => {
    expect(of("plant-juice", 150, [], { ...cold, probabilityReady: 0.25 }).state).not.toBe("stuck");
    expect(of("plant-juice", 150, [], { ...cold, probabilityPast: 0.25 }).state).not.toBe("stuck");
  });
  it("says whether it was heat, and what heat did for good", () => {
    const hot = { meanLiquidC24h: 47, stuck: { ...MOVING, codes: ["too_hot_now", "overheated"] as const } };
    expect(codes(of("plant-juice", 50, [], hot)).slice(0, 2)).toEqual(["too-hot", "overheated"]);
    expect(of("plant-juice", 50, [], hot).next.act).toBe("cool");
    expect(codes(of("cultured-extract", 50, [ph(49, 5)], hot))).toContain("ph");
  });
  it("tells a bloom that will not come from one that is slow", () => {
    const none = (chanceNever: number) => ({ stuck: { ...MOVING, codes: ["cold_no_bloom"] as const, chanceNever } });
    expect(codes(of("leaf-mould-brew", 40, [], none(0.6)))[0]).toBe("no-bloom");
    expect(of("leaf-mould-brew", 40, [], none(0.5)).state).not.toBe("stuck");
    expect(of("leaf-mould-brew", 40, [], { ...none(0.7), liquidSdC: 4 }).state).not.toBe("stuck");
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
