import {
  sayDifference,
  sayThinned,
  sayCaution,
  sayEntry,
  sayLoads,
  sayReason,
  sayState,
  sayWarmer,
  type Telling,
  sayWindow,
  type WindowMs,
} from "@/words/said";
import type { VerdictState } from "@/core/judge/verdictState";
import { sayArea, sayDilution, sayMass, sayMoney, sayTemperature, sayVolume } from "../formats/amounts";
import { formatNumber, parseNumber, plural } from "../formats/numbers";
import {
  hourOfDay,
  isoDay,
  midnights,
  sayAge,
  sayDuration,
  saySpan,
  sayForecastMoment,
  sayMoment,
} from "../formats/times";

const THIN = "\u202f";

describe("numbers", () => {
  it.each([
    [0, "0"],
    [1412.3, `1${THIN}412`],
    [0.033333, "0.0333"],
    [9.996, "10"],
    [45.4249, "45.4"],
    [-2.5, "-2.5"],
  ])("%d is said %s", (value, words) => expect(formatNumber(value)).toBe(words));
  it("are read with comma or point, and words are no number", () => {
    expect([parseNumber("2,5"), parseNumber(" 1 200.5 "), parseNumber(".5")]).toEqual([2.5, 1200.5, 0.5]);
    expect([parseNumber(""), parseNumber("a handful"), parseNumber("1e5"), parseNumber("2.5.1")]).toEqual([
      null,
      null,
      null,
      null,
    ]);
  });
  it("count things", () => expect([plural(1, "can"), plural(3, "can")]).toEqual(["1 can", "3 cans"]));
});

describe("amounts in the farm's units", () => {
  it("metric", () => {
    expect([
      sayVolume(0.5, "metric"),
      sayVolume(16, "metric"),
      sayMass(1.6, "metric"),
      sayMass(0.04, "metric"),
      sayArea(14.4, "metric"),
      sayArea(15_000, "metric"),
    ]).toEqual(["500 mL", "16 L", "1.6 kg", "40 g", "14.4 m²", "1.5 ha"]);
  });
  it("US", () => {
    expect([
      sayVolume(3.785411784, "us"),
      sayVolume(0.0295735, "us"),
      sayVolume(0.00493, "us"),
      sayMass(0.45359237, "us"),
      sayTemperature(20, "us"),
    ]).toEqual(["1 US gal", "1 US fl oz", "1 US tsp", "1 lb", "68 °F"]);
  });
  it("money to the cent, ratios with neat", () => {
    expect([sayMoney(123456, "crowns"), sayDilution(0), sayDilution(1000)]).toEqual([
      `1${THIN}234.56 crowns`,
      "neat",
      `1:1${THIN}000`,
    ]);
  });
  it("neat loads have no water to tell", () => {
    expect(sayLoads([{ count: 2, mixL: 10, concentrateL: 10, waterL: 0 }], "can", "metric")).toBe(
      "2 cans of 10 L, undiluted",
    );
  });
});

