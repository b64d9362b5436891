import { forecastInput } from "@/testing/forecastInput";
import { findRecipe, METHODS } from "../book";
import { minimumAgeD } from "../book/recipe";
import { assess } from "./assess";
import type { BatchInput } from "./batchInput";
import { forecastBatch } from "./forecastBatch";
import { countedPh, signsOf, type LogItem } from "./log";

const at = (
  methodId: string,
  days: number,
  celsius: number,
  log: readonly LogItem[] = [],
  schoolId?: string,
): BatchInput => forecastInput(methodId, days * 24, celsius, log, schoolId);
const ph = (hour: number, value: number, extra: Partial<Extract<LogItem, { kind: "ph" }>> = {}): LogItem => ({
  hour,
  kind: "ph",
  value,
  instrument: "meter",
  spot: "mid-depth",
  ...extra,
});
const smell = (hour: number, word: string): LogItem => ({ hour, kind: "smell", word });
const film = (hour: number, word: string): LogItem => ({ hour, kind: "film", word });
const stateOf = (input: BatchInput) => assess(input).verdict.state;
const codesOf = (input: BatchInput) => assess(input).verdict.reasons.map(({ code }) => code);
const everySchool = METHODS.flatMap((method) => method.schools.map((school) => [method.id, school.id] as const));

describe.each(everySchool)("a forecast of %s, %s", (methodId, schoolId) => {
  const start = (celsius: number) => forecastBatch(forecastInput(methodId, 0, celsius, [], schoolId)).window.start;
  const readable = (value: number | null) => value ?? Infinity;
  it("comes sooner the warmer it stands, up to its optimum", () => {
    const { readiness } = findRecipe(methodId, schoolId);
    if (readiness.type === "fresh") return expect(start(5)).toEqual(start(30));
    const { temperatures } = readiness.model;
    const optimumC = "optimumC" in temperatures ? temperatures.optimumC : 30;
    const rising = [12, 16, 20, 24, 28].filter((celsius) => celsius <= optimumC);
    const hours = rising.map((celsius) => readable(start(celsius).p50));
    expect(hours.toSorted((a, b) => b - a)).toEqual(hours);
  });
  it("is never ready on days alone", () => {
    const { readiness, cues } = findRecipe(methodId, schoolId);
    if (readiness.type === "fresh") return;
    expect(cues.some(({ says }) => says === "ready")).toBe(true);
    for (const share of [0.5, 1, 1.4, 2])
      expect(stateOf(forecastInput(methodId, share * readiness.model.daysRuleH, 22, [], schoolId))).not.toMatch(
        /ready|peak/,
      );
  });
  it("is never ready younger than its method lets it be", () => {
    const recipe = findRecipe(methodId, schoolId);
    const youngH = minimumAgeD(recipe) * 24;
    if (youngH === 0) return;
    const log = recipe.cues
      .filter(({ says }) => says === "ready")
      .map(({ kind, word }): LogItem => ({ hour: youngH - 3, kind, word }));
    expect(stateOf(forecastInput(methodId, youngH - 2, 33, [...log, ph(youngH - 3, 3.6)], schoolId))).not.toMatch(
      /ready|peak/,
    );
  });
});

