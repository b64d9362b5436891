import { findRecipe, METHODS } from "../book";
import { findUseRate } from "../book/useRate";
import { findUse } from "../book/uses";
import type { FitBand } from "./fitHours";
import type { WeatherHour } from "./weatherHour";
import { hourCautions, type HourCase } from "./hourCautions";
import { partsWaterFor, strengthCautions, type PatchTest } from "./strengthCautions";
import { workWindows } from "./workWindows";

const HOUR = 3_600_000;
const SUNS = [{ riseMs: 6 * HOUR, setMs: 20 * HOUR }];
const calm = Array.from({ length: 30 }, (_, hour): WeatherHour => ({
  atMs: hour * HOUR,
  airC: 18,
  rainMm: 0,
  windMPerS: 1,
}));
const at = (hour: number, hours: readonly WeatherHour[] = calm): HourCase => ({ atMs: hour * HOUR, suns: SUNS, hours });
const codes = (use: Parameters<typeof findUse>[0], hour: HourCase) =>
  hourCautions(findUse(use), hour).map(({ code, weight }) => `${code}/${weight}`);
const weather = (change: Partial<WeatherHour>, from: number, to: number) =>
  calm.map((hour, index) => (index >= from && index <= to ? { ...hour, ...change } : hour));

describe("the hour at which something goes on", () => {
  it("is asked about while the sun is high, gravely on leaves", () => {
    expect(codes("foliar", at(12))).toEqual(["full-sun/blocked"]);
    expect(codes("drench-growing", at(12))).toEqual(["full-sun/reason"]);
    expect(hourCautions(findUse("foliar"), at(12))[0]).toMatchObject({ lowInH: 6 });
    for (const hour of [3, 6.5, 8.4, 18.1, 20, 22]) expect(codes("foliar", at(hour))).toEqual([]);
  });
  it("is not asked about for the sun while it rains", () =>
    expect(codes("drench-growing", at(12, weather({ rainMm: 1 }, 12, 12)))).toEqual([]));
  it("does not matter to what is dug in, dripped or given to a heap", () => {
    for (const use of ["compost", "incorporate", "top-dress", "injector", "seed-mix"] as const)
      expect(codes(use, at(12, weather({ airC: 40, rainMm: 9 }, 0, 29)))).toEqual([]);
  });
  it("is asked about before and after rain on leaves; soil takes rain gladly", () => {
    expect(codes("foliar", at(19, weather({ rainMm: 2 }, 22, 22)))).toEqual(["rain-on-leaves/reason"]);
    expect(codes("foliar", at(18.2, weather({ rainMm: 2 }, 24, 24)))).toEqual([]);
    expect(codes("foliar", at(7, weather({ rainMm: 2 }, 6, 6)))).toEqual(["leaves-wet/reason"]);
    expect(codes("drench-growing", at(19, weather({ rainMm: 9 }, 17, 22)))).toEqual([]);
  });
  it("is asked about in wind, heat and cold", () => {
    expect(codes("foliar", at(19, weather({ windMPerS: 5 }, 18, 20)))).toEqual(["wind-drift/reason"]);
    expect(codes("foliar", at(19, weather({ airC: 28 }, 18, 20)))).toEqual(["too-hot-out/reason"]);
    expect(codes("drench-growing", at(19, weather({ airC: 28 }, 18, 20)))).toEqual([]);
    expect(codes("drench-growing", at(19, weather({ airC: 1 }, 18, 20)))).toEqual(["too-cold-out/reason"]);
  });
  it("is nobody's guess where no station tells: only the sun counts", () => {
    expect(codes("foliar", at(19, []))).toEqual([]);
    expect(codes("foliar", { atMs: 19 * HOUR, suns: [], hours: [] })).toEqual([]);
    expect(codes("foliar", at(19, weather({ rainMm: null, windMPerS: null }, 0, 29)))).toEqual([]);
  });
});

describe("a strength", () => {
  const recipe = findRecipe("cultured-extract");
  const rate = findUseRate(recipe, "foliar") ?? findUseRate(recipe, "drench-growing")!;
  const { strongest, default: usual } = rate.partsWater;
  const stronger = (strongest + usual) / 2;
  const asked = (partsWater: number, tests: readonly PatchTest[] = []) =>
    strengthCautions({ method: recipe.name, rate, use: rate.use, partsWater }, tests).map(({ code }) => code);
  const test = (partsWater: number, result: PatchTest["result"]): PatchTest => ({ use: rate.use, partsWater, result });

  it("above the usual wants a clear patch of it, or of a stronger one", () => {
    expect(strongest).toBeLessThan(usual);
    expect(asked(usual)).toEqual([]);
    expect(asked(stronger)).toEqual(["patch-test-first"]);
    expect(asked(stronger, [test(stronger, null)])).toEqual(["patch-test-first"]);
    expect(asked(stronger, [test(usual, "clear")])).toEqual(["patch-test-first"]);
    expect(asked(stronger, [test(stronger, "clear")])).toEqual([]);
    expect(asked(stronger, [test(strongest, "clear")])).toEqual([]);
    expect(asked(stronger, [{ ...test(strongest, "clear"), use: "compost" }])).toEqual(["patch-test-first"]);
  });
  it("that marked leaves is blocked, and so is every stronger one", () => {
    expect(asked(stronger, [test(stronger, "marked")])).toEqual(["patch-marked"]);
    expect(asked(strongest, [test(stronger, "marked")])).toEqual(["patch-marked"]);
    expect(asked(usual, [test(stronger, "marked")])).toEqual([]);
  });
  it("is never undiluted on plants where the product is thinned for them", () => {
    expect(asked(0)).toEqual(["undiluted-on-plants"]);
    for (const { id } of METHODS) {
      const one = findRecipe(id);
      for (const each of one.uses) {
        const found = strengthCautions({ method: one.name, rate: each, use: each.use, partsWater: 0 }, []);
        const isOnPlants = ["foliar", "drench-growing", "seedling", "injector"].includes(each.use);
        expect(found.some(({ weight }) => weight === "never")).toBe(isOnPlants && each.partsWater.strongest >= 1);
        // What is proposed is never asked about, seldom or every week.
        for (const often of ["weekly", "seldom"] as const)
          expect(
            strengthCautions(
              { method: one.name, rate: each, use: each.use, partsWater: partsWaterFor(each, often) },
              [],
            ),
          ).toEqual([]);
      }
    }
  });
});

describe("hours for a piece of work", () => {
  const band = (fromH: number, toH: number, fit: FitBand["fit"]): FitBand => ({
    fromMs: fromH * HOUR,
    toMs: toH * HOUR,
    when: "dusk",
    fit,
    because: "dry",
    windMPerS: 1,
    airC: 18,
  });
  const bands = [band(18, 21, "leaves"), band(30, 33, "soil"), band(42, 45, "none")];
  it("are those fit for where it lands, with the hands that it takes", () => {
    expect(workWindows(bands, "leaves", 7, 100 * HOUR)).toMatchObject([{ hours: 3, people: 3, tooLate: false }]);
    expect(workWindows(bands, "soil", 3, 100 * HOUR).map(({ people }) => people)).toEqual([1, 1]);
  });
  it("end when the liquid is over", () => {
    expect(workWindows(bands, "soil", 3, 19.5 * HOUR)).toMatchObject([
      { hours: 1.5, people: 2 },
      { hours: 0, tooLate: true },
    ]);
  });
});
