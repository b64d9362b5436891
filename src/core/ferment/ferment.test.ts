import fc from "fast-check";
import { forecastInput } from "@/testing/forecastInput";
import { findRecipe, METHODS } from "../book";
import type { AcidReadiness } from "../book/types";
import { forecast, type ForecastInput } from "./forecast";
import { liquidTemperature, warmingTimeH } from "./liquidTemperature";
import { marksOf, phAt } from "./marks";
import { normalCdf, normalPdf } from "./normal";
import { countedPh, signsOf, type Observation } from "./observations";
import { pathways } from "./posterior";
import { thermalTime } from "./thermalTime";

const ph = (hour: number, value: number, extra: Partial<Extract<Observation, { kind: "ph" }>> = {}): Observation => ({
  hour,
  kind: "ph",
  value,
  instrument: "meter",
  spot: "mid-depth",
  ...extra,
});
const everySchool = METHODS.flatMap((method) => method.schools.map((school) => [method.id, school.id] as const));
const readable = (value: number | null) => value ?? Infinity;

describe.each(everySchool)("a forecast of %s, %s", (methodId, schoolId) => {
  const start = (celsius: number) => forecast(forecastInput(methodId, 0, celsius, [], schoolId)).window.start;
  it("has its early, likely and late moments in order, for every mark and temperature", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 36, noNaN: true }),
        fc.double({ min: 0, max: 400, noNaN: true }),
        (celsius, nowH) => {
          const { window } = forecast(forecastInput(methodId, nowH, celsius, [], schoolId));
          for (const { p10, p50, p90 } of Object.values(window)) {
            expect(readable(p10)).toBeLessThanOrEqual(readable(p50));
            expect(readable(p50)).toBeLessThanOrEqual(readable(p90));
          }
          expect(readable(window.start.p50)).toBeLessThanOrEqual(readable(window.peak.p50));
          expect(readable(window.peak.p50)).toBeLessThanOrEqual(readable(window.end.p50));
        },
      ),
      { numRuns: 25 },
    );
  });
  it("comes sooner the warmer it stands, up to its optimum", () => {
    const { temperatures } = findRecipe(methodId, schoolId).readiness;
    const optimumC = "optimumC" in temperatures ? temperatures.optimumC : Infinity;
    const rising = [12, 16, 20, 24, 28].filter((celsius) => celsius <= optimumC);
    const hours = rising.map((celsius) => readable(start(celsius).p50));
    expect(hours.toSorted((a, b) => b - a)).toEqual(hours);
  });
  it("never comes when it stands too cold or too hot to live", () => {
    const { temperatures } = findRecipe(methodId, schoolId).readiness;
    // A chemical rate has no cold or heat in which it stands still.
    if ("activationJPerMol" in temperatures) return;
    expect(start(temperatures.maxC + 1)).toEqual({ p10: null, p50: null, p90: null });
    expect(forecast(forecastInput(methodId, 0, temperatures.maxC + 1, [], schoolId)).probabilityNever).toBeCloseTo(
      1,
      9,
    );
  });
  it("is wider on a stated temperature than on one that was read", () => {
    const width = (temperature: ForecastInput["temperature"]) => {
      const { p10, p90 } = forecast({ ...forecastInput(methodId, 0, 22, [], schoolId), temperature }).window.start;
      return p90! - p10!;
    };
    // Hands' work does not go by warmth.
    if (findRecipe(methodId, schoolId).readiness.type === "fresh") return;
    expect(width({ liquid: [], air: [], statedC: 24 })).toBeGreaterThan(
      width({ liquid: [{ hour: 0, celsius: 24 }], air: [], statedC: null }),
    );
  });
  it("ends as a certainty: ready and past add up, and past wins in time or it keeps", () => {
    const { curve } = forecast({
      ...forecastInput(methodId, 0, 24, [], schoolId),
      curveHours: [0, 12, 48, 200, 400, 600, 2400],
    });
    expect(curve[0]).toEqual({ hour: 0, ready: 0, past: 0 });
    const last = curve[curve.length - 1]!;
    expect(last.ready + last.past).toBeGreaterThan(0.85);
  });
});

describe("what was observed", () => {
  it("moves the forecast whatever the order it was logged in", () => {
    const readings = [ph(72, 5.6), ph(120, 5.1), ph(168, 4.5)];
    const p50 = (observations: readonly Observation[]) =>
      forecast(forecastInput("cultured-extract", 170, 22, observations)).window.start.p50!;
    expect(p50(readings.toReversed())).toBeCloseTo(p50(readings), 9);
  });
  it("counts ten readings of one hour as few", () => {
    const p50 = (count: number) =>
      forecast(
        forecastInput(
          "cultured-extract",
          170,
          22,
          Array.from({ length: count }, (_, index) => ph(165 + index / 10, 4.3)),
        ),
      ).window.start.p50!;
    const none = forecast(forecastInput("cultured-extract", 170, 22)).window.start.p50!;
    expect(Math.abs(p50(10) - p50(1))).toBeLessThan(Math.abs(p50(1) - none));
  });
  it("takes no pH from film or lees, nor an impossible one", () => {
    const counted = countedPh([
      ph(2, 4.2),
      ph(1, 5),
      ph(3, 3.2, { spot: "film" }),
      ph(4, 3.1, { spot: "lees" }),
      ph(5, 1.2),
      ph(6, 12),
    ]);
    expect(counted.map(({ value }) => value)).toEqual([5, 4.2]);
  });
  it("reads signs in the order of the clock", () => {
    const log: Observation[] = [
      { hour: 9, kind: "smell", word: "earthy" },
      { hour: 3, kind: "surface", word: "still" },
      { hour: 5, kind: "act", act: "stirred" },
    ];
    expect(signsOf(log).map(({ word }) => word)).toEqual(["still", "earthy"]);
  });
  it("lets a not-yet push the window out, and a ready pull it in", () => {
    const p50 = (observations: readonly Observation[]) =>
      forecast(forecastInput("aerated-tea", 24, 24, observations)).window.start.p50!;
    expect(p50([{ hour: 24, kind: "smell", word: "raw sweet" }])).toBeGreaterThan(p50([]));
    expect(p50([{ hour: 20, kind: "smell", word: "earthy" }])).toBeLessThan(p50([]));
  });
  it("weighs pathways to one, and finds a batch that sticks", () => {
    const { readiness, cues } = findRecipe("cultured-extract");
    const theta = thermalTime(
      Array.from({ length: 1000 }, () => 24),
      readiness.temperatures,
    );
    const stuck = pathways(readiness, cues, theta, [ph(240, 4.7), ph(360, 4.62), ph(480, 4.6)], 0.32);
    expect(stuck.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 5);
    expect(
      stuck.filter(({ startH }) => !Number.isFinite(startH)).reduce((sum, { weight }) => sum + weight, 0),
    ).toBeGreaterThan(0.9);
  });
});

