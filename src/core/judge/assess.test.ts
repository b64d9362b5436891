import { findRecipe } from "../book";
import { forecastInput } from "@/testing/forecastInput";
import type { ForecastInput } from "../ferment/forecast";
import { forecast } from "../ferment/forecast";
import { liquidTemperature, warmingTimeH } from "../ferment/liquidTemperature";
import { marksOf, phAt } from "../ferment/marks";
import { normalCdf } from "../ferment/normal";
import type { Observation } from "../ferment/observations";
import { rateAt } from "../ferment/rate";
import { hourAtThermal, thermalAt, thermalTime } from "../ferment/thermalTime";
import { assess } from "./assess";

const at = (
  methodId: string,
  days: number,
  celsius: number,
  observations: readonly Observation[] = [],
  schoolId?: string,
): ForecastInput => forecastInput(methodId, days * 24, celsius, observations, schoolId);
const ph = (hour: number, value: number, spot: "mid-depth" | "film" = "mid-depth"): Observation => ({
  hour,
  kind: "ph",
  value,
  instrument: "meter",
  spot,
});
const smell = (hour: number, word: string): Observation => ({ hour, kind: "smell", word });
const stateOf = (input: ForecastInput) => assess(input).verdict.state;
const codesOf = (input: ForecastInput) => assess(input).verdict.reasons.map(({ code }) => code);

describe("rate and thermal time", () => {
  const tea = { referenceC: 24, minC: -3, optimumC: 35, maxC: 43 };
  it("is one at the reference, nought outside the cardinal temperatures, greatest at the optimum", () => {
    expect(rateAt(24, tea)).toBeCloseTo(1, 12);
    expect([rateAt(-3, tea), rateAt(43, tea), rateAt(60, tea)]).toEqual([0, 0, 0]);
    for (const celsius of [10, 20, 30, 40]) expect(rateAt(35, tea)).toBeGreaterThan(rateAt(celsius, tea));
  });
  it("inverts: the hour at which so much thermal time has passed has passed so much", () => {
    const theta = thermalTime(
      Array.from({ length: 200 }, (_, hour) => 18 + 6 * Math.sin(hour / 4)),
      tea,
    );
    for (const wanted of [0.5, 10, 77.7, 120])
      expect(thermalAt(theta, hourAtThermal(theta, wanted))).toBeCloseTo(wanted, 9);
    expect(hourAtThermal(theta, 1e6)).toBe(Infinity);
  });
  it("knows the normal distribution (table values)", () => {
    expect(normalCdf(1.96)).toBeCloseTo(0.9750021, 6);
    expect(normalCdf(-1)).toBeCloseTo(0.1586553, 6);
  });
});

describe("the liquid's temperature", () => {
  it("follows a step in the air by the closed-form exponential", () => {
    const tauH = warmingTimeH(200, false);
    const air = [
      { hour: 0, celsius: 25 },
      { hour: 400, celsius: 25 },
    ];
    const series = liquidTemperature({ liquid: [], air, statedC: 15 }, tauH, 48)!;
    for (const hour of [1, 17, 48]) expect(series.hourlyC[hour]).toBeCloseTo(25 - 10 * Math.exp(-hour / tauH), 9);
  });
  it("takes a reading over what it worked out, and says so", () => {
    const series = liquidTemperature(
      {
        liquid: [{ hour: 10, celsius: 30 }],
        air: [
          { hour: 0, celsius: 15 },
          { hour: 100, celsius: 15 },
        ],
        statedC: 15,
      },
      17,
      20,
    )!;
    expect(series.hourlyC[10]).toBeCloseTo(30, 9);
    expect(series.basis).toBe("read");
  });
  it("has nothing to say without any temperature", () =>
    expect(liquidTemperature({ liquid: [], air: [], statedC: null }, 10, 10)).toBeNull());
});