describe("forecast", () => {
  it.each([
    ["aerated-tea", "bacterial", 24, 24, 36],
    ["aerated-tea", "chitin", 24, 45, 72],
    ["cultured-extract", undefined, 22, 7 * 24, 21 * 24],
    ["plant-juice", undefined, 22.5, 5 * 24, 7 * 24],
  ])("%s %s at %d °C opens within growers' hours", (method, school, celsius, from, to) => {
    const { p50 } = forecastBatch(at(method, 0, celsius, [], school)).window.start;
    expect(p50).toBeGreaterThanOrEqual(from * 0.95);
    expect(p50).toBeLessThanOrEqual(to);
  });
  it("says where its temperature is from", () => {
    const basis = (temperature: BatchInput["temperature"]) =>
      forecastBatch({ ...at("cultured-extract", 1, 22), temperature }).temperatureBasis;
    const air = [0, 12, 24, 36].map((hour) => ({ hour, celsius: 18 }));
    const none = { liquid: [], air: [], statedC: null };
    expect(basis({ ...none, liquid: [{ hour: 20, celsius: 21 }], air })).toBe("read");
    expect(basis({ ...none, air })).toBe("air");
    expect(basis({ ...none, usual: { meanC: 12, swingC: 4 } })).toBe("climate");
    expect(basis({ ...none, statedC: 20 })).toBe("stated");
    expect(basis(none)).toBe("guessed");
  });
  it("takes no pH from film or lees, none that was still moving, nor an impossible one", () => {
    const log = [
      ph(2, 4.2),
      ph(1, 5),
      ph(3, 3.2, { spot: "film" }),
      ph(4, 3.1, { spot: "lees" }),
      ph(5, 3.3, { settled: false }),
      ph(6, 12),
    ];
    expect(countedPh(log).map(({ value }) => value)).toEqual([5, 4.2]);
    const p50 = (items: LogItem[]) => forecastBatch(at("cultured-extract", 7, 22, items)).window.start.p50;
    expect(p50([ph(160, 3.6, { settled: false })])).toBe(p50([]));
    expect(codesOf(at("cultured-extract", 7, 22, [ph(160, 3.6, { settled: false })]))).toContain("ph-not-counted");
  });
  it("reads signs in the order of the clock, and takes acts for no sign", () => {
    const log: LogItem[] = [
      smell(9, "earthy"),
      { hour: 3, kind: "surface", word: "still" },
      { hour: 5, kind: "act", act: "stirred" },
      { hour: 6, kind: "bubbles", value: 3 },
    ];
    expect(signsOf(log).map(({ word }) => word)).toEqual(["still", "earthy"]);
  });
  it("refuses a batch of no size or of no time", () => {
    expect(() => forecastBatch({ ...at("aerated-tea", 1, 24), vesselL: 0 })).toThrow("vessel");
    expect(() => forecastBatch({ ...at("aerated-tea", 1, 24), nowH: -1 })).toThrow("age");
  });
  it("is moved by a farm whose batches run fast", () => {
    const p50 = (farm?: { mean: number; sd: number }) =>
      forecastBatch({ ...at("legume-leaf-ferment", 0, 18), ...(farm ? { farm } : {}) }).window.start.p50!;
    expect(p50({ mean: 0.2, sd: 0.15 })).toBeLessThan(0.9 * p50());
  });
});

describe("feeding on the way", () => {
  const fed = (hour: number): LogItem => ({ hour, kind: "act", act: "fed", amount: 0.5 });
  const stuckLog = [ph(300, 4.8), ph(430, 4.75)];
  it("begins a stage anew: a stuck drum has a window again", () => {
    const before = forecastBatch(at("cultured-extract", 18, 24, stuckLog));
    const after = forecastBatch(at("cultured-extract", 18.2, 24, [...stuckLog, fed(434)]));
    expect(before.probabilityNever).toBeGreaterThan(0.5);
    expect(after.stageFromH).toBe(434);
    expect(after.window.start.p50!).toBeGreaterThan(434);
    expect(after.window.start.p50!).toBeLessThan(434 + 14 * 24);
    expect(codesOf(at("cultured-extract", 18.2, 24, [...stuckLog, fed(434)]))).toContain("fed-anew");
  });
  it("tells the hours of the batch all the same, not those of the stage", () => {
    const nowH = 18.2 * 24;
    const hours = [nowH, nowH + 100, nowH + 600];
    const after = forecastBatch({ ...at("cultured-extract", 18.2, 24, [...stuckLog, fed(434)]), curveHours: hours });
    expect(after.curve.map(({ hour }) => hour)).toEqual(hours);
    // The stage is three hours old: nothing is ready yet, and most of it will be in 25 days.
    expect(after.probabilityReady).toBeLessThan(0.05);
    expect(after.curve[0]!.ready).toBeCloseTo(after.probabilityReady, 1);
    expect(after.curve[2]!.ready).toBeGreaterThan(0.5);
    expect(after.nextCheckH).toBeGreaterThan(nowH);
    expect(after.horizonH).toBeGreaterThan(nowH + 700);
    expect(after.share).toBeLessThan(0.3);
  });
  it("is the recipe's own where it comes on its day", () => {
    expect(forecastBatch(at("lactic-serum", 4, 22, [fed(49)], "salted-rice")).stageFromH).toBe(0);
    expect(forecastBatch(at("lactic-serum", 8, 22, [fed(150)], "salted-rice")).stageFromH).toBe(150);
  });
  it("changes nothing where nothing starts anew", () =>
    expect(forecastBatch(at("leaf-soak", 8, 22, [fed(100)])).stageFromH).toBe(0));
});