describe("an acid ferment's curve", () => {
  const readiness = findRecipe("cultured-extract").readiness as AcidReadiness;
  it("begins exactly at its start, falls without rising, ends at its floor", () => {
    expect(phAt(readiness, 0, 0)).toBeCloseTo(readiness.startPh, 12);
    const course = Array.from({ length: 60 }, (_, day) => phAt(readiness, day, 0));
    course.slice(1).forEach((value, index) => expect(value).toBeLessThanOrEqual(course[index]!));
    expect(course[59]).toBeCloseTo(readiness.floorPh, 6);
  });
  it("opens later the higher it settles, and never above the target", () => {
    const opens = [-0.2, 0, 0.2, 0.4].map((shift) => marksOf(readiness, 0, shift).startTh);
    expect(opens.toSorted((a, b) => a - b)).toEqual(opens);
    expect(marksOf(readiness, 0, 0.6).startTh).toBe(Infinity);
  });
  it("goes twice as fast at twice the rate", () =>
    expect(marksOf(readiness, Math.log(2), 0).startTh * 2).toBeCloseTo(marksOf(readiness, 0, 0).startTh, 9));
});

describe("the liquid between air and readings", () => {
  const air = (celsius: number) => [
    { hour: -2, celsius },
    { hour: 500, celsius },
  ];
  it("has the time constant of its size: 17 hours for a drum, 30 for a tote, less with bubbles", () => {
    expect(warmingTimeH(200, false)).toBeCloseTo(17.3, 1);
    expect(warmingTimeH(1000, false)).toBeCloseTo(29.6, 1);
    expect(warmingTimeH(200, true)).toBeCloseTo(0.75 * 17.3, 1);
    expect(warmingTimeH(0, false)).toBeGreaterThan(0);
  });
  it("stays between the air and where it began", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 35, noNaN: true }),
        fc.double({ min: 0, max: 35, noNaN: true }),
        (airC, statedC) => {
          const { hourlyC } = liquidTemperature({ liquid: [], air: air(airC), statedC }, 10, 100)!;
          for (const celsius of hourlyC) {
            expect(celsius).toBeGreaterThanOrEqual(Math.min(airC, statedC) - 1e-6);
            expect(celsius).toBeLessThanOrEqual(Math.max(airC, statedC) + 1e-6);
          }
        },
      ),
      { numRuns: 40 },
    );
  });
  it("swings with the day, later and less than the air", () => {
    const day = Array.from({ length: 240 }, (_, hour) => ({
      hour,
      celsius: 20 + 6 * Math.sin((2 * Math.PI * hour) / 24),
    }));
    const { hourlyC } = liquidTemperature({ liquid: [], air: day, statedC: 20 }, 17.3, 230)!;
    const late = hourlyC.slice(144, 216);
    // First-order lag: amplitude 6/√(1 + (ωτ)²).
    const expected = 6 / Math.hypot(1, ((2 * Math.PI) / 24) * 17.3);
    expect((Math.max(...late) - Math.min(...late)) / 2).toBeCloseTo(expected, 0);
  });
  it("rests at the mean of the last day once no one has forecast further", () => {
    const day = Array.from({ length: 48 }, (_, hour) => ({
      hour,
      celsius: 20 + 6 * Math.sin((2 * Math.PI * hour) / 24),
    }));
    const { hourlyC } = liquidTemperature({ liquid: [], air: day, statedC: 20 }, 5, 200)!;
    expect(hourlyC[199]).toBeCloseTo(20, 0);
  });
  it("joins readings by lines where there is no air, and holds the last", () => {
    const { hourlyC } = liquidTemperature(
      {
        liquid: [
          { hour: 0, celsius: 10 },
          { hour: 10, celsius: 20 },
        ],
        air: [],
        statedC: null,
      },
      10,
      30,
    )!;
    expect([hourlyC[0], hourlyC[5], hourlyC[10], hourlyC[30]]).toEqual([10, 15, 20, 20]);
  });
});

describe("the normal distribution", () => {
  it.each([
    [0, 0.5],
    [1, 0.8413447],
    [-1.2815516, 0.1],
    [2.3263479, 0.99],
  ])("at %d is %d", (z, share) => expect(normalCdf(z)).toBeCloseTo(share, 6));
  it("is the sum of its density", () => {
    const step = 0.001;
    let sum = 0;
    for (let z = -6; z < 0.7; z += step) sum += normalPdf(z + step / 2) * step;
    expect(sum).toBeCloseTo(normalCdf(0.7), 4);
  });
});
