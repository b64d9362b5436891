import { ph } from "@/testing/logItems";
import { forecastInput } from "@/testing/forecastInput";
import { assess } from "./assess";
import { forecastBatch } from "./forecastBatch";
import type { LogItem } from "./log";

const sign = (
  hour: number,
  kind: "smell" | "surface" | "solids" | "liquid" | "texture" | "warmth",
  word: string,
): LogItem => ({
  hour,
  kind,
  word,
});
const stateOf = (
  methodId: string,
  hours: number,
  celsius: number,
  observations: readonly LogItem[] = [],
  schoolId?: string,
) => assess(forecastInput(methodId, hours, celsius, observations, schoolId)).verdict;

describe("what is made and used", () => {
  it("is done when its steps are, and stale when it has stood", () => {
    expect(stateOf("rice-wash", 0, 20).state).toBe("near");
    expect(stateOf("rice-wash", 1, 20)).toMatchObject({ state: "ready", next: { act: "use-now" } });
    expect(stateOf("rice-wash", 15, 20)).toMatchObject({ state: "past", next: { act: "compost" } });
  });
  it("takes as long in the cold: hands don't slow", () => {
    const start = (celsius: number) => forecastBatch(forecastInput("boiled-potato", 0, celsius)).window.start.p50;
    expect(start(5)).toBe(start(30));
  });
  it("has exact hours, sound until a nose says otherwise, and keeps asking for none it need not", () => {
    const seen = forecastBatch({ ...forecastInput("rice-wash", 0, 20), curveHours: [0, 1, 40] });
    const { start, end } = seen.window;
    expect([start.p10, start.p90]).toEqual([start.p50, start.p50]);
    expect(end.p50!).toBeGreaterThan(start.p50!);
    expect(seen.spoilage).toEqual({ chance: 0.01, level: "ok", hard: [], needsSmellCheck: false });
    expect(seen.stuck).toMatchObject({ codes: [], chanceNever: 0 });
    expect(seen.curve).toEqual([
      { hour: 0, ready: 0, past: 0 },
      { hour: 1, ready: 1, past: 0 },
      { hour: 40, ready: 0, past: 1 },
    ]);
    expect(forecastBatch(forecastInput("rice-wash", 0, 20)).curve).toEqual([]);
  });
  it("fails by its signs like everything else", () =>
    expect(stateOf("rice-wash", 1, 20, [sign(1, "smell", "putrid")]).state).toBe("spoiled"));
});

describe("a bloom without air", () => {
  it("goes by its head of foam and its hours, not by any pump", () => {
    expect(stateOf("leaf-mould-brew", 46, 24, [sign(45, "surface", "full head")]).state).toMatch(/ready|peak/);
    expect(
      stateOf("leaf-mould-brew", 46, 24, [sign(45, "surface", "full head"), { hour: 1, kind: "act", act: "air-off" }])
        .state,
    ).toMatch(/ready|peak/);
    expect(stateOf("leaf-mould-brew", 46, 24, [sign(45, "surface", "still")]).state).toMatch(/near|early/);
    expect(stateOf("leaf-mould-brew", 80, 24, [sign(79, "surface", "collapsing")]).state).toBe("past");
  });
  it("never blooms at 13 °C, and says that cold is why", () => {
    const { verdict, forecast: seen } = assess(forecastInput("leaf-mould-brew", 48, 13));
    expect(verdict.state).toBe("stuck");
    expect(verdict.reasons.map(({ code }) => code)).toContain("no-bloom");
    expect([seen.window.start.p50, seen.window.start.p90]).toEqual([null, null]);
  });
  it.each([
    [24, 36, 60],
    [28, 24, 48],
    [17, 66, 110],
  ])("at %d °C is best after %d to %d h, as growers say", (celsius, from, to) => {
    const { p50 } = forecastBatch(forecastInput("leaf-mould-brew", 0, celsius)).window.peak;
    expect(p50!).toBeGreaterThanOrEqual(from);
    expect(p50!).toBeLessThanOrEqual(to);
  });
});

describe("shell in vinegar", () => {
  it("wants its least age, though it seem still", () => {
    const young = stateOf("shell-calcium", 72, 35, [sign(72, "surface", "still")]);
    expect(young.state).not.toMatch(/ready|peak/);
    const still = [24 * 10, 24 * 11].flatMap((hour) => [
      sign(hour, "surface", "still"),
      sign(hour, "smell", "neutral"),
    ]);
    expect(stateOf("shell-calcium", 24 * 11, 20, still).state).toMatch(/ready|peak/);
  });
  it("takes twice as long with the lean shell", () => {
    const start = (school: string) =>
      forecastBatch(forecastInput("shell-calcium", 0, 20, [], school)).window.start.p50!;
    expect(start("ten-to-one") / start("four-to-one")).toBeGreaterThan(1.8);
  });
  it("keeps: nothing goes past", () =>
    expect(forecastBatch(forecastInput("shell-calcium", 24 * 60, 20)).probabilityPast).toBe(0));
});

describe("milk turned to serum", () => {
  it("is stuck by its own target, not by the extract's", () => {
    const high = 5.4;
    const days = 18;
    expect(stateOf("lactic-serum", days * 24, 24, [ph(300, high), ph(days * 24 - 2, high)], "milk").state).toBe(
      "stuck",
    );
    expect(stateOf("lactic-serum", days * 24, 24, [ph(days * 24 - 2, 4.55)], "milk").state).not.toBe("stuck");
  });
});

describe("soaks, char and starters", () => {
  it.each([
    [
      "charged-char",
      30,
      22,
      [
        ["solids", "sunk"],
        ["smell", "earthy"],
      ],
      /ready|peak/,
    ],
    ["charged-char", 30, 22, [["solids", "sunk"]], /near/],
    [
      "charged-char",
      30,
      22,
      [
        ["solids", "floating"],
        ["smell", "earthy"],
      ],
      /near|early/,
    ],
    [
      "charged-char",
      10,
      34,
      [
        ["solids", "sunk"],
        ["smell", "earthy"],
      ],
      /near|early/,
    ],
    [
      "bran-starter",
      11,
      26,
      [
        ["texture", "white threads"],
        ["smell", "yeasty"],
      ],
      /ready|peak/,
    ],
    ["leaf-soak", 20, 24, [["smell", "raw sweet"]], /near|early/],
    [
      "drum-manure-tea",
      34,
      25,
      [
        ["liquid", "dark"],
        ["smell", "earthy"],
      ],
      /ready|peak/,
    ],
    [
      "drum-manure-tea",
      18,
      34,
      [
        ["liquid", "dark"],
        ["smell", "earthy"],
      ],
      /near|early/,
    ],
    [
      "worm-castings",
      100,
      24,
      [
        ["texture", "crumbles"],
        ["smell", "earthy"],
      ],
      /ready|peak/,
    ],
  ] as const)(
    "%s after %d days at %d °C, with those signs, is as growers would judge",
    (methodId, days, celsius, seen, wanted) =>
      expect(
        stateOf(
          methodId,
          days * 24,
          celsius,
          // Borne out a tenth of its age later.
          [0.87, 1].flatMap((share) => seen.map(([kind, word]) => sign(share * days * 24 - 1, kind, word))),
        ).state,
      ).toMatch(wanted),
  );
  it("let no sign make young dung ready", () => {
    const verdict = stateOf("drum-manure-tea", 18 * 24, 34, [
      sign(430, "liquid", "dark"),
      sign(431, "smell", "earthy"),
    ]);
    expect(verdict.state).not.toMatch(/ready|peak/);
  });
});