describe("verdict", () => {
  it("is never ready on days alone where pH decides", () =>
    expect(codesOf(at("cultured-extract", 20, 24))).toContain("ph-missing"));
  it("is never ready on pH alone", () => {
    expect(stateOf(at("cultured-extract", 15, 22, [ph(355, 3.8)]))).toBe("near");
    expect(stateOf(at("cultured-extract", 15, 22, [ph(355, 3.8), smell(356, "cidery")]))).toBe("ready");
  });
  it("does not count a pH from the film", () => {
    const input = at("cultured-extract", 15, 22, [ph(355, 3.4, { spot: "film" }), smell(356, "cidery")]);
    expect(stateOf(input)).not.toBe("ready");
    expect(codesOf(input)).toContain("ph-not-counted");
  });
  it("has a very sour one begun at half its dose", () => {
    const found = assess(at("cultured-extract", 20, 22, [ph(470, 2.8), smell(471, "cidery")]));
    expect(found.verdict.reasons.map(({ code }) => code)).toContain("ph-very-low");
    expect(found.remaining).toEqual({ may: "use-weaker", because: "very-sour" });
  });
  it("asks for patience with one that sours too young", () =>
    expect(codesOf(at("cultured-extract", 4, 30, [ph(95, 3.9), smell(95, "cidery")]))).toContain("too-young"));
  it("calls it stuck when the pH stands high after two weeks in the warm, and when it is cold or hot", () => {
    expect(stateOf(at("cultured-extract", 18, 22, [ph(300, 4.8), ph(430, 4.75)]))).toBe("stuck");
    expect(codesOf(at("cultured-extract", 4, 7))).toContain("cold");
    expect(codesOf(at("cultured-extract", 4, 44))).toEqual(expect.arrayContaining(["too-hot", "overheated"]));
    expect(codesOf(at("leaf-mould-brew", 2, 13))).toContain("no-bloom");
  });
  it("goes by hours and smell for a tea, and by the air", () => {
    expect(stateOf(at("aerated-tea", 0.3, 24, [smell(7, "raw sweet")]))).toBe("early");
    expect(stateOf(at("aerated-tea", 1.4, 24, [smell(32, "earthy")]))).toMatch(/ready|peak/);
    expect(stateOf(at("aerated-tea", 1.4, 24))).toBe("near");
    expect(stateOf(at("aerated-tea", 4, 24))).toBe("past");
    const offAt = (hour: number): LogItem => ({ hour, kind: "act", act: "air-off" });
    expect(stateOf(at("aerated-tea", 1.7, 24, [smell(32, "earthy"), offAt(33)]))).toBe("past");
    expect(assess(at("aerated-tea", 1.5, 24, [smell(32, "earthy"), offAt(34)])).remaining.may).toBe("soil-only");
  });
  it("counts a power cut as air that stopped, and air again as air", () => {
    const log: LogItem[] = [
      { hour: 10, kind: "act", act: "power-cut" },
      { hour: 13, kind: "act", act: "power-back" },
    ];
    const cut = forecastBatch(at("aerated-tea", 0.6, 24, log)).window.start.p50!;
    expect(cut).toBeGreaterThan(forecastBatch(at("aerated-tea", 0.6, 24)).window.start.p50! + 0.5);
    expect(codesOf(at("aerated-tea", 0.5, 24, log.slice(0, 1)))).toContain("air-off");
    expect(codesOf(at("aerated-tea", 0.6, 24, log))).not.toContain("air-off");
  });
  it("goes by days and signs for a juice", () => {
    expect(stateOf(at("plant-juice", 6.5, 22))).toBe("near");
    const floats: LogItem = { hour: 155, kind: "solids", word: "floating" };
    expect(stateOf(at("plant-juice", 6.5, 22, [floats]))).toBe("near");
    const twice = [floats, smell(155, "fruity"), smell(130, "fruity"), { ...floats, hour: 130 }];
    expect(stateOf(at("plant-juice", 6.5, 22, twice))).toMatch(/ready|peak/);
  });
  it("names signs that disagree", () =>
    expect(codesOf(at("aerated-tea", 1.4, 24, [smell(31.5, "earthy"), smell(32, "raw sweet")]))).toContain(
      "signs-disagree",
    ));
  it("says that readings contradict each other", () =>
    expect(codesOf(at("cultured-extract", 7, 22, [ph(150, 4.1), ph(168, 5.4)]))).toContain("contradictory"));
});