describe("times by the farm's clock", () => {
  const now = new Date("2031-03-20T22:30:00Z");
  const east = { timeZone: "Etc/GMT-10" };
  it("take their day from the farm, not from the server", () => {
    expect([isoDay(now, { timeZone: "UTC" }), isoDay(now, east)]).toEqual(["2031-03-20", "2031-03-21"]);
    expect(hourOfDay(now, east)).toBe(8.5);
  });
  it.each([
    ["2031-03-21T01:10:00Z", "today 11:10"],
    ["2031-03-21T20:00:00Z", "tomorrow 06:00"],
    ["2031-03-20T02:00:00Z", "yesterday 12:00"],
    ["2031-03-23T20:00:00Z", "Mon 06:00"],
    ["2031-03-26T20:00:00Z", "Thu"],
    ["2031-05-01T20:00:00Z", "2 May"],
  ])("%s is %s", (at, words) => expect(sayMoment(new Date(at), now, east)).toBe(words));
  it("say a forecast no finer than the hour", () =>
    expect(sayForecastMoment(new Date("2031-03-21T01:41:00Z"), now, east)).toBe("today 12:00"));
  it("say ages and spans", () => {
    expect([
      sayAge(21.7),
      sayAge(49),
      sayDuration(0.4),
      sayDuration(26),
      sayDuration(24 * 20),
      sayDuration(24 * 180),
    ]).toEqual(["hour 21", "day 2", "24 min", "26 h", "20 days", "6 months"]);
  });
  it("knows where the farm's days begin, over a change of its clocks too", () => {
    const span = [Date.parse("2031-03-29T12:00:00Z"), Date.parse("2031-04-01T12:00:00Z")] as const;
    const begin = (timeZone: string) => midnights(...span, { timeZone }).map((ms) => new Date(ms).toISOString());
    expect(begin("Etc/GMT-10")).toEqual([
      "2031-03-29T14:00:00.000Z",
      "2031-03-30T14:00:00.000Z",
      "2031-03-31T14:00:00.000Z",
    ]);
    expect(begin("Europe/Berlin")).toEqual([
      "2031-03-29T23:00:00.000Z",
      "2031-03-30T22:00:00.000Z",
      "2031-03-31T22:00:00.000Z",
    ]);
  });
});

describe("verdicts in words", () => {
  const telling: Telling = {
    units: "metric",
    clock: { timeZone: "UTC" },
    startedAt: new Date("2031-03-10T08:00:00Z"),
    now: new Date("2031-03-20T08:00:00Z"),
  };
  it("tell pH with its trend, its age and its goal", () => {
    expect(sayReason({ code: "ph", ph: 4.3, target: 4, perDay: 0.2, ageH: 30, instrument: "strip" }, telling)).toBe(
      "pH 4.3 by strip, falling 0.2 a day (read 30 h ago); it must reach 4.",
    );
    expect(sayReason({ code: "ph", ph: 3.7, target: 4, perDay: 0, ageH: 1, instrument: "meter" }, telling)).toBe(
      "pH 3.7, no longer falling; at or under 4.",
    );
  });
  it("say what temperature they rest on", () => {
    expect(
      sayReason(
        { code: "warmth", meanC: 14, basis: "air", share: 0.61, comfortLowC: 20, comfortHighC: 28, nowC: 15 },
        telling,
      ),
    ).toBe(
      "14 °C over the last 24 h (calculated from the air and how the brew goes), cooler than it likes; by warmth it is about 60 % of the way to ready.",
    );
  });
  it("head a batch that is on hold otherwise than one that failed", () => {
    expect(sayState({ state: "spoiled", spoilt: "hold" })).toBe("On hold");
    expect(sayState({ state: "spoiled", spoilt: "discard" })).toBe("Failed");
    expect(sayState({ state: "peak", spoilt: null })).toBe("Best now");
  });
  it("say what warmth would change", () => {
    expect(sayWarmer({ atC: 22, start: { p10: 24 * 11, p50: 24 * 12, p90: null } }, telling)).toBe(
      "Kept at 22 °C from now on, it is likely ready about Sat 08:00.",
    );
    expect(sayWarmer({ atC: 22, start: { p10: 24 * 11, p50: 24 * 12, p90: 24 * 13.5 } }, telling)).toBe(
      "Kept at 22 °C from now on, it is likely ready about Sat 08:00, most likely between tomorrow 08:00 and Sun 20:00.",
    );
    expect(sayWarmer(null, telling)).toBeNull();
    expect([saySpan(3, 7), saySpan(20, 60), saySpan(60, 2000), saySpan(3.1, 3.2)]).toEqual([
      "3 to 7 h",
      "1 to 3 days",
      "3 days to 3 months",
      "about 3 h",
    ]);
  });
  it("say when the window opens and closes", () => {
    const at = (iso: string) => Date.parse(iso);
    const start = { p10: at("2031-03-21T20:00:00Z"), p50: at("2031-03-22T06:10:00Z"), p90: at("2031-03-23T14:00:00Z") };
    const none = { p10: null, p50: null, p90: null };
    const nowMs = telling.now.getTime();
    const say = (window: WindowMs, state: VerdictState = "early", spoilt: "hold" | null = null) =>
      sayWindow({ window, state, spoilt }, nowMs, telling.clock);
    expect(say({ start, end: none })).toBe("Likely ready about Sat 06:00, between tomorrow 20:00 and Sun 14:00.");
    expect(say({ start: none, end: none }, "stuck")).toBe("Ready date unknown.");
    const end = { p10: null, p50: at("2031-03-24T06:00:00Z"), p90: null };
    expect(say({ start, end }, "ready")).toBe("Ready now by its signs, earlier than expected; good until about Mon.");
    expect(say({ start: none, end: none }, "peak")).toBe("Ready now by its signs, earlier than expected.");
    expect(say({ start, end }, "spoiled")).toBe("Failed. Put it on hot compost.");
    expect(say({ start, end }, "spoiled", "hold")).toBe("On hold until the next checks.");
    const behind = { p10: nowMs - 9, p50: nowMs - 5, p90: nowMs - 1 };
    expect(say({ start: behind, end }, "ready")).toBe("Good until about Mon.");
    expect(say({ start: behind, end: behind }, "past")).toBe("Past its best since about today 08:00.");
    expect(say({ start: behind, end: none }, "near")).toBe("By warmth it should be ready. It keeps.");
  });
  it("say cautions and entries", () => {
    expect(sayCaution({ code: "too-strong", weight: "reason", strongest: 32, partsWater: 10 })).toBe(
      "1:10 is stronger than the strongest usual (1:32). Patch-test first.",
    );
    expect(
      sayEntry({ kind: "act", numberValue: 2, word: "topped-up", instrument: null, spot: null, note: "" }, "metric"),
    ).toBe("Water added: 2 L");
  });
});