describe("forecast", () => {
  it.each([
    ["aerated-tea", "bacterial", 24, 24, 36],
    ["aerated-tea", "chitin", 24, 45, 72],
    ["cultured-extract", undefined, 22, 7 * 24, 21 * 24],
    ["plant-juice", undefined, 22.5, 5 * 24, 7 * 24],
  ])("%s %s at %d °C opens within growers' hours", (method, school, celsius, from, to) => {
    const { p50 } = forecast(at(method, 0, celsius, [], school)).window.start;
    expect(p50).toBeGreaterThanOrEqual(from * 0.95);
    expect(p50).toBeLessThanOrEqual(to);
  });
  it("takes longer in the cold", () => {
    const start = (celsius: number) => forecast(at("cultured-extract", 0, celsius)).window.start.p50!;
    expect(start(16)).toBeGreaterThan(1.5 * start(22));
  });
  it("inverts its own pH curve", () => {
    const readiness = findRecipe("cultured-extract").readiness;
    if (readiness.type !== "acid") throw new Error("not an acid ferment");
    for (const shift of [-0.2, 0, 0.3])
      expect(phAt(readiness, marksOf(readiness, 0, shift).startTh / 24, shift)).toBeCloseTo(4, 9);
    expect(marksOf(readiness, 0, 0.9).startTh).toBe(Infinity);
  });
  it("is moved by a meter more than by a strip, and hardly by an absurd reading", () => {
    const p50 = (observations: Observation[]) =>
      forecast(at("cultured-extract", 7, 22, observations)).window.start.p50!;
    const none = p50([]);
    const strip: Observation = { hour: 168, kind: "ph", value: 4.4, instrument: "strip", spot: "mid-depth" };
    expect(none - p50([ph(168, 4.4)])).toBeGreaterThan(none - p50([strip]));
    expect(p50([ph(168, 1.2)])).toBeCloseTo(none, 6);
  });
  it("grows narrower with a reading", () => {
    const width = (observations: Observation[]) => {
      const { p10, p90 } = forecast(at("cultured-extract", 7, 22, observations)).window.start;
      return p90! - p10!;
    };
    expect(width([ph(168, 4.6)])).toBeLessThan(0.6 * width([]));
  });
  it("keeps its probabilities between nought and one, and past never falls", () => {
    const { curve } = forecast({
      ...at("aerated-tea", 0.5, 24),
      curveHours: Array.from({ length: 120 }, (_, hour) => hour),
    });
    curve.forEach((point, index) => {
      expect(point.ready).toBeGreaterThanOrEqual(0);
      expect(point.ready + point.past).toBeLessThanOrEqual(1 + 1e-9);
      if (index > 0) expect(point.past).toBeGreaterThanOrEqual(curve[index - 1]!.past);
    });
  });
  it("refuses to guess without a temperature", () => {
    expect(() =>
      forecast({ ...at("aerated-tea", 1, 24), temperature: { liquid: [], air: [], statedC: null } }),
    ).toThrow("can't be forecast without");
  });
});

describe("verdict", () => {
  it("is never ready on days alone where pH decides", () => {
    expect(stateOf(at("cultured-extract", 20, 24))).not.toMatch(/ready|peak/);
    expect(codesOf(at("cultured-extract", 20, 24))).toContain("ph-missing");
  });
  it("is never ready on pH alone", () => {
    expect(stateOf(at("cultured-extract", 15, 22, [ph(355, 3.8)]))).toBe("near");
    expect(stateOf(at("cultured-extract", 15, 22, [ph(355, 3.8), smell(356, "cidery")]))).toBe("ready");
  });
  it("does not count a pH from the film", () => {
    const input = at("cultured-extract", 15, 22, [ph(355, 3.4, "film"), smell(356, "cidery")]);
    expect(stateOf(input)).not.toBe("ready");
    expect(codesOf(input)).toContain("ph-not-counted");
  });
  it("asks for patience with one that sours too young", () =>
    expect(codesOf(at("cultured-extract", 4, 30, [ph(95, 3.9), smell(95, "cidery")]))).toContain("too-young"));
  it("calls it stuck when the pH stands high after two weeks in the warm, and when it is cold", () => {
    expect(stateOf(at("cultured-extract", 18, 22, [ph(300, 4.8), ph(430, 4.75)]))).toBe("stuck");
    expect(codesOf(at("cultured-extract", 4, 7))).toContain("cold");
  });
  it("goes by hours and smell for a tea, and by the air", () => {
    expect(stateOf(at("aerated-tea", 0.3, 24, [smell(7, "raw sweet")]))).toBe("early");
    expect(stateOf(at("aerated-tea", 1.2, 24, [smell(28, "earthy")]))).toMatch(/ready|peak/);
    expect(stateOf(at("aerated-tea", 1.2, 24))).toBe("near");
    expect(stateOf(at("aerated-tea", 3, 24))).toBe("past");
    expect(stateOf(at("aerated-tea", 1.4, 24, [smell(28, "earthy"), { hour: 29, kind: "act", act: "air-off" }]))).toBe(
      "past",
    );
  });
  it("goes by days and signs for a juice", () => {
    expect(stateOf(at("plant-juice", 6.5, 22))).toBe("near");
    expect(stateOf(at("plant-juice", 6.5, 22, [{ hour: 155, kind: "solids", word: "floating" }]))).toMatch(
      /ready|peak/,
    );
  });
  it("holds on to a failure, whatever is smelt later", () => {
    expect(stateOf(at("aerated-tea", 1.2, 24, [smell(20, "sulphur"), smell(28, "earthy")]))).toBe("spoiled");
    expect(
      stateOf(
        at("cultured-extract", 16, 22, [
          { hour: 100, kind: "film", word: "coloured mould" },
          ph(380, 3.7),
          smell(380, "cidery"),
        ]),
      ),
    ).toBe("spoiled");
  });
  it("names signs that disagree", () =>
    expect(codesOf(at("aerated-tea", 1.2, 24, [smell(27.5, "earthy"), smell(28, "raw sweet")]))).toContain(
      "signs-disagree",
    ));
  it("says what warmth would change, where it would", () => {
    const cool = assess(at("cultured-extract", 5, 14)).ifWarmer!;
    expect(cool.atC).toBe(24);
    expect(cool.startH!).toBeLessThan(forecast(at("cultured-extract", 5, 14)).window.start.p50!);
    expect(assess(at("cultured-extract", 5, 24)).ifWarmer).toBeNull();
  });
});