describe("a brew that went off", () => {
  const fails = (log: LogItem[]) => assess(at("cultured-extract", 16, 22, log));
  it("is held on one bad smell, and is smelt again within hours", () => {
    const { verdict, remaining } = fails([smell(380, "putrid")]);
    expect(verdict).toMatchObject({ state: "spoiled", spoilt: "hold", next: { act: "smell", hour: 386 } });
    expect(remaining).toEqual({ may: "nothing-yet", because: "held" });
  });
  it("goes on after two clean looks, and says so", () => {
    const once = [smell(340, "sulphur"), ph(350, 3.7), smell(350, "cidery")];
    expect(fails(once).verdict.spoilt).toBe("hold");
    const { verdict } = fails([...once, ph(380, 3.7), smell(380, "cidery")]);
    expect(verdict.state).toBe("ready");
    expect(verdict.reasons.map(({ code }) => code)).toContain("doubt-lifted");
  });
  it("goes for good on bad signs at two looks", () => {
    expect(fails([film(100, "coloured mould")]).verdict.spoilt).toBe("hold");
    const mould = fails([film(100, "coloured mould"), film(120, "coloured mould"), ph(380, 3.7), smell(380, "cidery")]);
    expect(mould.verdict.spoilt).toBe("discard");
    expect(mould.remaining).toEqual({ may: "hot-compost", because: "mould" });
    expect(fails([smell(370, "putrid"), smell(380, "putrid")]).verdict.spoilt).toBe("discard");
    expect(fails([smell(370, "putrid"), smell(371, "sulphur")]).verdict.spoilt).toBe("discard");
  });
  it("is no brew whose method smells so by nature", () =>
    expect(assess(at("leaf-soak", 8, 22, [smell(190, "ammonia")])).verdict.spoilt).toBeNull());
});

describe("what would help", () => {
  const looks = (methodId: string, days: number, log: LogItem[] = []) =>
    assess(at(methodId, days, 22, log)).looks.map(({ kind }) => kind);
  it("is a meter where pH decides, a strip after it, check the foam in a still bloom, the float in char", () => {
    const extract = looks("cultured-extract", 8);
    expect(extract[0]).toBe("ph");
    expect(extract.indexOf("ph-strip")).toBeLessThan(extract.indexOf("smell"));
    expect(looks("leaf-mould-brew", 1.7)[0]).toBe("surface");
    expect(looks("charged-char", 12)[0]).toBe("sunk");
  });
  it("is less after it was just taken", () => {
    const worth = (log: LogItem[]) =>
      assess(at("cultured-extract", 8, 22, log)).looks.find(({ kind }) => kind === "ph")?.narrowsBy ?? 0;
    expect(worth([ph(191, 4.9), ph(191.5, 4.9)])).toBeLessThan(worth([]));
  });
  it("is warmth, where it is cool", () => {
    const cool = assess(at("cultured-extract", 5, 14)).ifWarmer!;
    expect(cool.atC).toBe(24);
    expect(cool.start.p50!).toBeLessThan(forecastBatch(at("cultured-extract", 5, 14)).window.start.p50!);
    expect(assess(at("cultured-extract", 5, 24)).ifWarmer).toBeNull();
  });
});

describe("a look that is asked for", () => {
  it("comes by day where it can wait, at whatever hour it was filled; a bloom's comes when it comes", () => {
    const clockOf = (methodId: string, days: number, startHour: number) => {
      const { next } = assess({ ...at(methodId, days, 20), startHour }).verdict;
      return { clock: (startHour + next.hour) % 24, isLater: next.hour > days * 24 };
    };
    for (const methodId of ["cultured-extract", "leaf-soak", "plant-juice", "shell-calcium"])
      for (let startHour = 0; startHour < 24; startHour += 3) {
        const { clock, isLater } = clockOf(methodId, 3, startHour);
        if (isLater) expect(clock >= 6.99 && clock <= 22.01).toBe(true);
      }
    const bloom = Array.from({ length: 8 }, (_, third) => clockOf("aerated-tea", 0.5, 3 * third).clock);
    expect(bloom.some((clock) => clock < 6 || clock > 23)).toBe(true);
  });
});

describe("what made it run ahead or behind", () => {
  const withAir = (nightC: number, dayC: number) => {
    const air = Array.from({ length: 8 * 24 + 240 }, (_, hour) => {
      const clock = (8 + hour) % 24;
      return { hour, celsius: clock >= 20 || clock < 7 ? nightC : dayC };
    });
    const input = at("plant-juice", 4, 18);
    return assess({
      ...input,
      vesselL: 2,
      startHour: 8,
      place: { kind: "shade" },
      temperature: { liquid: [], air, statedC: 18, usual: { meanC: 18, swingC: 0.1 } },
    }).verdict.reasons.find(({ code }) => code === "pace");
  };
  it("is said with the hours that it took", () => {
    expect(withAir(25, 18.5)).toMatchObject({ spell: "warm nights" });
    expect(withAir(18, 28)).toMatchObject({ spell: "warm days" });
    expect(withAir(10, 17.5)).toMatchObject({ spell: "cool nights" });
    const cold = withAir(11, 11);
    expect(cold).toMatchObject({ spell: "cool weather" });
    expect(cold).toMatchObject({ isAhead: false });
    expect(cold?.code === "pace" && cold.leastH).toBeGreaterThan(8);
    expect(cold?.code === "pace" && cold.mostH).toBeLessThan(96);
  });
  it("is not said where it made no difference", () => expect(withAir(18, 18)).toBeUndefined());
});