describe("what topping up left of the strength", () => {
  it("says the mix that makes up for it, and nothing where it is no matter", () => {
    expect(sayThinned(1, 250)).toBeNull();
    expect(sayThinned(0.996, 250)).toBeNull();
    expect(sayThinned(0.9, 250)).toBe(
      "Thinned with water: it is at 90 % of its first strength, and 1:225 does what 1:250 would.",
    );
    expect(sayThinned(0.5, 0)).toBe("Thinned with water: it is at 50 % of its first strength.");
  });
});

describe("what doing otherwise comes to", () => {
  const NOW = Date.parse("2031-03-20T10:00:00Z");
  const inH = (...hours: [number, number, number]) => {
    const [p10, p50, p90] = hours.map((hour) => NOW + hour * 3_600_000);
    return { p10: p10!, p50: p50!, p90: p90! };
  };
  const course = (...hours: [number, number, number]) => ({
    start: inH(...hours),
    peak: inH(...hours),
    end: { p10: null, p50: null, p90: null },
  });
  it.each<[[number, number, number], [number, number, number], string]>([
    [[48, 72, 96], [24, 36, 48], "It would open 1 to 2 days sooner."],
    [[3, 10, 96], [3, 8, 24], "It would open about 2 h sooner, 3 days sooner at most."],
    [[3, 10, 96], [3, 10, 24], "It would open as soon, 3 days sooner at most."],
    [[3, 10, 20], [3, 10, 20], "It would make no difference worth the trouble."],
    [[10, 20, 30], [12, 30, 60], "It would open 2 to 30 h later."],
  ])("from %j to %j", (before, after, said) =>
    expect(sayDifference({ before: course(...before), after: course(...after), of: "this" }, NOW)).toBe(said),
  );
});
